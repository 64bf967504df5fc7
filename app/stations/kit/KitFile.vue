<script setup lang="ts">
import { STARTER_KITS } from '#core/job/starter-kits.table'
import { useKitFile } from './use-kit-file'

/** The kit out and in by itself, and kits to start from. Whatever was here before can be put back. */
const { report, before, saveOut, bringIn, startFrom, putBack, empty } = useKitFile()
</script>

<template>
  <section>
    <h2>The kit on its own</h2>
    <div class="row">
      <button type="button" class="plain-button" data-testid="kit-out" @click="saveOut()">Take the kit out</button>
      <label class="plain-button"
        >Bring a kit in<input
          type="file"
          accept=".json,application/json"
          class="visually-hidden"
          data-testid="kit-in"
          @change="bringIn($event)"
      /></label>
    </div>
    <p class="label start">{{ empty ? 'A kit to start from:' : 'Or start again from:' }}</p>
    <div class="row starters">
      <button
        v-for="(starter, id) in STARTER_KITS"
        :key="id"
        type="button"
        class="plain-button slight"
        :data-starter="id"
        @click="startFrom(id)"
      >
        {{ starter.name }}
      </button>
    </div>
    <p v-if="report" :role="report.bad ? 'alert' : 'status'" :class="{ wrong: report.bad }" data-testid="kit-report">
      {{ report.text }}
      <button v-if="before && !report.bad" type="button" class="open-figure" @click="putBack()">
        Put the one before back
      </button>
    </p>
  </section>
</template>

<style scoped>
h2 {
  margin: 26px 0 8px;
  font-size: 1.1rem;
}
.start {
  margin: 14px 0 6px;
}
.starters {
  flex-wrap: wrap;
}
.wrong {
  color: var(--stop);
}
</style>
