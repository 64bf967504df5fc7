<script setup lang="ts">
import { computed, ref } from 'vue'
import { useNow } from '@vueuse/core'
import { handsMin, promised } from '#core/station/shop/day'
import { DAY_MIN } from '#core/quantity/hours'
import { clockFace } from '#core/quantity/clock-face'
import { wallMinutes } from '#core/quantity/wall-clock'
import { useSettings } from '~/stores/settings'
import DayChart from './DayChart.vue'
import DayPromises from './DayPromises.vue'
import WeekAhead from './WeekAhead.vue'
import { dayLines, numbered } from './day-lines'
import { useDay } from './use-day'
import { useDoing } from './use-doing'

const settings = useSettings()
const day = useDay()
const { lateSaid, putOff, letGo, putBy, bench, hours, ahead, planned, reason, busy, share, saveCalendar, stop } = day
const { from, to, clock, dayName, midnight } = bench
const { noted, clockOf, start, stop: leave, done, kept } = useDoing()
const lit = ref<string | null>(null)
const now = useNow({ interval: 30_000 })
const nowMin = computed(() => wallMinutes(now.value, midnight))
const promises = computed(() => (planned.value ? promised(planned.value.given, planned.value.tasks) : []))
const tasks = computed(() => numbered(planned.value?.tasks ?? []))
const days = computed(() => {
  const last = Math.max(1, ...tasks.value.map(task => task.startMin + task.minutes))
  return Array.from({ length: Math.ceil(last / DAY_MIN) }, (_, n) =>
    planned.value ? dayLines(planned.value, tasks.value, n, hours.value) : null,
  ).filter(lines => lines !== null)
})
/** What comes next in the same job. */
const after = (task: (typeof tasks.value)[number]) =>
  tasks.value.find(each => each.jobId === task.jobId && each.startMin >= task.startMin + task.minutes)
/** Only what is first in its job can be done now. */
const first = (task: (typeof tasks.value)[number]) =>
  tasks.value.find(each => each.jobId === task.jobId)?.id === task.id
</script>

