<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import type { Face } from '#core/heat/field/setup'
import { useChartLook } from '~/composables/use-chart-look'
import { useSettings } from '~/stores/settings'
import { heatCss } from '~/drawing/heat-colours'
import { useSolid, type Looked } from './use-solid'

const props = defineProps<{ look: Looked; name: string }>()
const emit = defineEmits<{ pick: [at: [number, number, number], face: Face] }>()
const canvas = ref<HTMLCanvasElement | null>(null)
const looked = ref<Looked>(props.look)
watch(
  () => props.look,
  next => {
    looked.value = next
  },
)
const chart = useChartLook()
const settings = useSettings()
const { marks, failed } = useSolid(
  canvas,
  looked,
  computed(() => chart.value.sheet),
  (at, face) => emit('pick', at, face),
)
const SCALE = Array.from({ length: 24 }, (_, n) => heatCss(n / 23)).join(', ')
</script>

<template>
  <figure class="solid">
    <div class="stage">
      <canvas
        v-show="!failed"
        ref="canvas"
        tabindex="0"
        :aria-label="`${name}: the part, coloured by temperature. Drag or arrow keys turn it; a tap puts down what is picked.`"
        role="img"
      />
      <p v-if="failed" class="quiet">
        This browser draws no solids (its 3D drawing is off). The curves and the call stand all the same.
      </p>
      <span
        v-for="mark in marks"
        :key="mark.id"
        class="mark"
        :class="{ torch: mark.torch, bare: !mark.words, flip: mark.flip }"
        :style="{ left: `${mark.left}px`, top: `${mark.top + mark.down}px`, '--down': `${mark.down}px` }"
        ><template v-if="mark.words">{{ mark.words }}</template
        ><b v-if="mark.figure" class="figure">{{ mark.figure }}</b></span
      >
    </div>
    <figcaption class="scale small" aria-hidden="true">
      <span class="figure">{{ settings.text(look.lowC, 'c') }}</span
      ><span class="bar" :style="{ background: `linear-gradient(to right, ${SCALE})` }" /><span class="figure"
        >{{ settings.text(look.highC, 'c') }} and over</span
      >
    </figcaption>
  </figure>
</template>

<style scoped>
.solid {
  margin: 0;
}
.stage {
  position: relative;
  height: 340px;
  overflow: hidden;
}
canvas {
  width: 100%;
  height: 100%;
  display: block;
  touch-action: none;
  cursor: grab;
}
.mark {
  position: absolute;
  transform: translate(7px, -50%);
  pointer-events: none;
  font-size: 0.8rem;
  line-height: 1.1;
  padding: 1px 5px;
  background: var(--sheet);
  border: 1px solid var(--soot);
  white-space: nowrap;
}
.mark::before {
  content: '';
  position: absolute;
  left: -10px;
  top: calc(50% - var(--down));
  width: 6px;
  height: 6px;
  margin-top: -3px;
  background: var(--new-metal);
  border: 1px solid var(--sheet);
  border-radius: 50%;
}
.flip {
  transform: translate(calc(-100% - 7px), -50%);
}
.flip::before {
  left: auto;
  right: -10px;
}
.torch::before {
  background: var(--chestnut);
}
.bare {
  background: none;
  border: 0;
}
.mark b {
  margin-left: 5px;
}
.scale {
  display: grid;
  grid-template-columns: auto 1fr auto;
  gap: 8px;
  align-items: center;
}
.bar {
  height: 10px;
  border: 1px solid var(--soot);
}
@media (max-width: 899px) {
  .stage {
    height: 280px;
  }
}
</style>
