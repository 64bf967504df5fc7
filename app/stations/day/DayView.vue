<script setup lang="ts">
import { computed, ref } from 'vue'
import { DAY_MIN, handsMin } from '#core/plan/day'
import { pointIn } from '~/composables/use-drawing'
import { useSettings } from '~/stores/settings'
import { useDay } from './use-day'

const settings = useSettings()
const {
  lateSaid,
  putOff,
  letGo,
  putBy,
  from,
  to,
  hours,
  planned,
  reason,
  busy,
  share,
  saveCalendar,
  clock,
  dayName,
  stop,
} = useDay()
const WIDTH = 1060
const LEFT = 170
const ROW = 34
/** What runs by itself is drawn lower. */
const LOW = 0.6 * (ROW - 8)
const top = (bar: { unattended: boolean }) => (bar.unattended ? (ROW - 8 - LOW) / 2 : 0)
const tasks = computed(() => planned.value?.tasks ?? [])
const days = computed(() => {
  const { fromMin = 480, toMin = 1020 } = hours.value ?? {}
  const count = Math.ceil(Math.max(1, ...tasks.value.map(task => task.startMin + task.minutes)) / DAY_MIN)
  return Array.from({ length: count }, (_, n) => {
    const [start, end] = [n * DAY_MIN, (n + 1) * DAY_MIN]
    const here = tasks.value.filter(task => task.startMin < end && task.startMin + task.minutes > start)
    // A day half gone is drawn from where its work begins.
    const low = Math.max(
      Math.min(fromMin, ...here.map(task => Math.max(0, task.startMin - start))),
      60 * Math.floor(Math.min(...here.map(task => Math.max(0, task.startMin - start))) / 60),
    )
    const high = Math.max(toMin, ...here.map(task => Math.min(DAY_MIN, task.startMin + task.minutes - start)))
    const scale = (WIDTH - LEFT - 10) / (high - low)
    const jobs = [...new Set(here.map(task => task.jobId))]
    const bar = (task: (typeof here)[number]) => ({
      ...task,
      x: LEFT + Math.max(0, task.startMin - start - low) * scale,
      wide: (Math.min(end, task.startMin + task.minutes) - Math.max(start + low, task.startMin)) * scale,
    })
    const lines = [
      { id: 'hands', title: 'The hands', bars: here.filter(task => !task.unattended).map(bar) },
      ...jobs.map(id => ({
        id,
        title: here.find(task => task.jobId === id)!.title,
        bars: here.filter(task => task.jobId === id).map(bar),
      })),
    ]
    const ticks = Array.from(
      { length: Math.floor(high / 60) - Math.ceil(low / 60) + 1 },
      (_, hour) => Math.ceil(low / 60) + hour,
    ).map(hour => ({ hour, x: LEFT + (hour * 60 - low) * scale }))
    return { start, scale, lines, ticks, high: lines.length * ROW + 30 }
  }).filter(day => day.lines.length > 1)
})
const held = ref<{ id: string; startMin: number; x: number; scale: number; by: number } | null>(null)
function grab(bar: { id: string; startMin: number }, scale: number, event: PointerEvent) {
  const svg = (event.currentTarget as SVGElement).ownerSVGElement!
  held.value = { id: bar.id, startMin: bar.startMin, x: pointIn(svg, event).x, scale, by: 0 }
  svg.setPointerCapture(event.pointerId)
}
const drag = (event: PointerEvent) => {
  if (held.value)
    held.value = { ...held.value, by: pointIn(event.currentTarget as SVGSVGElement, event).x - held.value.x }
}
function drop() {
  const now = held.value
  held.value = null
  if (now && Math.abs(now.by) > 3) putOff(now.id, now.startMin + now.by / now.scale)
}
const nudge = (id: string, startMin: number, by: number) => putOff(id, startMin + by)
</script>