<template>
  <div class="page">
    <p class="where">Bench day</p>
    <h1 v-if="reason" data-testid="day-call">No plan of the day.</h1>
    <h1 v-else-if="planned && tasks.length" data-testid="day-call">
      <template v-if="planned.late.length"
        >Promises that do not hold: <b class="figure">{{ planned.late.length }}</b> of
        <b class="figure">{{ promises.length }}</b>. </template
      >All of it is done <b class="figure">{{ dayName(planned.makespanMin) }}, {{ clock(planned.makespanMin) }}</b>,
      with <b class="figure">{{ settings.text(handsMin(tasks), 'min') }}</b> of your hands in it.
    </h1>
    <h1 v-else-if="planned && !busy">
      Nothing is open: every job on the shelf is handed over or has its stations settled.
    </h1>
    <h1 v-else>Planning the day…</h1>
    <div class="row no-print">
      <label>Hours <input v-model="from" class="figure" aria-label="Hours from" maxlength="5" /></label>
      <label>to <input v-model="to" class="figure" aria-label="Hours to" maxlength="5" /></label>
      <button type="button" class="plain-button" :disabled="!tasks.length" data-testid="ics" @click="saveCalendar()">
        Into a calendar
      </button>
      <span v-if="busy" class="small" role="status"
        ><progress :value="share" max="1" /> {{ planned ? 'a first plan; looking for a better one' : 'planning' }}
        <button type="button" class="plain-button slight" @click="stop()">That will do</button></span
      >
    </div>
    <p v-if="reason" class="wrong" role="alert">{{ reason }}</p>
    <div v-for="job in lateSaid" :key="job.id" class="late" role="status" data-testid="late">
      <p><b translate="no">{{ job.title }}</b> is {{ settings.text(job.lateMin, 'min') }} late: {{ job.why }}.</p>
      <p v-if="!job.saving" class="quiet small">Looking for what would save it…</p>
      <p v-else-if="job.saving.length">
        Any one of these saves it, with no other job later than promised: {{ job.saving.join('; ') }}.
      </p>
      <p v-else>
        Nothing tried here saves it: neither three hours more, nor one more of anything, nor another job promised for
        later. With the day to itself it ends {{ job.soonest }}; agree that or later.
      </p>
    </div>
    <DayPromises v-if="!reason && promises.length" :promises="promises" :when="bench.when" />
    <p v-if="putBy" class="small">
      {{ putBy }} put off by hand. <button type="button" class="open-figure" @click="letGo()">Let them go</button>
    </p>
    <p v-if="noted" class="small" role="status" data-testid="noted">
      {{ noted.words }} <button type="button" class="open-figure" @click="noted.undo()">Take it back</button>
    </p>
    <WeekAhead v-if="tasks.length" :ahead="ahead" :bench="bench" @write="bench.writeHours" />
    <section v-for="lines in days" :key="lines.start" class="day">
      <p class="label">{{ dayName(lines.start) }}</p>
      <DayChart
        :day="lines"
        :name="dayName(lines.start)"
        :now-min="nowMin"
        :clock="clock"
        :lit="lit"
        @light="lit = $event"
        @put="putOff"
      />
    </section>
    <table v-if="tasks.length">
      <thead>
        <tr>
          <th class="num">No.</th>
          <th>From</th>
          <th class="wide">To</th>
          <th>Do</th>
          <th class="wide">Job</th>
          <th class="no-print"><span class="visually-hidden">Begin, leave, finish</span></th>
        </tr>
      </thead>
      <tbody>
        <tr
          v-for="task in tasks"
          :key="task.id"
          :class="{ lit: lit === task.id }"
          :data-row="task.id"
          @pointerenter="lit = task.id"
          @pointerleave="lit = null"
        >
          <td class="figure num">{{ task.number }}</td>
          <td class="figure">
            {{ bench.when(task.startMin) }}
          </td>
          <td class="figure wide">{{ clock(task.startMin + task.minutes) }}</td>
          <td>
            {{ task.name }}<span v-if="task.unattended" class="quiet small"> unattended</span>
            <NuxtLink :to="`/job/${task.jobId}/take-in`" class="of small" translate="no">{{ task.title }}</NuxtLink>
          </td>
          <td class="wide">
            <NuxtLink :to="`/job/${task.jobId}/take-in`" translate="no">{{ task.title }}</NuxtLink>
          </td>
          <td class="acts no-print">
            <template v-if="clockOf(task)">
              <span class="figure small">{{ clockFace(clockOf(task)!.leftS) }}</span>
              <button type="button" class="plain-button slight" @click="leave(task)">stop</button>
            </template>
            <button
              v-else-if="first(task)"
              type="button"
              class="plain-button slight"
              :aria-label="`Start ${task.name}, ${task.title}`"
              @click="start(task)"
            >
              start
            </button>
            <button
              v-if="kept(task) && first(task)"
              type="button"
              class="plain-button slight"
              :aria-label="`Done: ${task.name}, ${task.title}`"
              @click="done(task, after(task))"
            >
              done
            </button>
          </td>
        </tr>
      </tbody>
    </table>
    <p v-if="planned && tasks.length" class="quiet small">
      One pair of hands, one torch, machine, mill, oven and freezer. A part is welded within ten minutes of being warm.
      No plan of these jobs can end sooner than {{ clock(planned.lowerBoundMin) }} on
      {{ dayName(planned.lowerBoundMin) }}; this one ends
      {{
        planned.makespanMin > planned.lowerBoundMin
          ? `at most ${settings.text(planned.makespanMin - planned.lowerBoundMin, 'min')} later than the best`
          : 'then: it is the best there is'
      }}. Found by search; the soonest it could end is worked out after Jackson (Carlier 1982).
    </p>
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
  margin-bottom: 10px;
}
h1 b {
  font-weight: 700;
  white-space: normal;
}
label input {
  width: 84px;
  min-height: var(--touch);
  border: 1px solid var(--hairline);
  background: var(--sheet);
  color: var(--soot);
  padding: 0 8px;
  font-size: 1rem;
}
.day {
  margin: 16px 0;
}
.lit {
  background: var(--sheet);
  box-shadow: inset 4px 0 0 var(--chestnut);
}
.num {
  text-align: right;
  padding-right: 14px;
}
.acts {
  text-align: right;
  white-space: nowrap;
}
.acts button {
  padding: 4px 12px;
  margin-left: 6px;
}
.late {
  border-left: 4px solid var(--hazard);
  padding-left: 10px;
  margin: 8px 0;
}
.late p {
  margin: 2px 0;
}
.wrong {
  color: var(--stop);
}
progress {
  accent-color: var(--chestnut);
}
.of {
  display: none;
}
@media (max-width: 699px) {
  .wide {
    display: none;
  }
  .of {
    display: block;
  }
  .acts {
    white-space: normal;
  }
  .acts button {
    margin: 2px 0 2px 4px;
  }
}
</style>
