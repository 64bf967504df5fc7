<script setup lang="ts">
import { computed } from 'vue'
import { format } from 'date-fns'
import type { Card } from '#core/job/card'
import { STATION_IDS, STATION_NAMES, type StationId } from '#core/job/stations.table'
import type { HandTurn } from '#core/station/shop/hand-order'
import { clockFace } from '#core/quantity/clock-face'
import { useSettings } from '~/stores/settings'
import type { Beside } from './use-shelf-lines'
import type { PromiseStands } from './use-promises'

const props = defineProps<{
  card: Card
  beside?: Beside | undefined
  promise?: PromiseStands | undefined
  turn: HandTurn
  /** Clocks that run for it. */
  clocks?: readonly { id: string; name: string; leftS: number }[] | undefined
  when: (minutes: number) => string
}>()
const emit = defineEmits<{ more: [button: HTMLElement] }>()
const settings = useSettings()
const to = computed(() => `/job/${props.card.id}/${props.card.next ?? 'hand-over'}`)
const station = computed(() => (props.card.next ? STATION_NAMES[props.card.next] : STATION_NAMES['hand-over']))
const line = computed(() => props.beside?.line ?? null)
/** A bead for each station that is one, in its place. */
const beads = (is: (id: StationId) => boolean) =>
  STATION_IDS.map((id, n) => (is(id) ? `M${n * 11} 6a6.5 4.5 0 1 0 13 0a6.5 4.5 0 1 0-13 0` : '')).join('')
const WAIT_WORDS = { stop: 'stop caution', stale: 'stale', buy: 'to buy', on: 'waits' } as const
const promised = computed(() => {
  const { dueAt, handedAt } = props.card
  if (!dueAt || handedAt) return null
  const day = format(new Date(dueAt), 'EEE d MMM')
  if (!props.promise) return { day, late: false, says: '' }
  const { lateMin, endMin } = props.promise
  return lateMin > 0
    ? { day, late: true, says: `${settings.text(lateMin, 'min')} late by the day's plan` }
    : { day, late: false, says: `holds: done ${props.when(endMin)}` }
})
</script>

<template>
  <li class="job" :class="turn" :data-job="card.id" :aria-busy="!beside">
    <div class="look" aria-hidden="true">
      <img v-if="beside?.picture" :src="beside.picture" alt="" />
      <svg v-else-if="beside?.drawing" :viewBox="`0 0 ${beside.drawing.wide} ${beside.drawing.high}`">
        <path
          v-for="(layer, n) in beside.drawing.layers"
          :key="n"
          :d="layer.d"
          class="metal"
          :class="{ faint: !layer.edge }"
          fill-rule="evenodd"
        />
        <path v-for="(mark, n) in beside.drawing.marks" :key="`m${n}`" :d="mark" class="mark" />
      </svg>
      <svg v-else viewBox="0 0 96 64"><path class="none" d="M30 44h36M30 20h36M30 20v24M66 20v24" /></svg>
    </div>
    <div class="what">
      <NuxtLink :to="to" class="title" translate="no">{{ card.title }}</NuxtLink>
      <p class="quiet small">
        <template v-if="card.customer">for <span translate="no">{{ card.customer }}</span> · </template>taken in
        <span class="figure">{{ format(new Date(card.takenInAt), 'd MMM yyyy') }}</span>
      </p>
      <svg class="beads" viewBox="0 0 100 12" role="img" :aria-label="`${card.settled.length} of 9 stations settled`">
        <path :d="beads(id => !card.settled.includes(id))" />
        <path class="laid" :d="beads(id => card.settled.includes(id))" />
      </svg>
    </div>
    <div class="next">
      <p v-if="card.handedAt" class="quiet">
        handed over <span class="figure small">{{ format(new Date(card.handedAt), 'd MMM yyyy') }}</span>
      </p>
      <p v-else><b>{{ card.next ? station : 'All settled' }}</b>{{ line?.says ? `: ${line.says}` : '' }}</p>
      <p v-for="clock in clocks ?? []" :key="clock.id" class="wait clock">
        <b>clock</b> {{ clock.name }} <span class="figure">{{ clockFace(clock.leftS) }}</span>
      </p>
      <p v-for="wait in line?.waits ?? []" :key="wait.kind + wait.words" class="wait" :class="wait.kind">
        <b>{{ WAIT_WORDS[wait.kind] }}</b> {{ wait.words }}
      </p>
    </div>
    <div class="promised">
      <template v-if="promised">
        <p>promised <span class="figure">{{ promised.day }}</span></p>
        <p v-if="promised.says" class="small" :class="promised.late ? 'late-by' : 'quiet'">{{ promised.says }}</p>
      </template>
    </div>
    <div class="acts">
      <button
        type="button"
        class="plain-button slight"
        aria-haspopup="menu"
        :aria-label="`More for ${card.title}`"
        @click="emit('more', $event.currentTarget as HTMLElement)"
      >
        ···
      </button>
    </div>
  </li>
</template>

<style scoped>
.job {
  display: grid;
  grid-template-columns: 96px minmax(0, 5fr) minmax(0, 5fr) minmax(120px, 3fr) auto;
  gap: 4px 18px;
  padding: 10px 0;
  border-bottom: 1px solid var(--hairline);
  align-items: start;
}
p {
  margin: 0;
}
.look {
  display: block;
  width: 96px;
  height: 64px;
  background: var(--sheet);
  border: 1px solid var(--hairline);
}
.look img {
  width: 100%;
  height: 100%;
  object-fit: cover;
  display: block;
}
.look svg {
  width: 100%;
  height: 100%;
}
.metal {
  fill: var(--metal);
  stroke: var(--soot);
  stroke-width: 0.8;
}
.faint {
  stroke: var(--hairline);
  stroke-width: 0.4;
}
.mark {
  fill: none;
  stroke: var(--stop);
  stroke-width: 2.6;
  stroke-linecap: round;
  stroke-linejoin: round;
}
.none {
  fill: none;
  stroke: var(--hairline);
  stroke-dasharray: 3 3;
}
.title {
  font-weight: 600;
  display: inline-block;
}
.beads {
  width: 112px;
  height: 13px;
  margin-top: 4px;
  fill: none;
  stroke: var(--hairline);
}
.beads .laid {
  fill: var(--slate);
  stroke: var(--paper);
}
.wait {
  margin-top: 3px;
  padding-left: 8px;
  border-left: 3px solid var(--slate);
  font-size: 0.88rem;
}
.wait.stop {
  border-color: var(--stop);
}
.wait.stale {
  border-color: var(--hazard);
}
.wait.clock,
.wait.buy {
  border-color: var(--chestnut);
}
.rung .clock {
  font-weight: 650;
}
.late-by {
  color: var(--hazard-text);
}
.acts {
  align-self: start;
}
.acts button {
  padding: 4px 12px;
}
.handed .look {
  opacity: 0.7;
}
@media (max-width: 799px) {
  .job {
    grid-template-columns: 72px minmax(0, 1fr) auto;
    column-gap: 12px;
  }
  .look {
    width: 72px;
    height: 48px;
  }
  .acts {
    grid-column: 3;
    grid-row: 1;
  }
  .next,
  .promised {
    grid-column: 2 / -1;
  }
}
</style>
