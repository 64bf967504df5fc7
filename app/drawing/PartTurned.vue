<script setup lang="ts">
import { computed, ref, toRef } from 'vue'
import type { Triple } from '#core/solid/forms'
import type { Face } from '#core/solid/stored/faces.table'
import { useChartLook } from '~/composables/use-chart-look'
import type { DrawnMark } from './marks'
import { usePartTurned } from './use-part-turned'
import type { SolidShape } from './use-part-sheet'
import type { WarmDrawn } from './use-warm-colours'

const props = defineProps<{
  shape: SolidShape
  marks: readonly DrawnMark[]
  lit?: string | null
  /** The part's warmth, in colours on its skin. */
  warm?: WarmDrawn | null
  name: string
}>()
const emit = defineEmits<{ pick: [at: Triple, face: Face]; light: [id: string] }>()
const canvas = ref<HTMLCanvasElement | null>(null)
const look = useChartLook()
const { marks, failed } = usePartTurned(
  canvas,
  toRef(props, 'shape'),
  toRef(props, 'marks'),
  computed(() => ({
    sheet: look.value.sheet,
    metal: look.value.metal,
    edge: look.value.soot,
    mend: look.value.stop,
    laid: look.value.newMetal,
  })),
  computed(() => props.warm ?? null),
  (at, face) => emit('pick', at, face),
)
</script>

<template>
  <div class="stage" data-testid="part-turned">
    <canvas
      v-show="!failed"
      ref="canvas"
      tabindex="0"
      role="img"
      :aria-label="`${name}, to be turned: drag, or the arrow keys; a tap puts down what is picked.`"
    />
    <p v-if="failed" class="quiet">This browser draws no solids (its 3D drawing is off). The other views stand.</p>
    <span
      v-for="mark in marks"
      :key="mark.id"
      class="balloon figure"
      :class="{ guard: mark.role === 'guard', lit: lit === mark.id }"
      :style="{ left: `${mark.left}px`, top: `${mark.top}px` }"
      @pointerenter="emit('light', mark.id)"
      >{{ mark.number }}</span
    >
  </div>
</template>

<style scoped>
.stage {
  position: relative;
  height: 360px;
  overflow: hidden;
}
canvas {
  width: 100%;
  height: 100%;
  display: block;
  touch-action: none;
  cursor: grab;
}
.balloon {
  position: absolute;
  transform: translate(-50%, -50%);
  min-width: 22px;
  height: 22px;
  line-height: 20px;
  text-align: center;
  font-size: 0.8rem;
  font-weight: 650;
  background: var(--sheet);
  border: 1px solid var(--soot);
  border-radius: 11px;
}
.balloon.guard {
  border-radius: 0;
}
.balloon.lit {
  background: var(--chestnut);
  color: var(--paper);
}
</style>
