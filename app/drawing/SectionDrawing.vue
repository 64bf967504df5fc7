<script setup lang="ts">
import { toRef, useId } from 'vue'
import type { Section } from '#core/mend/section/shapes'
import DimensionLine from '~/bench/DimensionLine.vue'
import HatchPattern from '~/bench/HatchPattern.vue'
import { useSettings } from '~/stores/settings'
import { useSection } from './use-section'

const props = defineProps<{ section: Section; plain?: boolean }>()
const { WIDTH, height, scaleText, shapes, sizes } = useSection(toRef(props, 'section'))
const settings = useSettings()
const hatch = `hatch-${useId().replace(/\W/g, '')}`
</script>

<template>
  <p v-if="!plain" class="label">{{ section.title }}, {{ scaleText }}</p>
  <svg
    class="drawing"
    :viewBox="`0 0 ${WIDTH} ${height}`"
    role="img"
    :aria-label="`${section.title}, drawn to scale ${scaleText}`"
    data-testid="section"
  >
    <defs><HatchPattern :id="hatch" /></defs>
    <path
      v-for="(shape, n) in shapes"
      :key="n"
      :class="shape.role === 'metal' ? 'solid' : shape.role"
      :d="shape.d"
      :fill="shape.role === 'metal' ? `url(#${hatch})` : undefined"
    />
    <template v-if="!plain">
      <DimensionLine
        v-for="(size, n) in sizes"
        :key="`s${n}`"
        :x1="size.from[0]"
        :y1="size.from[1]"
        :x2="size.to[0]"
        :y2="size.to[1]"
        :text="settings.text(size.mm, 'mm')"
      />
    </template>
  </svg>
</template>

<style scoped>
.drawing {
  max-height: 380px;
}
.drawing .solid {
  stroke: var(--soot);
  stroke-width: 2;
}
.drawing .other {
  fill: var(--sheet);
  stroke: var(--soot);
  stroke-width: 2;
}
.drawing .gone {
  stroke: var(--stop);
  stroke-width: 1.6;
  stroke-dasharray: 5 4;
  fill: none;
}
</style>
