<script setup lang="ts">
import { computed } from 'vue'
import { useJob } from '~/stores/job'
import { useSettings } from '~/stores/settings'

const emit = defineEmits<{ working: [ref: string] }>()
const store = useJob()
const settings = useSettings()
const found = computed(() => store.plan?.rebuild.data.circle ?? null)
const circle = computed(() => (found.value && 'answer' in found.value ? found.value.answer : null))
const R = 130
const scale = computed(() => (circle.value ? R / (circle.value.diameterMm / 2) : 1))
/** Misses are drawn this much larger than they are, so that they can be seen. */
const grown = computed(() =>
  circle.value ? Math.max(1, 24 / Math.max(1e-6, circle.value.largestMissMm * scale.value)) : 1,
)
const drawn = computed(() =>
  (circle.value?.holes ?? []).map(hole => {
    const angle = Math.atan2(hole.yMm - circle.value!.centre.yMm, hole.xMm - circle.value!.centre.xMm)
    const [x, y] = [260 + Math.cos(angle) * R, 160 - Math.sin(angle) * R]
    const by = grown.value * scale.value
    return {
      ...hole,
      x,
      y,
      dx: (hole.radialMm * Math.cos(angle) - hole.tangentMm * Math.sin(angle)) * by,
      dy: -(hole.radialMm * Math.sin(angle) + hole.tangentMm * Math.cos(angle)) * by,
    }
  }),
)
</script>

<template>
  <template v-if="circle">
    <p class="label">The even pattern and where the holes are; misses drawn {{ Math.round(grown) }} times larger</p>
    <svg
      class="drawing"
      viewBox="0 0 520 320"
      role="img"
      aria-label="The bolt circle with each hole's miss as an arrow"
    >
      <circle class="thin ring" cx="260" cy="160" :r="R" />
      <path class="thin" d="M252 160h16M260 152v16" />
      <g v-for="(hole, n) in drawn" :key="n">
        <circle class="thin hole" :cx="hole.x" :cy="hole.y" r="9" />
        <path class="crack" :d="`M${hole.x} ${hole.y}l${hole.dx} ${hole.dy}`" />
        <text :x="hole.x + 14" :y="hole.y - 10">{{ n + 1 }}</text>
      </g>
    </svg>
    <p>
      Circle
      <button type="button" class="open-figure figure" data-testid="circle" @click="emit('working', 'circle')">
        {{ settings.both(circle.diameterMm, 'mm') }}</button
      >, centre at {{ settings.text(circle.centre.xMm, 'mm') }}, {{ settings.text(circle.centre.yMm, 'mm') }}.
    </p>
    <table>
      <thead>
        <tr>
          <th>Hole</th>
          <th class="num">x</th>
          <th class="num">y</th>
          <th class="num">along the radius</th>
          <th class="num">round</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="(hole, n) in circle.holes" :key="n">
          <td>{{ n + 1 }}</td>
          <td class="num">{{ settings.text(hole.xMm, 'mm') }}</td>
          <td class="num">{{ settings.text(hole.yMm, 'mm') }}</td>
          <td class="num">{{ settings.fineText(hole.radialMm) }}</td>
          <td class="num">{{ settings.fineText(hole.tangentMm) }}</td>
        </tr>
      </tbody>
    </table>
  </template>
  <p v-else class="quiet">
    {{
      found && 'reason' in found
        ? `No circle: ${found.reason}.`
        : 'Three holes or more, measured from one zero, and the even circle nearest to them is drawn here.'
    }}
  </p>
</template>

<style scoped>
.ring {
  stroke-dasharray: 12 3 3 3;
}
.hole {
  fill: var(--sheet);
}
</style>
