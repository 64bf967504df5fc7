<script setup lang="ts">
import { computed, onMounted, ref } from 'vue'
import type { KindId } from '#core/mend/registry'
import { FIRST_READING, focusWhenThere } from '~/composables/kept-focus'
import KindSketch from '~/drawing/KindSketch.vue'
import { useMends } from '~/stations/mend/use-mend'
import CardPrint from '~/stations/pictures/CardPrint.vue'
import LiveCamera from '~/stations/pictures/LiveCamera.vue'
import { useAddPictures } from '~/stations/pictures/use-add-pictures'
import { useJob } from '~/stores/job'

/** A new job begins with a picture and the break; gone once either is there. */
const store = useJob()
const router = useRouter()
const { kinds, add } = useMends()
onMounted(() => fresh.value && focusWhenThere('[data-begin]'))
const added = ref(false)
const live = ref(false)
const { report, take, fromInput, fromDrop, fromPaste } = useAddPictures(id => {
  added.value = true
  void router.push(`/job/${store.job!.id}/pictures?new=${id}`)
})
const fresh = computed(() => {
  const { pictures, mends, shape } = store.job!
  return !added.value && !pictures.length && !mends.length && !shape.pieces.length && !shape.mesh
})
async function pick(kind: KindId) {
  if (add(kind) !== null) return
  const id = store.job!.mends.at(-1)!.id
  await router.push(`/job/${store.job!.id}/open?mend=${id}`)
  focusWhenThere(FIRST_READING)
}
const named = (name: string) => name[0]!.toUpperCase() + name.slice(1)
</script>

<template>
  <section v-if="fresh" class="begin" aria-label="Begin with a picture and the break" data-testid="begin-with">
    <div class="picture" @dragover.prevent @drop.prevent="fromDrop($event)" @paste="fromPaste($event)">
      <p class="label">A picture of it</p>
      <label class="plain-button strong"
        >Take a picture<input
          type="file"
          accept="image/*"
          capture="environment"
          class="visually-hidden"
          data-testid="take-picture"
          @change="fromInput($event)"
      /></label>
      <label class="plain-button"
        >From a file<input type="file" accept="image/*" multiple class="visually-hidden" @change="fromInput($event)"
      /></label>
      <button type="button" class="plain-button" @click="live = true">Live, with the card</button>
      <CardPrint />
      <LiveCamera v-if="live" v-model="live" @taken="take([$event])" />
      <p class="quiet small">
        With the scale card beside the break it measures itself. Or drop one here. It stays on this device.
      </p>
      <p v-if="report" class="small" role="alert">{{ report }}</p>
    </div>
    <div>
      <p class="label">What is broken?</p>
      <div class="kinds">
        <button v-for="kind in kinds" :key="kind.id" type="button" :data-begin="kind.id" @click="pick(kind.id)">
          <KindSketch :kind="kind.id" />{{ named(kind.name) }}
        </button>
      </div>
    </div>
  </section>
</template>

<style scoped>
.begin {
  display: grid;
  grid-template-columns: minmax(190px, 1fr) minmax(0, 3.2fr);
  gap: 24px;
  padding: 14px 24px;
  border-bottom: 1px solid var(--hairline);
  background: var(--sheet);
}
p {
  margin: 4px 0;
}
.picture {
  display: grid;
  gap: 8px;
  align-content: start;
  border: 1px dashed var(--slate);
  padding: 10px 14px;
}
.picture > label,
.picture > :deep(button) {
  justify-content: center;
}
.kinds {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(168px, 1fr));
  gap: 6px;
}
.kinds button {
  display: flex;
  align-items: center;
  gap: 10px;
  min-height: var(--touch);
  padding: 4px 8px;
  border: 1px solid var(--hairline);
  border-radius: 2px;
  background: var(--paper);
  color: var(--soot);
  font: inherit;
  font-size: 0.9rem;
  line-height: 1.2;
  text-align: left;
  cursor: pointer;
}
.kinds button:hover {
  border-color: var(--soot);
}
@media (max-width: 799px) {
  .begin {
    grid-template-columns: minmax(0, 1fr);
    padding: 12px 16px;
  }
  .kinds {
    grid-template-columns: 1fr 1fr;
  }
}
</style>
