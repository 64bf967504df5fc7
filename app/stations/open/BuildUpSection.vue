<script setup lang="ts">
import { said } from '#core/job/fields/said'
import { computed } from 'vue'
import DimensionLine from '~/bench/DimensionLine.vue'
import HatchPattern from '~/bench/HatchPattern.vue'
import { useDrawing } from '~/composables/use-drawing'
import { useJob } from '~/stores/job'
import { useSettings } from '~/stores/settings'

const WIDTH = 520
const FOOT = 300
const store = useJob()
const settings = useSettings()
const built = computed(() => store.plan?.open.data.groove ?? null)
const proudMm = computed(() => (store.job ? said(store.job, 'open').edgeProudMm : 0))
const { scale, scaleText } = useDrawing(
  computed(() => ({ widthMm: (built.value?.topWidthMm ?? 1) * 1.6, heightMm: (built.value?.depthMm ?? 1) * 1.3 })),
  { width: WIDTH, height: 270, margin: 36 },
)
const px = (mm: number) => mm * scale.value
const half = computed(() => px((built.value?.topWidthMm ?? 0) / 2))
</script>

<template>
  <template v-if="built">
    <p class="label">Across the edge, {{ scaleText }}; layers turn about</p>
    <svg
      class="drawing"
      :viewBox="`0 0 ${WIDTH} 380`"
      role="img"
      aria-label="The lost edge in section, built up in layers of beads in their order"
    >
      <defs><HatchPattern id="hatch-edge" /></defs>
      <rect
        :x="WIDTH / 2 - half - 20"
        :y="FOOT"
        :width="2 * half + 40"
        height="50"
        class="edge"
        style="fill: url(#hatch-edge)"
      />
      <g v-for="bead in built.beads" :key="bead.pass">
        <ellipse
          class="new"
          :cx="WIDTH / 2 + px(bead.xMm)"
          :cy="FOOT - px(bead.heightMm)"
          :rx="px(bead.halfWidthMm)"
          :ry="px(bead.halfHeightMm)"
        />
        <text :x="WIDTH / 2 + px(bead.xMm)" :y="FOOT - px(bead.heightMm) + 4" text-anchor="middle" class="pass">
          {{ bead.pass }}
        </text>
      </g>
      <path
        class="thin"
        stroke-dasharray="5 4"
        :d="`M${WIDTH / 2 - half + px(proudMm)} ${FOOT}V${FOOT - px(built.depthMm - proudMm)}H${WIDTH / 2 + half - px(proudMm)}V${FOOT}`"
      />
      <DimensionLine
        :x1="WIDTH / 2 - half"
        :y1="372"
        :x2="WIDTH / 2 + half"
        :y2="372"
        :text="settings.text(built.topWidthMm, 'mm')"
      />
      <DimensionLine
        :x1="40"
        :y1="FOOT - px(built.depthMm)"
        :x2="40"
        :y2="FOOT"
        :text="settings.text(built.depthMm, 'mm')"
      />
    </svg>
    <p class="quiet small">The broken line is the size it is dressed back to.</p>
  </template>
  <p v-else class="quiet">Put in how long, wide and high the lost edge is: it is drawn here built up in layers.</p>
</template>

<style scoped>
.pass {
  font-weight: 700;
  fill: var(--new-metal);
  font-size: 11px;
}
</style>
