<script setup lang="ts">
import type { StationPlan } from '#core/station/parts'
import { clockFace } from '#core/quantity/clock-face'
import { useClocks } from '~/stores/clocks'

/** Clocks worth starting here, each with its time. */
defineProps<{ clocks: NonNullable<StationPlan['clocks']> }>()
const running = useClocks()
const route = useRoute()
</script>

<template>
  <div v-if="clocks.length" class="row clocks no-print">
    <button
      v-for="clock in clocks"
      :key="clock.name"
      type="button"
      class="plain-button slight"
      data-testid="start-clock"
      @click="running.start(clock.name, clock.seconds, String(route.params.id))"
    >
      {{ clock.name }} <span class="figure">{{ clockFace(clock.seconds) }}</span>
    </button>
  </div>
</template>

<style scoped>
.clocks {
  margin: 0 0 12px;
  gap: 8px;
  flex-wrap: wrap;
}
</style>
