<script setup lang="ts">
import { computed, defineAsyncComponent, ref, watch } from 'vue'
import { bowSentence, figureOf, heldSentence, pullSentence, pullWhy } from '#core/station/pull/pull-says'
import type { DrawnMark } from '~/drawing/marks'
import SentenceLine from '~/bench/SentenceLine.vue'
import { useJob } from '~/stores/job'
import { useSettings } from '~/stores/settings'
import { useShop } from '~/stores/shop'
import { usePull } from './use-pull'

const PartTurned = defineAsyncComponent(() => import('~/drawing/PartTurned.vue'))
const store = useJob()
const settings = useSettings()
const shop = useShop()
const { bench, part, marks, ways, best, busy, reason, stale, start, stop, WAYS } = usePull()
const planned = computed(() => ways.value[0] ?? null)
const after = ref(1)
watch(planned, way => {
  if (way) after.value = way.stages.length
})
const stage = computed(() => planned.value?.stages[after.value - 1] ?? null)
const shape = computed(() =>
  stage.value?.skin ? { kind: 'mesh' as const, trianglesMm: stage.value.skin as unknown as number[] } : null,
)
const atEnd = computed(() => planned.value !== null && after.value === planned.value.stages.length)
/** Where a crack would next run, drawn at the end. */
const crack = computed((): DrawnMark | null => {
  const path = atEnd.value ? planned.value?.crack?.pathMm : null
  return path
    ? {
        id: 'crack-next',
        number: null,
        name: '',
        path: path.map(place => [...place]),
        acrossMm: null,
        role: 'mend',
        laid: false,
      }
    : null
})
/** What is marked, where it has come to lie. */
const movedMarks = computed((): DrawnMark[] => [
  ...marks.value.flatMap((mark, n) => {
    const path = stage.value?.placesMm[n]
    return path ? [{ ...mark, path: path.map(([x, y, z]): DrawnMark['path'][number] => [x, y, z]) }] : []
  }),
  ...(crack.value ? [crack.value] : []),
])
const watched = computed(() => (typeof bench.value === 'string' ? [] : bench.value.watched))
const call = computed(() => (planned.value ? pullSentence(planned.value, watched.value) : null))
const why = computed(() => {
  if (!planned.value) return []
  const learnt = bowSentence(shop.kit.learnt)
  const held = ways.value.map(way => heldSentence(way, planned.value!)).filter(sentence => sentence !== null)
  return [...pullWhy(planned.value, watched.value, best.value, planned.value), ...held, ...(learnt ? [learnt] : [])]
})
const text = (mm: number) => settings.text(mm * 1000, 'um')
const WHAT = { face: 'out of flat', bore: 'out of round or place', holes: 'greatest miss', point: 'moved' } as const
</script>

