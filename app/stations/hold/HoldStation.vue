<script setup lang="ts">
import { computed, defineAsyncComponent } from 'vue'
import { PULLS, type Pull } from '#core/job/fields/hold.schema'
import { CASES } from '#core/station/hold/cases.table'
import { factorOf, holdSentence, holdWhy, zoneWords } from '#core/station/hold/hold-says'
import { figures } from '#core/quantity/show'
import type { DrawnMark } from '~/drawing/marks'
import SentenceLine from '~/bench/SentenceLine.vue'
import { useJob } from '~/stores/job'
import { useSettings } from '~/stores/settings'
import { useHold } from './use-hold'

const PartTurned = defineAsyncComponent(() => import('~/drawing/PartTurned.vue'))
const store = useJob()
const settings = useSettings()
const {
  shape,
  bench,
  states,
  shown,
  shownId,
  colours,
  busy,
  share,
  reason,
  stale,
  putting,
  put,
  drop,
  strength,
  figures: figuresOf,
  start,
  stop,
} = useHold()
const names = computed(() => (typeof bench.value === 'string' ? {} : bench.value.names))
const call = computed(() => {
  const mended = states.value.find(({ id }) => id === 'mended')
  return mended ? holdSentence(mended) : null
})
const why = computed(() => (states.value.length ? holdWhy(states.value) : []))
const spot = (id: string, n: number, name: string, at: readonly number[]): DrawnMark => ({
  id,
  number: n,
  name,
  path: [[at[0]!, at[1]!, at[2]!]],
  acrossMm: null,
  role: id === 'weakest' ? 'mend' : 'plain',
  laid: false,
})
/** Where it is held, then where it is pulled, numbered as in the list; then the weakest place. */
const marks = computed((): DrawnMark[] => {
  const { heldAt = [], pulls = [] } = store.job?.call ?? {}
  const placed = [...heldAt, ...pulls].map((one, n) => spot(one.id, n + 1, '', one.at))
  return shown.value ? [...placed, spot('weakest', placed.length + 1, 'weakest', shown.value.atMm)] : placed
})
const PULL_IDS = Object.keys(PULLS) as Pull[]
const times = (value: string | null) => {
  const n = figuresOf.read('times', value, { least: 1, most: 1e10 })
  if (n !== undefined) store.edit(['call', 'pullTimes'], n)
}
const cycles = (value: number) => figures(Number(value.toPrecision(1)), 0, true)
</script>

