<script setup lang="ts">
import { computed } from 'vue'
import type { BrazeData } from '#core/station/weld/braze'
import { BRAZE_RODS } from '#core/braze/rods.table'
import { useSettings } from '~/stores/settings'

/** Rod, part and flame on one scale; `settlesC` is what the flame alone would bring the part to. */
const props = defineProps<{ braze: BrazeData | null; settlesC: number | null }>()
const emit = defineEmits<{ working: [ref: string] }>()
const settings = useSettings()
const braze = computed(() => props.braze)
const rod = computed(() => (braze.value ? BRAZE_RODS[braze.value.rod] : null))
const TOP = 20
const HIGH = 300
const topC = computed(() => (braze.value ? Math.max(braze.value.base.liquidusC, braze.value.plan.workingC) + 30 : 700))
const y = (c: number) => TOP + HIGH - (c / topC.value) * HIGH
const flameC = computed(() => props.settlesC)
/** Words at the two sides, pushed apart where they would lie on one another. */
const spread = <T extends { c: number }>(marks: T[]) => {
  let above = Infinity
  return marks
    .toSorted((a, b) => a.c - b.c)
    .map(mark => {
      above = Math.min(y(mark.c) + 5, above - 19)
      return { ...mark, textY: above }
    })
}
const left = computed(() =>
  braze.value && rod.value
    ? spread([
        { c: rod.value.solidusC, text: 'rod begins to melt' },
        { c: rod.value.liquidusC, text: 'rod all liquid' },
        { c: braze.value.plan.workingC, text: 'worked at' },
        { c: rod.value.serviceC, text: 'joint, for long' },
      ])
    : [],
)
const right = computed(() =>
  braze.value
    ? spread([
        { c: braze.value.base.solidusC, text: `${braze.value.base.name} begins to melt` },
        { c: braze.value.base.liquidusC, text: 'all melted' },
        { c: braze.value.serviceC, text: 'in service' },
        ...(flameC.value !== null && flameC.value < topC.value
          ? [{ c: flameC.value, text: 'this flame settles' }]
          : []),
      ])
    : [],
)
</script>

<template>
  <template v-if="braze && rod">
    <p class="label">Rod, part and flame on one scale</p>
    <svg
      class="drawing"
      viewBox="0 0 560 350"
      role="img"
      :aria-label="`Room between the rod, worked at ${Math.round(braze.plan.workingC)} °C, and the part, melting from ${Math.round(braze.base.solidusC)} °C`"
    >
      <rect class="metal" x="290" :y="y(topC)" width="34" :height="y(0) - y(topC)" />
      <rect
        class="melts"
        x="290"
        :y="y(braze.base.liquidusC)"
        width="34"
        :height="Math.max(1, y(braze.base.solidusC) - y(braze.base.liquidusC))"
      />
      <rect class="rod" x="236" :y="y(rod.solidusC)" width="34" :height="y(0) - y(rod.solidusC)" />
      <rect
        class="flows"
        x="236"
        :y="y(braze.plan.workingC)"
        width="34"
        :height="Math.max(1, y(rod.solidusC) - y(braze.plan.workingC))"
      />
      <rect class="edge" x="236" :y="TOP" width="34" :height="HIGH" />
      <rect class="edge" x="290" :y="TOP" width="34" :height="HIGH" />
      <g v-for="mark in left" :key="mark.text">
        <path class="thin" :d="`M236 ${y(mark.c)}L222 ${mark.textY - 5}h-6`" />
        <text x="212" :y="mark.textY" text-anchor="end">
          {{ mark.text }} {{ settings.text(Math.round(mark.c), 'c') }}
        </text>
      </g>
      <g v-for="mark in right" :key="mark.text">
        <path class="thin" :d="`M324 ${y(mark.c)}L338 ${mark.textY - 5}h6`" />
        <text x="348" :y="mark.textY">{{ settings.text(Math.round(mark.c), 'c') }} {{ mark.text }}</text>
      </g>
      <text class="note" x="253" y="342" text-anchor="middle">rod</text>
      <text class="note" x="307" y="342" text-anchor="middle">part</text>
    </svg>
    <table class="facts">
      <tbody>
        <tr>
          <th scope="row">Room to melting</th>
          <td class="num">
            <button type="button" class="open-figure figure" @click="emit('working', 'braze')">
              {{ Math.round(braze.plan.marginToSolidusC) }} K
            </button>
          </td>
        </tr>
        <tr>
          <th scope="row">To working heat</th>
          <td class="num">{{ braze.plan.timeS === undefined ? 'never' : settings.text(braze.plan.timeS, 's') }}</td>
        </tr>
        <tr>
          <th scope="row">Least flame that would</th>
          <td class="num">{{ settings.text(braze.plan.leastSourceW, 'w') }}</td>
        </tr>
        <tr>
          <th scope="row">Cooling, covered</th>
          <td class="num">{{ settings.text(braze.plan.coolMin, 'min') }}</td>
        </tr>
        <tr v-if="braze.unbalance">
          <th scope="row">Unbalance of the rod</th>
          <td class="num">{{ braze.unbalance.unbalanceGmm.toFixed(0) }} g·mm</td>
        </tr>
      </tbody>
    </table>
  </template>
  <p v-else class="quiet">With a torch in the kit and the part's sizes, rod and part are drawn here on one scale.</p>
</template>

<style scoped>
.rod {
  fill: var(--new-metal-wash);
}
.flows {
  fill: var(--new-metal);
  opacity: 0.55;
}
.melts {
  fill: var(--removed);
  opacity: 0.6;
}
.facts {
  max-width: 420px;
  margin-top: 10px;
}
</style>