<template>
  <div v-if="store.plan" class="side-bench">
    <header>
      <p class="where"><NuxtLink :to="`/job/${store.job!.id}/weld`">Weld</NuxtLink> · pull bench</p>
      <h1 data-testid="pull-call">
        <SentenceLine v-if="call" :sentence="call" />
        <template v-else>How far the weld pulls it out of true, before the arc is struck</template>
      </h1>
    </header>
    <section class="readings" aria-label="The weld, and what may not move">
      <template v-if="typeof bench === 'string'">
        <p role="status" data-testid="pull-wants">{{ bench[0]!.toUpperCase() + bench.slice(1) }}.</p>
        <NuxtLink class="plain-button" :to="`/job/${store.job!.id}/shape`">The part's shape and marks</NuxtLink>
      </template>
      <template v-else>
        <p class="label">Watched</p>
        <ul class="plain">
          <li v-for="each in bench.watched" :key="each.name">
            {{ each.name }}<template v-if="each.limitMm !== null">, wanted within {{ text(each.limitMm) }}</template>
          </li>
        </ul>
        <p v-for="each in bench.unwatched" :key="each.mark" class="small wrong" data-testid="unwatched">
          {{ each.name }} is not watched: {{ each.wants }}.
          <NuxtLink :to="`/job/${store.job!.id}/shape`">Its mark</NuxtLink>
        </p>
        <p class="label">Beads, as planned</p>
        <p class="small">
          {{ bench.ways[0]!.asked.beads.length }} on the part; passes of a side are taken together three at most.
        </p>
        <button
          v-if="!busy.length"
          type="button"
          class="plain-button strong"
          data-testid="run-pull"
          @click="start(false)"
        >
          Lay them
        </button>
        <button v-if="!busy.length" type="button" class="plain-button" data-testid="compare-pull" @click="start(true)">
          Compare other ways
        </button>
        <div v-else role="status">
          <template v-for="each in busy" :key="each.id">
            <p class="small">{{ WAYS[each.id] }}</p>
            <v-progress-linear :model-value="each.share * 100" :aria-label="`How far it is: ${WAYS[each.id]}`" />
          </template>
          <button type="button" class="plain-button slight" data-testid="stop-pull" @click="stop()">Stop</button>
        </div>
        <p v-if="stale" class="small">The part or the weld has changed since it ran.</p>
        <p v-if="reason" class="small wrong" role="status">{{ reason }}</p>
      </template>
    </section>
    <section class="piece" aria-label="The piece">
      <template v-if="planned && stage">
        <PartTurned v-if="shape" :shape="shape" :marks="movedMarks" :name="`${store.job!.title}, as it is pulled`" />
        <p class="small quiet">Drawn {{ planned.times }} times as far as it moves, in cells.</p>
        <p v-if="crack" class="small quiet" data-testid="crack-next">
          The line on it: where a crack would next run, from where it is left pulling hardest.
        </p>
        <label class="slider"
          ><span>After bead {{ after }} of {{ planned.stages.length }}</span
          ><input
            v-model.number="after"
            type="range"
            min="1"
            :max="planned.stages.length"
            step="1"
            data-testid="after-bead"
        /></label>
        <p class="small">{{ stage.id }}</p>
        <table data-testid="pulled">
          <thead>
            <tr>
              <th>May not move</th>
              <th>By</th>
              <th class="num">After this bead</th>
              <th class="num">At the end</th>
            </tr>
          </thead>
          <tbody>
            <tr v-for="(each, n) in stage.watched" :key="n">
              <td>{{ watched[n]?.name }}</td>
              <td>{{ each.kind === 'face' ? `${each.shape}, ${WHAT.face}` : WHAT[each.kind] }}</td>
              <td class="num">{{ text(figureOf(each)) }}</td>
              <td class="num">{{ text(figureOf(planned.stages.at(-1)!.watched[n]!)) }}</td>
            </tr>
          </tbody>
        </table>
      </template>
      <template v-else>
        <PartTurned v-if="part" :shape="part" :marks="marks" :name="store.job!.title" />
        <p class="quiet">Lay the planned beads and the part is drawn here as they pull it, pass by pass.</p>
      </template>
      <ol v-if="part && marks.length" class="small marks" aria-label="What is marked on it">
        <li v-for="mark in marks" :key="mark.id"><b class="figure">{{ mark.number }}</b> {{ mark.name }}</li>
      </ol>
      <template v-if="ways.length > 1">
        <p class="label">Other ways, at the end</p>
        <table data-testid="ways">
          <thead>
            <tr>
              <th v-for="each in watched" :key="each.name" class="num">{{ each.name }}</th>
              <th class="num">Stress left, mean</th>
            </tr>
          </thead>
          <tbody v-for="way in ways" :key="way.id" :class="{ best: best?.id === way.id }">
            <tr>
              <th :colspan="watched.length + 1" scope="rowgroup" class="way">
                {{ WAYS[way.id] }}<b v-if="best?.id === way.id"> truest</b>
              </th>
            </tr>
            <tr>
              <td v-for="(each, n) in way.stages.at(-1)!.watched" :key="n" class="num">{{ text(figureOf(each)) }}</td>
              <td class="num">{{ settings.text(way.meanMPa, 'mPa') }}</td>
            </tr>
          </tbody>
        </table>
      </template>
    </section>
    <div class="call">
      <p v-for="(sentence, n) in why" :key="n"><SentenceLine :sentence="sentence" /></p>
      <p v-if="planned" class="small quiet">
        Shrinkage by Okerblom and by White, Leggatt and Dwight, laid into {{ planned.cells }} cells that flow at their
        yield; greatest stress left {{ settings.text(planned.peakMPa, 'mPa') }},
        {{ settings.text(planned.overYieldPct, 'pct') }} of them at yield.
      </p>
    </div>
  </div>
  <p v-else class="page quiet" role="status">Working it out…</p>
</template>

<style scoped>
.plain {
  list-style: none;
  padding: 0;
}
.marks {
  list-style: none;
  padding: 0;
  columns: 2;
}
.slider {
  display: grid;
  grid-template-columns: 150px 1fr;
  align-items: center;
}
.best,
.best .way {
  color: var(--chestnut);
}
.way {
  border-bottom: 0;
  padding-bottom: 0;
  text-align: left;
  font-size: inherit;
  color: inherit;
}
</style>