<template>
  <div v-if="store.plan" class="side-bench">
    <header>
      <p class="where"><NuxtLink :to="`/job/${store.job!.id}/call`">Call</NuxtLink> · hold bench</p>
      <h1 data-testid="hold-call">
        <SentenceLine v-if="call" :sentence="call" />
        <template v-else>Whether it will hold: the part under its load, new, cracked and mended</template>
      </h1>
    </header>
    <section class="readings" aria-label="Where it is held, and what pulls on it">
      <p class="label">Put down on the part, by a tap</p>
      <div class="puts">
        <button
          type="button"
          class="plain-button"
          :aria-pressed="putting === 'held'"
          data-testid="put-held"
          @click="putting = putting === 'held' ? null : 'held'"
        >
          bolted or clamped here
        </button>
        <button
          v-for="id in PULL_IDS"
          :key="id"
          type="button"
          class="plain-button"
          :aria-pressed="putting === id"
          :data-testid="`put-${id}`"
          @click="putting = putting === id ? null : id"
        >
          {{ PULLS[id].name }}
        </button>
      </div>
      <ol class="plain">
        <li v-for="(one, n) in store.job!.call.heldAt" :key="one.id">
          <span class="figure">{{ n + 1 }}</span> <span>bolted or clamped here</span>
          <button type="button" class="plain-button slight" @click="drop('heldAt', one.id)">Take off</button>
        </li>
        <li v-for="(one, n) in store.job!.call.pulls" :key="one.id">
          <span class="figure">{{ store.job!.call.heldAt.length + n + 1 }}</span> <span>{{
            PULLS[one.what].name
          }}</span>
          <v-text-field
            density="compact"
            :hide-details="!figuresOf.wrongAt(one.id).length"
            :error-messages="figuresOf.wrongAt(one.id)"
            suffix="N"
            inputmode="decimal"
            class="strong-n"
            :model-value="figuresOf.shown(one.id, one.n)"
            :aria-label="`How hard: ${PULLS[one.what].name}`"
            @change="strength(one.id, ($event.target as HTMLInputElement).value)"
            @blur="figuresOf.left(one.id)"
          />
          <button type="button" class="plain-button slight" @click="drop('pulls', one.id)">Take off</button>
        </li>
      </ol>
      <v-text-field
        density="compact"
        label="It comes and goes"
        suffix="times"
        inputmode="numeric"
        :model-value="figuresOf.shown('times', store.job!.call.pullTimes)"
        :error-messages="figuresOf.wrongAt('times')"
        @change="times(($event.target as HTMLInputElement).value)"
        @blur="figuresOf.left('times')"
      />
      <p v-if="typeof bench === 'string'" role="status" data-testid="hold-wants">
        {{ bench[0]!.toUpperCase() + bench.slice(1) }}.
      </p>
      <NuxtLink v-if="!shape" class="plain-button" :to="`/job/${store.job!.id}/shape`"
        >The part's shape and marks</NuxtLink
      >
      <template v-if="typeof bench !== 'string'">
        <button v-if="!busy" type="button" class="plain-button strong" data-testid="run-hold" @click="start()">
          Load it
        </button>
        <div v-else role="status">
          <p class="small">{{ CASES[busy] }}</p>
          <v-progress-linear :model-value="share * 100" aria-label="How far it is" />
          <button type="button" class="plain-button slight" @click="stop()">Stop</button>
        </div>
      </template>
      <p v-if="stale" class="small">The part or its load has changed since it ran.</p>
      <p v-if="reason" class="small wrong" role="status">{{ reason }}</p>
    </section>
    <section class="piece" aria-label="The piece">
      <PartTurned
        v-if="shape"
        :shape="shape"
        :marks="marks"
        :warm="colours"
        :name="`${store.job!.title}, under its load`"
        @pick="put"
      />
      <p v-if="shown" class="small quiet">
        The redder, the nearer a place is to giving. The last number is the weakest place.
      </p>
      <table v-if="states.length" data-testid="held">
        <thead>
          <tr>
            <th>The part</th>
            <th class="num">Bears, times</th>
            <th>First to give</th>
            <th class="num">Moves</th>
            <th v-if="store.job!.call.pullTimes" class="num">Lasts, times</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="state in states" :key="state.id" :class="{ shown: shown?.id === state.id }">
            <td>
              <button type="button" class="open-figure" @click="shownId = state.id">
                {{ CASES[state.id]
                }}<template v-if="state.id === 'filler' && names.filler">, {{ names.filler }}</template>
              </button>
            </td>
            <td class="num">{{ factorOf(state).toPrecision(2) }}</td>
            <td>
              {{ zoneWords(state.weakest)
              }}<template v-if="names[state.weakest]">, <span>{{ names[state.weakest] }}</span></template>
            </td>
            <td class="num">{{ settings.text(state.givesMm * 1000, 'um') }}</td>
            <td v-if="store.job!.call.pullTimes" class="num">
              <template v-if="state.life"
                >{{ cycles(state.life.lowCycles) }} to {{ cycles(state.life.highCycles) }}</template
              >
            </td>
          </tr>
        </tbody>
      </table>
    </section>
    <div class="call">
      <p v-for="(sentence, n) in why" :key="n"><SentenceLine :sentence="sentence" /></p>
      <p class="small quiet">
        Lifting gear, wheels, steering, pressure vessels and aircraft are sent on whatever stands here; where somebody
        could be hurt, ask somebody licensed.
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
.plain li {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
  align-items: center;
  padding: 4px 0;
  border-bottom: 1px solid var(--hairline);
}
.puts {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
}
.puts [aria-pressed='true'] {
  background: var(--soot);
  color: var(--paper);
}
.readings .strong {
  margin-top: 12px;
}
.strong-n {
  flex: 0 0 120px;
}
.shown td {
  font-weight: 650;
}
</style>
