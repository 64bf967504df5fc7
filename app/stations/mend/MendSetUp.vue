<script setup lang="ts">
import { ref } from 'vue'
import { PROCESSES } from '#core/process/registry'
import type { MendSetUp } from '#core/station/mends/mend-set-up'
import WorkingDrawer from '~/bench/WorkingDrawer.vue'
import SettingsTable from '~/stations/weld/SettingsTable.vue'
import TurnDownPiece from '~/stations/weld/TurnDownPiece.vue'
import WavePiece from '~/stations/weld/WavePiece.vue'

/** One machine set up for a mend: the wave where it has one, and what is set. */
defineProps<{ setUp: MendSetUp }>()
const shown = ref<string | null>(null)
</script>

<template>
  <section :aria-label="`${PROCESSES[setUp.process].name}, ${setUp.filler}`" :data-set-up="setUp.process">
    <p class="label set">{{ PROCESSES[setUp.process].name }}, {{ setUp.filler }}</p>
    <WavePiece v-if="setUp.set.wave" :weld="setUp.set" />
    <p v-if="setUp.set.migReason" role="alert">The gun is not set: {{ setUp.set.migReason }}.</p>
    <SettingsTable :weld="setUp.set" @working="shown = $event" />
    <TurnDownPiece :points="setUp.turnDown" />
    <WorkingDrawer :workings="setUp.workings" :shown="shown" @close="shown = null" />
  </section>
</template>

<style scoped>
.set {
  margin-top: 16px;
}
</style>
