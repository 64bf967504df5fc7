<script setup lang="ts">
import { ref } from 'vue'
import { STATION_HELP } from '#core/job/station-help.table'
import { STATION_NAMES, type StationId } from '#core/job/stations.table'

/** What this station is for, in a few lines, behind a question mark beside its name. */
defineProps<{ id: StationId }>()
const open = ref(false)
</script>

<template>
  <span class="help no-print">
    <button
      type="button"
      class="ask figure"
      :aria-expanded="open"
      :aria-label="`What ${STATION_NAMES[id]} is for`"
      data-testid="station-help"
      @click="open = !open"
    >
      ?
    </button>
  </span>
  <div v-if="open" class="says" role="note" data-testid="station-help-text">
    <p>{{ STATION_HELP[id].purpose }}</p>
    <p><b>Put in:</b> {{ STATION_HELP[id].put }}</p>
    <p><b>A good answer:</b> {{ STATION_HELP[id].good }}</p>
    <NuxtLink to="/strip">All nine on one sheet, to hang up</NuxtLink>
  </div>
</template>

<style scoped>
.ask {
  width: 30px;
  height: 30px;
  margin-left: 6px;
  border: 1px solid var(--slate);
  border-radius: 50%;
  background: none;
  color: var(--soot);
  cursor: pointer;
}
@media (pointer: coarse) {
  .ask {
    width: var(--touch);
    height: var(--touch);
  }
}
.says {
  border-left: 4px solid var(--slate);
  padding: 2px 12px;
  margin: 6px 0 10px;
  max-width: 76ch;
  font-weight: 400;
  color: var(--soot);
}
.says p {
  margin: 3px 0;
}
</style>
