<script setup lang="ts">
import { computed } from 'vue'
import { SOLIDS } from '#core/solid/stored/solids.table'
import ReadingField from '~/bench/ReadingField.vue'
import { usePartShape } from '~/drawing/use-part-shape'
import { useJob } from '~/stores/job'

const props = defineProps<{ index: number }>()
const store = useJob()
const base = computed(() => ['warm', 'setups', props.index])
const setup = computed(() => store.job!.warm.setups[props.index]!)
const own = computed(() => setup.value.parts.length > 0 || setup.value.mesh !== null)
const { from } = usePartShape()
const FROM = {
  pieces: 'The part as it was put together.',
  file: 'The part from its file.',
  sizes: 'A plain block of its sizes over all.',
} as const
const toPart = () => {
  store.edit([...base.value, 'mesh'], null)
  store.edit([...base.value, 'parts'], [])
}
</script>

<template>
  <div>
    <template v-if="own">
      <p>
        This set-up has a shape of its own<template v-if="setup.parts.length">
          ({{ setup.parts.map(part => SOLIDS[part.kind].name).join(', ') }})</template
        >.
      </p>
      <button type="button" class="plain-button slight" @click="toPart()">Take the part's shape</button>
    </template>
    <template v-else>
      <p>{{ from ? FROM[from] : 'The part has no shape yet.' }}</p>
      <NuxtLink class="plain-button slight" :to="`/job/${store.job!.id}/shape`" data-testid="to-shape">{{
        from === 'pieces' || from === 'file' ? 'Change its shape' : 'Make its shape'
      }}</NuxtLink>
    </template>
    <ReadingField :path="`warm.setups.${index}.cellMm`" unit="mm" label="Cells" note="two or three through a wall" />
  </div>
</template>
