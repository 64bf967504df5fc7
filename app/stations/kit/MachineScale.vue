<script setup lang="ts">
import { isTig } from '#core/process/registry'
import { computed, ref } from 'vue'
import { useElementSize } from '@vueuse/core'
import { balanceScale, currentScale, type ScaledMachine } from '#core/arc/scale'

/** A machine's current and balance drawn as rules: what is wanted above, what its dials read below. */
const props = defineProps<{ machine: ScaledMachine & { name: string; process: string } }>()
const frame = ref<HTMLElement | null>(null)
const { width } = useElementSize(frame)
/** As wide as its place, so that its letters stay their size. */
const wide = computed(() => Math.min(620, Math.max(280, width.value)))
const LEFT = 4
const right = computed(() => wide.value - 4)
const scale = computed(() => currentScale(props.machine))
const x = (a: number) => {
  const { lowA, highA } = props.machine
  return LEFT + ((a - lowA) / Math.max(1e-9, highA - lowA)) * (right.value - LEFT)
}
const percent = computed(() => props.machine.currentDial === 'percent')
const tig = computed(() => isTig(props.machine.process))
const balance = computed(() =>
  balanceScale(props.machine.dialReads).ticks.map(({ enPct, dial }) => ({
    enPct,
    dial,
    x: LEFT + ((enPct - 50) / 40) * (right.value - LEFT),
  })),
)
const high = computed(() => (tig.value ? 132 : 74))
const anchor = (n: number, of: number) => (n === 0 ? 'start' : n === of - 1 ? 'end' : 'middle')
const words = computed(
  () =>
    `${props.machine.name}: ${props.machine.lowA} to ${props.machine.highA} A, without a rest up to ${Math.round(scale.value.restlessA)} A`,
)
</script>

<template>
  <div ref="frame">
    <svg class="drawing" :viewBox="`0 0 ${wide} ${high}`" role="img" :aria-label="words">
      <text class="note" :x="LEFT" y="11">
        {{ percent ? 'A wanted above, what its dial reads below' : 'A, as its dial reads' }}
      </text>
      <rect class="gives" :x="x(machine.lowA)" y="30" :width="x(scale.restlessA) - x(machine.lowA)" height="12" />
      <rect class="rests" :x="x(scale.restlessA)" y="30" :width="x(machine.highA) - x(scale.restlessA)" height="12" />
      <line
        v-for="(range, n) in scale.ranges.length > 1 ? scale.ranges : []"
        :key="`r${n}`"
        class="range"
        :x1="x(range.lowA)"
        :x2="x(range.highA)"
        :y1="46 + 3 * n"
        :y2="46 + 3 * n"
      />
      <g v-if="scale.torchFromA !== null">
        <line class="torch" :x1="x(scale.torchFromA)" :x2="x(scale.torchFromA)" y1="14" y2="46" />
        <text class="note" :x="x(scale.torchFromA)" y="11" text-anchor="end">torch bears</text>
      </g>
      <g v-for="(tick, n) in scale.ticks" :key="`a${n}`">
        <line class="thin" :x1="x(tick.a)" :x2="x(tick.a)" y1="30" y2="42" />
        <text v-if="percent" :x="x(tick.a)" y="24" :text-anchor="anchor(n, scale.ticks.length)">
          {{ Math.round(tick.a) }}
        </text>
        <text class="dial" :x="x(tick.a)" y="64" :text-anchor="anchor(n, scale.ticks.length)">
          {{ tick.dial }}
        </text>
      </g>
      <template v-if="tig">
        <text class="note" :x="LEFT" y="84">% electrode negative, and what the balance dial reads</text>
        <line class="soot" :x1="LEFT" :x2="right" y1="104" y2="104" />
        <g v-for="(tick, n) in balance" :key="tick.enPct">
          <line class="thin" :x1="tick.x" :x2="tick.x" y1="100" y2="108" />
          <text :x="tick.x" y="98" :text-anchor="anchor(n, balance.length)">
            {{ tick.enPct }}
          </text>
          <text class="dial" :x="tick.x" y="124" :text-anchor="anchor(n, balance.length)">
            {{ Math.round(tick.dial) }}
          </text>
        </g>
      </template>
    </svg>
  </div>
</template>

<style scoped>
svg {
  width: 100%;
  max-width: 620px;
  display: block;
}
.gives {
  fill: var(--new-metal-wash);
  stroke: var(--new-metal);
}
.rests {
  fill: var(--sheet);
  stroke: var(--slate);
  stroke-dasharray: 4 3;
}
.range {
  stroke: var(--new-metal);
  stroke-width: 1.6;
}
.torch {
  stroke: var(--chestnut);
  stroke-width: 2;
}
.soot {
  stroke: var(--soot);
}
.drawing text {
  font-size: 11px;
}
.drawing .dial {
  fill: var(--chestnut);
  font-weight: 700;
}
</style>
