<script setup lang="ts">
import { computed } from 'vue'
import { SOLIDS, type SolidKind } from '#core/heat/bench/solids.table'
import { mm } from '#core/heat/bench/setup.schema'
import ReadingField from '~/bench/ReadingField.vue'
import { useJob } from '~/stores/job'
import { useStl } from './use-stl'

const props = defineProps<{ index: number }>()
const store = useJob()
const base = computed(() => ['warm', 'setups', props.index])
const setup = computed(() => store.job!.warm.setups[props.index]!)
const items = Object.entries(SOLIDS).map(([value, { name }]) => ({ value, title: name }))
const start = (kind: SolidKind) =>
  Object.fromEntries(
    Object.entries(SOLIDS[kind].sizes).map(([key, [, value]]) => [
      key,
      key === 'ribs' || key === 'fins' ? { typed: String(value), value } : mm(value),
    ]),
  )
const setKind = (n: number, kind: SolidKind) =>
  store.edit([...base.value, 'parts', n], { ...setup.value.parts[n], kind, size: start(kind) })
const add = () =>
  store.edit(
    [...base.value, 'parts'],
    [...setup.value.parts, { kind: 'disc', size: start('disc'), at: { x: mm(20), y: mm(20), z: mm(0) } }],
  )
const remove = (n: number) =>
  store.edit(
    [...base.value, 'parts'],
    setup.value.parts.filter((_, other) => other !== n),
  )
const { bringIn, report, inches, back } = useStl(computed(() => props.index))
</script>

<template>
  <div>
    <template v-if="setup.mesh">
      <p>
        The shape comes from a file.
        <button type="button" class="plain-button slight" @click="inches()">It was in inches</button>{{ ' ' }}
        <button type="button" class="plain-button slight" @click="back()">Back to solids</button>
      </p>
    </template>
    <template v-else>
      <fieldset v-for="(part, n) in setup.parts" :key="n">
        <v-select
          :model-value="part.kind"
          :items="items"
          :label="n ? `Joined on, ${n + 1}` : 'The part is a'"
          :data-path="`warm.setups.${index}.parts.${n}.kind`"
          @update:model-value="setKind(n, $event)"
        />
        <ReadingField
          v-for="[key, [label]] in Object.entries(SOLIDS[part.kind].sizes)"
          :key="`${part.kind}-${key}`"
          :path="`warm.setups.${index}.parts.${n}.size.${key}`"
          :unit="key === 'ribs' || key === 'fins' ? 'number' : 'mm'"
          :label="label"
        />
        <template v-if="n">
          <ReadingField
            v-for="axis in ['x', 'y', 'z'] as const"
            :key="axis"
            :path="`warm.setups.${index}.parts.${n}.at.${axis}`"
            unit="mm"
            :label="{ x: 'from the left', y: 'from the front', z: 'up' }[axis]"
          />
          <button type="button" class="plain-button slight" @click="remove(n)">Take it off</button>
        </template>
      </fieldset>
      <div class="row">
        <button type="button" class="plain-button slight" :disabled="setup.parts.length > 7" @click="add()">
          Join a solid on
        </button>
        <label class="plain-button slight"
          >From an STL file<input class="visually-hidden" type="file" accept=".stl" data-testid="stl" @change="bringIn"
        /></label>
      </div>
    </template>
    <p v-if="report" class="small" role="status">{{ report }}</p>
    <ReadingField :path="`warm.setups.${index}.cellMm`" unit="mm" label="Cells" note="two or three through a wall" />
  </div>
</template>

<style scoped>
fieldset {
  border: 0;
  padding: 0;
  margin: 0 0 8px;
}
.row {
  margin: 8px 0;
}
</style>
