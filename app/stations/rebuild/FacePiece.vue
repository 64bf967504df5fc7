<script setup lang="ts">
import { ASSUMED_WALL_MM } from '#core/job/fields/take-in'
import { computed } from 'vue'
import type { Facing } from '#core/station/mends/mend-row'
import DimensionLine from '~/bench/DimensionLine.vue'
import HatchPattern from '~/bench/HatchPattern.vue'
import { useDrawing } from '~/composables/use-drawing'
import { useJob } from '~/stores/job'
import { useSettings } from '~/stores/settings'

/** A weld built up proud over a face, and the cuts that bring it down. */
const props = defineProps<{ facing: Facing }>()
const store = useJob()
const settings = useSettings()
const wall = computed(() => store.job?.takeIn.wallMm.value ?? ASSUMED_WALL_MM)
const width = computed(() => props.facing.wideMm)
const { scale, scaleText } = useDrawing(
  computed(() => ({ widthMm: width.value * 1.7, heightMm: wall.value * 0.6 + props.facing.proudMm })),
  { width: 520, height: 280, margin: 40 },
)
const faceY = computed(() => 60 + props.facing.proudMm * scale.value)
const half = computed(() => Math.min(210, (width.value * scale.value) / 2))
/** Levels after each cut, from the top of the weld down to the face. */
const levels = computed(() => {
  let level = props.facing.proudMm
  return props.facing.cutsMm.map((cut, index) => {
    level -= cut
    return { number: index + 1, cut, y: faceY.value - level * scale.value }
  })
})
</script>

<template>
  <p class="label">The face in section, {{ scaleText }}</p>
  <svg
    class="drawing"
    :viewBox="`0 0 520 ${faceY + Math.max(60, wall * 0.6 * scale) + 20}`"
    role="img"
    aria-label="The built-up weld over the face, with the cuts that bring it down"
  >
    <defs><HatchPattern id="hatch-face" /></defs>
    <rect x="10" :y="faceY" width="500" :height="Math.max(60, wall * 0.6 * scale)" fill="url(#hatch-face)" />
    <path
      class="new"
      :d="`M${260 - half} ${faceY}C${260 - half * 0.8} ${60} ${260 - half * 0.5} 60 260 60S${260 + half * 0.8} 60 ${260 + half} ${faceY}z`"
    />
    <path class="edge" :d="`M10 ${faceY}H510`" />
    <g v-for="level in levels" :key="level.number">
      <path class="removed-line" :d="`M40 ${level.y}H480`" />
      <text x="484" :y="level.y + 4">{{ level.number }}</text>
    </g>
    <DimensionLine :x1="30" :y1="60" :x2="30" :y2="faceY" :text="settings.text(facing.proudMm, 'mm')" />
    <DimensionLine :x1="260 - half" :y1="32" :x2="260 + half" :y2="32" :text="settings.text(width, 'mm')" />
  </svg>
  <table>
    <thead>
      <tr>
        <th>Cut</th>
        <th class="num">Takes off</th>
        <th>Then</th>
      </tr>
    </thead>
    <tbody>
      <tr v-for="(cut, index) in facing.cutsMm" :key="index">
        <td>{{ index + 1 }}</td>
        <td class="num">{{ settings.both(cut, 'mm') }}</td>
        <td>
          {{
            index === facing.cutsMm.length - 1
              ? 'straightedge and blue'
              : 'look for the crack left behind: re-weld that skin if it shows'
          }}
        </td>
      </tr>
    </tbody>
  </table>
</template>

<style scoped>
.removed-line {
  stroke: var(--removed);
  stroke-width: 1.2;
  stroke-dasharray: 6 3;
}
</style>
