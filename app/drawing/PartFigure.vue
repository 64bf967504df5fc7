<script setup lang="ts">
import { computed, defineAsyncComponent, onBeforeUnmount, ref, watch } from 'vue'
import type { StationId } from '#core/job/stations.table'
import { notesOnPart, groovesOnPart, stepsOnPart } from '#core/station/take-in/on-the-part'
import { VIEWS, type ViewId } from '#core/solid/views'
import SentenceLine from '~/bench/SentenceLine.vue'
import { useJob } from '~/stores/job'
import type { DrawnMark } from './marks'
import PartSheet from './PartSheet.vue'
import { placedMarks } from './placed-marks'
import { usePartShape } from './use-part-shape'
import { useWarmColours } from './use-warm-colours'
import WarmColours from './WarmColours.vue'

/** The part as this station sees it: one drawing at every station, numbered where it has something to say. */
const props = defineProps<{ station: StationId }>()
const PartTurned = defineAsyncComponent(() => import('./PartTurned.vue'))
const store = useJob()
const { shape, from, reason } = usePartShape()
const looked = ref<ViewId | 'turned'>('plan')
const cut = ref(false)
const cutShare = ref(0.5)
const lit = ref<string | null>(null)
const looking = computed(() => ({
  view: looked.value === 'turned' ? ('plan' as const) : looked.value,
  cutShare: cut.value ? cutShare.value : null,
}))
const notes = computed(() => (store.plan && store.job ? notesOnPart(props.station, store.job, store.plan) : []))
const steps = computed(() =>
  props.station === 'weld' && store.plan && store.job ? stepsOnPart(store.job, store.plan) : [],
)
const zones = computed(() => (props.station === 'warm' ? (store.plan?.warm.data.zones ?? []) : []))
const warm = useWarmColours(zones)
const at = ref(0)
const step = computed(() => (at.value > 0 ? steps.value[at.value - 1] : undefined))
const laid = computed(() => new Set(steps.value.slice(0, at.value).map(each => each.mark)))
/** Where a groove is drilled and tacked, on its own line. */
const opened = computed((): DrawnMark[] =>
  props.station === 'open' && store.plan && store.job
    ? groovesOnPart(store.job, store.plan).map(({ kind, at: place, acrossMm, turn }, n) => ({
        id: `${kind}-${n}`,
        number: null,
        name: turn ? `tack ${turn}` : 'stop-hole',
        path: [place],
        acrossMm,
        role: 'plain',
        laid: kind === 'tack',
      }))
    : [],
)
const marks = computed((): DrawnMark[] => [...placed.value, ...opened.value])
const placed = computed((): DrawnMark[] =>
  placedMarks(store.job!, id => notes.value.find(note => note.mark === id)?.number ?? null, laid.value),
)

const STEP_MS = 700
const running = ref(false)
let timer: ReturnType<typeof setInterval> | undefined
const halt = () => {
  clearInterval(timer)
  running.value = false
}
function run() {
  if (running.value) return halt()
  if (at.value >= steps.value.length) at.value = 0
  running.value = true
  timer = setInterval(() => {
    at.value += 1
    if (at.value >= steps.value.length) halt()
  }, STEP_MS)
}
watch(steps, list => {
  if (at.value > list.length) at.value = list.length
})
onBeforeUnmount(halt)
</script>

<template>
  <figure v-if="shape" class="part" data-testid="part-figure">
    <div class="row tools no-print">
      <v-btn-toggle v-model="looked" mandatory aria-label="The part is seen">
        <v-btn v-for="(view, id) in VIEWS" :key="id" :value="id">{{ view.name }}</v-btn>
        <v-btn value="turned" data-testid="turn-part">turned</v-btn>
      </v-btn-toggle>
      <v-checkbox v-if="looked !== 'turned'" v-model="cut" label="cut through" />
      <input
        v-if="cut && looked !== 'turned'"
        v-model.number="cutShare"
        type="range"
        min="0.01"
        max="0.99"
        step="0.01"
        aria-label="Where it is cut"
      />
    </div>
    <PartTurned
      v-if="looked === 'turned'"
      :shape="shape"
      :marks="marks"
      :lit="lit"
      :warm="warm.drawn.value"
      :name="store.job!.title"
      @light="lit = $event"
    />
    <PartSheet
      v-else
      :shape="shape"
      :looking="looking"
      :marks="marks"
      :lit="lit"
      :warm="warm.drawn.value"
      :name="store.job!.title"
      @light="lit = $event"
    />
    <WarmColours v-if="zones.length" :warm="warm" :zones="zones" />
    <p v-if="reason" class="small" role="status">As last drawn: {{ reason }}.</p>
    <p v-if="opened.length" class="small quiet">
      On the crack as it was walked along: dashed rounds are stop-holes, dots of new metal are tacks.
    </p>
    <div v-if="steps.length" class="row steps no-print">
      <button type="button" class="plain-button slight" data-testid="play-passes" @click="run()">
        {{ running ? 'Stop' : 'Pass by pass' }}
      </button>
      <input
        v-model.number="at"
        type="range"
        min="0"
        :max="steps.length"
        step="1"
        aria-label="Passes laid"
        data-testid="passes-laid"
      />
      <span class="small" role="status">{{ step?.words ?? 'before the first pass' }}</span>
    </div>
    <ol v-if="notes.length" class="notes">
      <li
        v-for="note in notes"
        :key="note.mark"
        :class="{ lit: lit === note.mark }"
        @pointerenter="lit = note.mark"
        @pointerleave="lit = null"
      >
        <b class="figure">{{ note.number }}</b><SentenceLine :sentence="note.words" />
      </li>
    </ol>
    <figcaption class="small quiet">
      <template v-if="from === 'sizes'">A plain block of its sizes over all, not its shape. </template>
      <NuxtLink class="no-print" :to="`/job/${store.job!.id}/shape`" data-testid="to-shape">{{
        from === 'sizes' ? 'Make its shape, and mark what is where' : 'Change its shape and its marks'
      }}</NuxtLink>
    </figcaption>
  </figure>
  <p v-else class="quiet">
    <template v-if="reason">The part cannot be drawn: {{ reason }}. </template>
    <template v-else>Give its length and width and the part is drawn here to scale; or </template>
    <NuxtLink :to="`/job/${store.job!.id}/shape`" data-testid="to-shape">make its shape</NuxtLink>.
  </p>
</template>

<style scoped>
.part {
  margin: 0 0 14px;
}
.tools {
  flex-wrap: wrap;
  gap: 10px;
}
.steps {
  display: grid;
  grid-template-columns: auto minmax(80px, 1fr) minmax(0, 2fr);
  align-items: center;
  gap: 10px;
}
input[type='range'] {
  min-height: 34px;
  accent-color: var(--chestnut);
}
.notes {
  list-style: none;
  margin: 6px 0;
  padding: 0;
  columns: 2 260px;
}
.notes li {
  break-inside: avoid;
  padding: 3px 0;
  display: grid;
  grid-template-columns: 26px minmax(0, 1fr);
}
.notes .lit {
  color: var(--chestnut);
}
</style>
