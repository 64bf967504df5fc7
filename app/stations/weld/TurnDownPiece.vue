<script setup lang="ts">
import { computed } from 'vue'
import type { GunPoint } from '#core/station/weld/soak-up'
import { useSettings } from '~/stores/settings'

/** A gun's output over the arc time as the part soaks up heat. */
const props = defineProps<{ points: readonly GunPoint[] | null }>()
const settings = useSettings()
const rows = computed(() => props.points ?? [])
const lastS = computed(() => rows.value.at(-1)?.s ?? 1)
/** Room for the words of the scale. */
const LEFT = 52
const line = computed(
  () => `M${rows.value.map(row => `${LEFT + (row.s / lastS.value) * 440} ${130 - row.share * 110}`).join('L')}`,
)
</script>

<template>
  <template v-if="rows.length">
    <p class="label">Turning down as the part soaks up heat</p>
    <svg class="drawing" viewBox="0 0 530 160" role="img" aria-label="Share of the first output over the arc time">
      <path class="thin" :d="`M${LEFT} 20V130H${LEFT + 446}`" />
      <path class="new-line" :d="line" />
      <text :x="LEFT - 6" y="25" text-anchor="end">100 %</text>
      <text :x="LEFT - 6" y="134" text-anchor="end">0</text>
      <template v-for="row in rows" :key="row.s">
        <circle class="dot" :cx="LEFT + (row.s / lastS) * 440" :cy="130 - row.share * 110" r="3.5" />
        <text :x="LEFT + (row.s / lastS) * 440" y="150" text-anchor="middle">{{ Math.round(row.s) }} s</text>
      </template>
    </svg>
    <table data-testid="turn-down">
      <thead>
        <tr>
          <th class="num">At</th>
          <th class="num">Output</th>
          <th class="num">Current</th>
          <th class="num">Wire</th>
          <th class="num">The part then</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="row in rows" :key="row.s">
          <td class="num">{{ settings.text(row.s, 's') }}</td>
          <td class="num">{{ Math.round(row.share * 100) }} %</td>
          <td class="num">{{ settings.text(Math.round(row.a), 'a') }}</td>
          <td class="num">{{ settings.text(row.wireMMin, 'mMin') }}</td>
          <td class="num">{{ settings.text(Math.round(row.partC), 'c') }}</td>
        </tr>
      </tbody>
    </table>
    <p class="quiet small">
      Arc time, not clock time. The part is taken as one lump away from the gun; power for the same puddle goes with
      what is left to melting.
    </p>
  </template>
</template>

<style scoped>
.dot {
  fill: var(--new-metal);
}
</style>