<template>
  <div class="page">
    <p class="where">Bench day</p>
    <h1 v-if="planned && tasks.length" data-testid="day-call">
      All of it is done <b class="figure">{{ dayName(planned.makespanMin) }}, {{ clock(planned.makespanMin) }}</b
      >, with <b class="figure">{{ settings.text(handsMin(tasks), 'min') }}</b> of your hands in it.
    </h1>
    <h1 v-else-if="planned">Nothing is open: every job on the shelf is handed over or has its stations settled.</h1>
    <h1 v-else>Planning the day…</h1>
    <div class="row no-print">
      <label>Hours <input v-model="from" class="figure" aria-label="Hours from" maxlength="5" /></label>
      <label>to <input v-model="to" class="figure" aria-label="Hours to" maxlength="5" /></label>
      <button type="button" class="plain-button" :disabled="!tasks.length" data-testid="ics" @click="saveCalendar()">
        Into a calendar
      </button>
      <span v-if="busy" class="small" role="status"
        ><progress :value="share" max="1" /> looking for a better one
        <button type="button" class="plain-button slight" @click="stop()">That will do</button></span
      >
    </div>
    <p v-if="reason" class="wrong" role="alert">{{ reason }}</p>
    <div v-for="job in lateSaid" :key="job.id" class="late" role="status" data-testid="late">
      <p>
        <b>{{ job.title }}</b> is {{ settings.text(job.lateMin, 'min') }} late: {{ job.why }}.
      </p>
      <p v-if="!job.saving" class="quiet small">Looking for what would save it…</p>
      <p v-else-if="job.saving.length">
        Any one of these saves it, with no other job later than promised: {{ job.saving.join('; ') }}.
      </p>
      <p v-else>
        Nothing tried here saves it: neither three hours more, nor one more of anything, nor another job promised for
        later. With the day to itself it ends {{ job.soonest }}; agree that or later.
      </p>
    </div>
    <p v-if="putBy" class="small">
      {{ putBy }} put off by hand. <button type="button" class="open-figure" @click="letGo()">Let them go</button>
    </p>
    <section v-for="day in days" :key="day.start" class="day">
      <p class="label">{{ dayName(day.start) }}</p>
      <div class="scroll" tabindex="0" role="region" :aria-label="`${dayName(day.start)}, drawn`">
        <svg
          class="drawing"
          :viewBox="`0 0 ${WIDTH} ${day.high}`"
          role="group"
          :aria-label="`${dayName(day.start)}: the hands' own line first, then a line for each job; a task is put off with the arrow keys or by dragging`"
          @pointermove="drag"
          @pointerup="drop"
          @pointercancel="drop"
        >
          <g v-for="tick in day.ticks" :key="tick.hour">
            <line class="thin faint" :x1="tick.x" :x2="tick.x" y1="18" :y2="day.high" />
            <text :x="tick.x" y="12" text-anchor="middle">{{ tick.hour % 24 }}</text>
          </g>
          <g v-for="(line, n) in day.lines" :key="line.id" :transform="`translate(0 ${22 + n * ROW})`">
            <text class="note" x="0" :y="ROW / 2 + 4">
              {{ line.title.length > 24 ? `${line.title.slice(0, 23)}…` : line.title }}
            </text>
            <g v-for="bar in line.bars" :key="bar.id">
              <rect
                :class="['bar', { alone: bar.unattended, own: n === 0 }]"
                role="slider"
                :tabindex="n ? 0 : -1"
                :aria-label="`${bar.name}, ${bar.title}`"
                :aria-valuenow="bar.startMin"
                aria-valuemin="0"
                aria-valuemax="43200"
                :aria-valuetext="clock(bar.startMin)"
                :data-task="n ? bar.id : undefined"
                @pointerdown="grab(bar, day.scale, $event)"
                @keydown.right.prevent="nudge(bar.id, bar.startMin, 30)"
                @keydown.left.prevent="nudge(bar.id, bar.startMin, -30)"
                :x="bar.x + (held?.id === bar.id ? held.by : 0)"
                :y="3 + top(bar)"
                :width="Math.max(2, bar.wide)"
                :height="bar.unattended ? LOW : ROW - 8"
              />
              <text
                v-if="bar.wide > 46"
                :x="bar.x + 5"
                :y="ROW / 2 + (bar.unattended ? 3 : 4)"
                :class="{ inverse: n === 0, alone: bar.unattended }"
              >
                {{ bar.name.slice(0, Math.floor(bar.wide / 8)) }}
              </text>
            </g>
          </g>
        </svg>
      </div>
    </section>
    <table v-if="tasks.length">
      <thead>
        <tr>
          <th>From</th>
          <th>To</th>
          <th>Do</th>
          <th>Job</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="task in tasks.toSorted((a, b) => a.startMin - b.startMin)" :key="task.id">
          <td class="figure">
            {{ task.startMin >= DAY_MIN ? `${dayName(task.startMin).slice(0, 3)} ` : '' }}{{ clock(task.startMin) }}
          </td>
          <td class="figure">{{ clock(task.startMin + task.minutes) }}</td>
          <td>{{ task.name }}<span v-if="task.unattended" class="quiet small"> by itself</span></td>
          <td>
            <NuxtLink :to="`/job/${task.jobId}/take-in`">{{ task.title }}</NuxtLink>
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
      }}. Found by search; the bound is Jackson's (Carlier 1982).
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
.scroll {
  overflow-x: auto;
}
.scroll svg {
  min-width: 760px;
}
.faint {
  stroke: var(--hairline);
}
.bar {
  fill: var(--new-metal-wash);
  stroke: var(--new-metal);
  stroke-width: 1.2;
}
.bar.alone {
  fill: var(--sheet);
  stroke: var(--slate);
  stroke-dasharray: 4 3;
}
.drawing text.alone {
  font-size: 11px;
}
.bar.own {
  fill: var(--slate);
  stroke: var(--soot);
}
.inverse {
  fill: var(--paper) !important;
}

.late {
  border-left: 4px solid var(--hazard);
  padding-left: 10px;
  margin: 8px 0;
}
.late p {
  margin: 2px 0;
}
.bar {
  cursor: grab;
}
.wrong {
  color: var(--stop);
}
progress {
  accent-color: var(--chestnut);
}
</style>
