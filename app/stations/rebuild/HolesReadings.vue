<script setup lang="ts">
import ReadingField from '~/bench/ReadingField.vue'
import { useJob } from '~/stores/job'

const store = useJob()
const empty = () => ({ typed: '', value: null })
const add = () =>
  store.edit(
    ['rebuild', 'holes'],
    [...store.job!.rebuild.holes, { id: crypto.randomUUID(), xMm: empty(), yMm: empty() }],
  )
const drop = (id: string) =>
  store.edit(
    ['rebuild', 'holes'],
    store.job!.rebuild.holes.filter(hole => hole.id !== id),
  )
const places = (text: string) => {
  const count = Number(text)
  store.edit(['rebuild', 'holePlaces'], Number.isInteger(count) && count >= 3 && count <= 120 ? count : null)
}
</script>

<template>
  <v-text-field
    class="places"
    label="Holes round the whole circle"
    inputmode="numeric"
    maxlength="3"
    hint="empty: as many as are measured"
    :model-value="store.job!.rebuild.holePlaces ?? ''"
    @update:model-value="places($event)"
  />
  <div v-for="(hole, n) in store.job!.rebuild.holes" :key="hole.id" class="hole">
    <ReadingField :path="`rebuild.holes.${n}.xMm`" :label="`Hole ${n + 1}, x`" /><ReadingField
      :path="`rebuild.holes.${n}.yMm`"
    /><button type="button" class="open-figure small" @click="drop(hole.id)">out</button>
  </div>
  <button
    type="button"
    class="plain-button"
    data-testid="add-hole"
    :disabled="store.job!.rebuild.holes.length >= 60"
    @click="add()"
  >
    Add a hole
  </button>
</template>

<style scoped>
.places {
  margin: 10px 0;
}
.hole {
  margin-bottom: 10px;
}
</style>
