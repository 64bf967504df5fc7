<script setup lang="ts">
import { computed, ref } from 'vue'
import { pointIn } from '~/composables/use-drawing'
import { LEFT, ROW, WIDTH, type DayLines } from './day-lines'

/** One day drawn: the hands' own line first, then one for each job. A task is put off by dragging or with arrows. */
const props = defineProps<{
  day: DayLines
  name: string
  nowMin: number
  clock: (minutes: number) => string
  /** The task under the pointer, here or in the list. */
  lit: string | null
}>()
const emit = defineEmits<{ light: [id: string | null]; put: [id: string, minute: number] }>()
/** What runs by itself is drawn lower. */
const LOW = 0.6 * (ROW - 8)
const top = (bar: { unattended: boolean }) => (bar.unattended ? (ROW - 8 - LOW) / 2 : 0)
const now = computed(() => {
  const x = LEFT + (props.nowMin - props.day.start - props.day.low) * props.day.scale
  return x >= LEFT && x <= WIDTH - 10 ? x : null
})
const held = ref<{ id: string; startMin: number; x: number; by: number } | null>(null)
function grab(bar: { id: string; startMin: number }, event: PointerEvent) {
  const svg = (event.currentTarget as SVGElement).ownerSVGElement!
  held.value = { id: bar.id, startMin: bar.startMin, x: pointIn(svg, event).x, by: 0 }
  svg.setPointerCapture(event.pointerId)
}
const drag = (event: PointerEvent) => {
  if (held.value)
    held.value = { ...held.value, by: pointIn(event.currentTarget as SVGSVGElement, event).x - held.value.x }
}
function drop() {
  const was = held.value
  held.value = null
  if (was && Math.abs(was.by) > 3) emit('put', was.id, was.startMin + was.by / props.day.scale)
}
const short = (title: string) => (title.length > 24 ? `${title.slice(0, 23)}…` : title)
</script>

<template>
  <div class="scroll" tabindex="0" role="region" :aria-label="`${name}, drawn`">
    <svg
      class="drawing"
      :viewBox="`0 0 ${WIDTH} ${day.high}`"
      role="group"
      :aria-label="`${name}: the hands' own line first, then a line for each job; a task is put off with the arrow keys or by dragging`"
      @pointermove="drag"
      @pointerup="drop"
      @pointercancel="drop"
    >
      <g v-for="tick in day.ticks" :key="tick.hour">
        <line class="thin faint" :x1="tick.x" :x2="tick.x" y1="18" :y2="day.high" />
        <text :x="tick.x" y="12" text-anchor="middle">{{ tick.hour % 24 }}</text>
      </g>
      <g v-for="(line, n) in day.lines" :key="line.id" :transform="`translate(0 ${22 + n * ROW})`">
        <text class="note" x="0" :y="ROW / 2 + 4">{{ short(line.title) }}</text>
        <g v-if="line.due !== null" class="due" :class="{ late: line.late }">
          <line :x1="line.due" :x2="line.due" y1="0" :y2="ROW - 2" />
          <text :x="line.due - 4" y="9" text-anchor="end">due</text>
        </g>
        <g v-for="bar in line.bars" :key="bar.id">
          <rect
            :class="['bar', { alone: bar.unattended, own: n === 0, lit: lit === bar.id }]"
            role="slider"
            :tabindex="n ? 0 : -1"
            :aria-label="`${bar.number}: ${bar.name}, ${bar.title}`"
            :aria-valuenow="bar.startMin"
            aria-valuemin="0"
            aria-valuemax="43200"
            :aria-valuetext="clock(bar.startMin)"
            :data-task="n ? bar.id : undefined"
            @pointerdown="grab(bar, $event)"
            @pointerenter="emit('light', bar.id)"
            @pointerleave="emit('light', null)"
            @focus="emit('light', bar.id)"
            @blur="emit('light', null)"
            @keydown.right.prevent="emit('put', bar.id, bar.startMin + 30)"
            @keydown.left.prevent="emit('put', bar.id, bar.startMin - 30)"
            :x="bar.x + (held?.id === bar.id ? held.by : 0)"
            :y="3 + top(bar)"
            :width="Math.max(2, bar.wide)"
            :height="bar.unattended ? LOW : ROW - 8"
          >
            <title>{{ bar.number }}: {{ bar.name }}, {{ bar.title }}</title>
          </rect>
          <text
            v-if="bar.label"
            :x="bar.x + 5"
            :y="ROW / 2 + (bar.unattended ? 3 : 4)"
            :class="{ inverse: n === 0, alone: bar.unattended }"
          >
            {{ bar.label }}
          </text>
          <g v-else-if="n > 0 && bar.leadX !== null" class="lead">
            <line :x1="bar.x + bar.wide / 2" :x2="bar.leadX - 2" y1="5" y2="-2" />
            <text :x="bar.leadX" y="3">{{ bar.number }}</text>
          </g>
        </g>
      </g>
      <g v-if="now !== null" class="now">
        <line :x1="now" :x2="now" y1="14" :y2="day.high" />
        <text :x="now + 4" :y="day.high - 3">now</text>
      </g>
    </svg>
  </div>
</template>

<style scoped>
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
  cursor: grab;
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
.bar.lit {
  stroke: var(--chestnut);
  stroke-width: 3;
  stroke-dasharray: none;
}
.drawing text {
  pointer-events: none;
}
.inverse {
  fill: var(--paper) !important;
}
.lead line {
  stroke: var(--slate);
}
.drawing .lead text {
  font-size: 10px;
}
.due line {
  stroke: var(--slate);
  stroke-width: 2;
}
.due text {
  font-size: 10px;
}
.due.late line {
  stroke: var(--hazard);
}
.now line {
  stroke: var(--chestnut);
  stroke-width: 1.6;
}
.drawing .now text {
  fill: var(--chestnut);
  font-size: 10px;
}
</style>
