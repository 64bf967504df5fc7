<script setup lang="ts">
import { computed } from 'vue'
import { format } from 'date-fns'
import { COMEBACKS } from '#core/job/words.table'
import { count } from '#core/station/parts'
import { whatToChange } from '#core/station/shop/what-to-change'
import RatioBar from './RatioBar.vue'
import { useLessons } from './use-lessons'

const { lessons, trouble, use, forget, shop } = useLessons()
const KINDS = {
  mend: 'By kind of mend',
  family: 'By metal',
  process: 'By process',
  soak: 'By oil in the metal',
  filler: 'By filler',
} as const
const groups = computed(() =>
  Object.entries(KINDS)
    .map(([by, title]) => ({ by, title, rows: (lessons.value?.groups ?? []).filter(group => group.by === by) }))
    .filter(kind => kind.rows.length),
)
const changes = computed(() => (lessons.value ? whatToChange(lessons.value) : []))
const pct = (value: number) => `${Math.round(value)} %`
const learnt = computed(() => shop.kit.learnt)
</script>

<template>
  <div class="page">
    <p class="where">Lessons</p>
    <h1 v-if="lessons?.all" data-testid="lessons-call">
      <b class="figure">{{ lessons.all.successes }}</b> of <b class="figure">{{ lessons.all.jobs }}</b> finished
      {{ lessons.all.jobs === 1 ? 'job' : 'jobs' }} held: between
      <b class="figure">{{ pct(lessons.all.lowPct) }}</b> and <b class="figure">{{ pct(lessons.all.highPct) }}</b> of
      such jobs would.
    </h1>
    <h1 v-else-if="lessons">Nothing is handed over yet: lessons begin with the first finished job.</h1>
    <h1 v-else>{{ trouble ? 'No lessons' : 'Reading your records…' }}</h1>
    <p v-if="trouble" role="alert" class="wrong">{{ trouble }}</p>
    <p>
      <NuxtLink to="/puddle" class="plain-button" data-testid="to-puddle">Train the hand: the puddle</NuxtLink>
    </p>

    <template v-if="changes.length">
      <h2>What to change</h2>
      <ul class="changes" data-testid="changes">
        <li v-for="change in changes" :key="change.key">
          {{ change.words }}. <span class="quiet small">{{ change.because }}.</span>
        </li>
      </ul>
    </template>

    <template v-if="lessons?.learnt.length">
      <h2>Taken over planned</h2>
      <ul class="bars" data-testid="learnt">
        <li v-for="entry in lessons.learnt" :key="entry.key">
          <span class="name"
            >{{ entry.name }} <span class="quiet small">{{ count(entry.ratio.jobs, 'job') }}</span></span
          >
          <RatioBar :ratio="entry.ratio" :name="entry.name" />
          <span class="figure small">
            {{ entry.ratio.ratio.toFixed(2) }}×{{
              entry.ratio.low === null ? '' : ` · ${entry.ratio.low.toFixed(2)} to ${entry.ratio.high!.toFixed(2)}`
            }}
          </span>
        </li>
      </ul>
      <p class="quiet small">
        The line in the middle is what the tables say; the bar is where your shop's own lies, the mark what plans would
        go by. One job alone tells no spread, and has no bar.
      </p>
      <div class="row gap">
        <button type="button" class="plain-button strong" data-testid="use-learnt" @click="use()">
          Plan with these
        </button>
        <button v-if="learnt" type="button" class="plain-button" data-testid="forget-learnt" @click="forget()">
          Back to the starting values
        </button>
        <span v-if="learnt" class="quiet small"
          >Plans go by what was learnt on {{ format(new Date(learnt.at), 'd MMM yyyy') }}.</span
        >
      </div>
      <p class="quiet small">
        Drawn towards the starting value by two jobs' worth, so that one odd job does not move it much. Nine intervals
        in ten hold the truth.
      </p>
    </template>

    <section v-for="kind in groups" :key="kind.by">
      <h2>{{ kind.title }}</h2>
      <ul class="bars">
        <li v-for="row in kind.rows" :key="row.value">
          <span class="name"
            >{{ row.value }} <span class="quiet small">{{ row.successes }} of {{ count(row.jobs, 'job') }}</span></span
          >
          <svg
            viewBox="0 0 300 18"
            preserveAspectRatio="none"
            role="img"
            :aria-label="`${row.value}: ${row.successes} of ${row.jobs} held; between ${pct(row.lowPct)} and ${pct(row.highPct)}`"
          >
            <path class="axis" d="M0 9H300" />
            <rect
              class="span"
              :x="row.lowPct * 3"
              y="4"
              :width="Math.max(2, (row.highPct - row.lowPct) * 3)"
              height="10"
            />
            <rect class="mark" :x="row.ratePct * 3 - 1.5" y="1" width="3" height="16" />
          </svg>
          <span class="figure small"
            >{{ pct(row.lowPct) }}–{{ pct(row.highPct)
            }}{{ row.timeRatio ? ` · ${row.timeRatio.ratio.toFixed(2)} × the minutes` : '' }}</span
          >
        </li>
      </ul>
    </section>

    <template v-if="lessons?.traced.length"
      ><h2>What came back, and how it was mended the first time</h2>
      <table class="traced">
        <thead>
          <tr>
            <th>Part</th>
            <th>Why</th>
            <th class="wide">Metal</th>
            <th class="wide">Process, filler</th>
            <th class="wide">Oil</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="entry in lessons.traced" :key="entry.id">
            <td>
              <NuxtLink :to="`/job/${entry.firstId}/hand-over`" translate="no">{{ entry.title }}</NuxtLink>
            </td>
            <td>{{ entry.why ? COMEBACKS[entry.why] : 'not said' }}</td>
            <td class="wide">{{ entry.first.family }}</td>
            <td class="wide">{{ [entry.first.process, entry.first.filler].filter(Boolean).join(', ') }}</td>
            <td class="wide">{{ entry.first.soak?.replaceAll('-', ' ') }}</td>
          </tr>
        </tbody>
      </table></template
    >
    <template v-if="lessons?.machines.length"
      ><h2>What machines have paid back</h2>
      <table>
        <thead>
          <tr>
            <th>Machine</th>
            <th class="num">Cost</th>
            <th class="num">Brought in</th>
            <th class="num">over</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="machine in lessons.machines" :key="machine.name">
            <td>{{ machine.name }}</td>
            <td class="num">{{ shop.kit.currency }}{{ machine.paid.toFixed(0) }}</td>
            <td class="num">{{ shop.kit.currency }}{{ machine.earned.toFixed(0) }}</td>
            <td class="num">{{ count(machine.jobs, 'job') }}</td>
          </tr>
        </tbody>
      </table></template
    >
    <template v-if="lessons?.torches.length"
      ><h2>Torches learnt</h2>
      <ul>
        <li v-for="torch in lessons.torches" :key="torch.name">
          {{ torch.name }}: {{ torch.efficiencyPct.toFixed(0) }} % goes in,
          <span class="figure">{{ torch.absorbedW.toFixed(0) }} ± {{ torch.errorW.toFixed(0) }} W</span>
        </li>
      </ul></template
    >
  </div>
</template>

<style scoped>
.where {
  margin: 0;
  font-weight: 650;
  color: var(--chestnut);
}
h1 {
  font-size: 1.42rem;
  font-weight: 550;
}
h2 {
  margin: 22px 0 6px;
  font-size: 1.1rem;
}
.gap {
  margin: 10px 0;
}
.bars {
  list-style: none;
  padding: 0;
  margin: 0;
}
.changes li {
  margin: 6px 0;
}
.traced td {
  overflow-wrap: anywhere;
}
.bars li {
  display: grid;
  grid-template-columns: minmax(0, 2fr) minmax(0, 3fr) minmax(0, 1.6fr);
  gap: 14px;
  align-items: center;
  border-bottom: 1px solid var(--hairline);
  padding: 6px 0;
}
svg {
  width: 100%;
  height: 18px;
}
.axis {
  stroke: var(--hairline);
}
.span {
  fill: var(--new-metal-wash);
  stroke: var(--new-metal);
}
.mark {
  fill: var(--chestnut);
}
.wrong {
  color: var(--stop);
}
@media (max-width: 899px) {
  .bars li {
    grid-template-columns: 1fr;
    gap: 2px;
  }
}
@media (max-width: 699px) {
  .wide {
    display: none;
  }
}
</style>
