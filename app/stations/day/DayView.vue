<script setup lang="ts">
import { computed } from 'vue'
import { dayFigures } from '#core/plan/day'
import { useSettings } from '~/stores/settings'
import { useDay } from './use-day'

const settings = useSettings()
const { from, to, hours, planned, reason, busy, share, saveCalendar, clock, dayName, stop } = useDay()
const WIDTH = 1060
const LEFT = 170
const ROW = 34
const DAY_MIN = 1440
const tasks = computed(() => planned.value?.tasks ?? [])
const days = computed(() => {
  const { fromMin = 480, toMin = 1020 } = hours.value ?? {}
  const count = Math.ceil(Math.max(1, ...tasks.value.map(task => task.startMin + task.minutes)) / DAY_MIN)
  return Array.from({ length: count }, (_, n) => {
    const [start, end] = [n * DAY_MIN, (n + 1) * DAY_MIN]
    const here = tasks.value.filter(task => task.startMin < end && task.startMin + task.minutes > start)
    const low = Math.min(fromMin, ...here.map(task => Math.max(0, task.startMin - start)))
    const high = Math.max(toMin, ...here.map(task => Math.min(DAY_MIN, task.startMin + task.minutes - start)))
    const scale = (WIDTH - LEFT - 10) / (high - low)
    const jobs = [...new Set(here.map(task => task.jobId))]
    const bar = (task: typeof here[number]) => ({ ...task, x: LEFT + Math.max(0, task.startMin - start - low) * scale, wide: (Math.min(end, task.startMin + task.minutes) - Math.max(start + low, task.startMin)) * scale })
    const lines = [{ id: 'hands', title: 'The hands', bars: here.filter(task => !task.unattended).map(bar) }, ...jobs.map(id => ({ id, title: here.find(task => task.jobId === id)!.title, bars: here.filter(task => task.jobId === id).map(bar) }))]
    const ticks = Array.from({ length: Math.floor(high / 60) - Math.ceil(low / 60) + 1 }, (_, hour) => Math.ceil(low / 60) + hour).map(hour => ({ hour, x: LEFT + (hour * 60 - low) * scale }))
    return { start, lines, ticks, high: lines.length * ROW + 30 }
  }).filter(day => day.lines.length > 1)
})
const figures = computed(() => dayFigures(tasks.value, planned.value?.makespanMin ?? 0, planned.value?.lowerBoundMin ?? 0))
</script>

<template>
  <div class="page">
    <p class="where">Bench day</p>
    <h1 v-if="planned && tasks.length" data-testid="day-call">All of it is done <b class="figure">{{ dayName(planned.makespanMin) }}, {{ clock(planned.makespanMin) }}</b>, with <b class="figure">{{ settings.text(figures.handsMin, 'min') }}</b> of your hands in it.</h1>
    <h1 v-else-if="planned">Nothing is open: every job on the shelf is handed over or has its stations settled.</h1>
    <h1 v-else>Planning the day…</h1>
    <div class="row no-print">
      <label>Hours <input v-model="from" class="figure" aria-label="Hours from" maxlength="5"></label>
      <label>to <input v-model="to" class="figure" aria-label="Hours to" maxlength="5"></label>
      <button type="button" class="plain-button" :disabled="!tasks.length" data-testid="ics" @click="saveCalendar()">Into a calendar</button>
      <span v-if="busy" class="small" role="status"><progress :value="share" max="1" /> looking for a better one <button type="button" class="plain-button slight" @click="stop()">That will do</button></span>
    </div>
    <p v-if="reason" class="wrong" role="alert">{{ reason }}</p>
    <section v-for="day in days" :key="day.start" class="day">
      <p class="label">{{ dayName(day.start) }}</p>
      <div class="scroll" tabindex="0" role="region" :aria-label="`${dayName(day.start)}, drawn`">
        <svg class="drawing" :viewBox="`0 0 ${WIDTH} ${day.high}`" role="img" :aria-label="`${dayName(day.start)}: the hands' own line first, then a line for each job`">
          <g v-for="tick in day.ticks" :key="tick.hour"><line class="thin faint" :x1="tick.x" :x2="tick.x" y1="18" :y2="day.high" /><text :x="tick.x" y="12" text-anchor="middle">{{ tick.hour % 24 }}</text></g>
          <g v-for="(line, n) in day.lines" :key="line.id" :transform="`translate(0 ${22 + n * ROW})`">
            <text class="note" x="0" :y="ROW / 2 + 4">{{ line.title.length > 24 ? `${line.title.slice(0, 23)}…` : line.title }}</text>
            <g v-for="bar in line.bars" :key="bar.id"><rect :class="['bar', { alone: bar.unattended, own: n === 0 }]" :x="bar.x" y="3" :width="Math.max(2, bar.wide)" :height="ROW - 8" /><text v-if="bar.wide > 46" :x="bar.x + 5" :y="ROW / 2 + 4" :class="{ inverse: n === 0 }">{{ bar.name.slice(0, Math.floor(bar.wide / 8)) }}</text></g>
          </g>
        </svg>
      </div>
    </section>
    <table v-if="tasks.length">
      <thead><tr><th>From</th><th>To</th><th>Do</th><th>Job</th></tr></thead>
      <tbody><tr v-for="task in tasks.toSorted((a, b) => a.startMin - b.startMin)" :key="task.id"><td class="figure">{{ task.startMin >= 1440 ? `${dayName(task.startMin).slice(0, 3)} ` : '' }}{{ clock(task.startMin) }}</td><td class="figure">{{ clock(task.startMin + task.minutes) }}</td><td>{{ task.name }}<span v-if="task.unattended" class="quiet small"> by itself</span></td><td><NuxtLink :to="`/job/${task.jobId}/take-in`">{{ task.title }}</NuxtLink></td></tr></tbody>
    </table>
    <p v-if="planned && tasks.length" class="quiet small">One pair of hands, one torch, machine, mill and oven. A part is welded within ten minutes of being warm. No plan of these jobs can end sooner than {{ clock(planned.lowerBoundMin) }} on {{ dayName(planned.lowerBoundMin) }}; this one is at most {{ figures.gapPct.toFixed(0) }} % longer. Found by search; the bound is Jackson's (Carlier 1982).</p>
  </div>
</template>

<style scoped>
.where { margin: 0; font-weight: 650; color: var(--chestnut); }
h1 { font-size: 1.42rem; font-weight: 550; margin-bottom: 10px; }
h1 b { font-weight: 700; }
label input { width: 84px; min-height: var(--touch); border: 1px solid var(--hairline); background: var(--sheet); color: var(--soot); padding: 0 8px; font-size: 1rem; }
.day { margin: 16px 0; }
.scroll { overflow-x: auto; }
.scroll svg { min-width: 760px; }
.faint { stroke: var(--hairline); }
.bar { fill: var(--new-metal-wash); stroke: var(--new-metal); stroke-width: 1.2; }
.bar.alone { fill: var(--sheet); stroke: var(--slate); stroke-dasharray: 4 3; }
.bar.own { fill: var(--slate); stroke: var(--soot); }
.inverse { fill: var(--paper) !important; }
.wrong { color: var(--stop); }
progress { accent-color: var(--chestnut); }
</style>
