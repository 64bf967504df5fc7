<script setup lang="ts">
import { computed } from 'vue'
import { PLACE_KINDS, type PlaceKind } from '#core/heat/bench/places.table'
import { mm } from '#core/quantity/stored'
import ReadingField from '~/bench/ReadingField.vue'
import WordsField from '~/bench/WordsField.vue'
import { useJob } from '~/stores/job'

const props = defineProps<{ index: number }>()
const aim = defineModel<string>('aim', { required: true })
const store = useJob()
const places = computed(() => store.job!.warm.setups[props.index]!.places)
const path = ['warm', 'setups', props.index, 'places'] as const
const items = Object.entries(PLACE_KINDS).map(([value, { name }]) => ({ value, title: name }))
function add(kind: PlaceKind) {
  const id = crypto.randomUUID()
  store.edit(path, [
    ...places.value,
    { id, kind, name: '', at: { x: mm(0), y: mm(0), z: mm(0) }, limitC: { typed: '', value: null } },
  ])
  aim.value = id
}
const remove = (n: number) =>
  store.edit(
    path,
    places.value.filter((_, other) => other !== n),
  )
</script>

<template>
  <div>
    <p class="small quiet">Pick one, then tap the solid where it is.</p>
    <div class="aims" role="radiogroup" aria-label="A tap on the solid puts down">
      <label class="aim"><input v-model="aim" type="radio" value="torch" /> the heat</label>
      <template v-for="(place, n) in places" :key="place.id">
        <label class="aim"
          ><input v-model="aim" type="radio" :value="place.id" :data-testid="`aim-${place.kind}`" />
          {{ place.name || PLACE_KINDS[place.kind].name }}</label
        >
        <div v-if="aim === place.id" class="place">
          <WordsField :path="`warm.setups.${index}.places.${n}.name`" label="Called" />
          <ReadingField
            v-for="axis in ['x', 'y', 'z'] as const"
            :key="axis"
            :path="`warm.setups.${index}.places.${n}.at.${axis}`"
            unit="mm"
            :label="{ x: 'from the left', y: 'from the front', z: 'up' }[axis]"
          />
          <ReadingField
            v-if="place.kind !== 'weld-zone'"
            :path="`warm.setups.${index}.places.${n}.limitC`"
            unit="c"
            label="Stands"
            :note="`empty: ${PLACE_KINDS[place.kind].limitC} °C, common practice`"
          />
          <button type="button" class="plain-button slight" @click="remove(n)">Take it off</button>
        </div>
      </template>
    </div>
    <v-select
      :model-value="null"
      :items="items"
      label="Watch another place"
      :disabled="places.length > 11"
      data-testid="add-place"
      @update:model-value="$event && add($event)"
    />
  </div>
</template>

<style scoped>
.aim {
  display: flex;
  gap: 8px;
  align-items: center;
  min-height: var(--touch);
}
.place {
  padding-left: 14px;
  border-left: 2px solid var(--hairline);
  margin-bottom: 8px;
}
</style>
