<script setup lang="ts">
import { computed } from 'vue'
import type { Working } from '#core/station/parts'
import WorkingTable from './WorkingTable.vue'

const props = defineProps<{ workings: Readonly<Record<string, Working>>; shown: string | null }>()
const emit = defineEmits<{ close: [] }>()
const ordered = computed(() => {
  const entries = Object.entries(props.workings)
  return props.shown === null
    ? []
    : [...entries.filter(([ref]) => ref === props.shown), ...entries.filter(([ref]) => ref !== props.shown)]
})
const command = (working: Working) => `npm run --silent ask -- ${working.question} '${JSON.stringify(working.input)}'`
</script>

<template>
  <v-dialog
    :model-value="shown !== null"
    max-width="860"
    scrollable
    aria-label="Working"
    @update:model-value="emit('close')"
  >
    <v-card class="working">
      <header class="row">
        <h2>Working</h2>
        <v-spacer /><button type="button" class="plain-button" @click="emit('close')">Close</button>
      </header>
      <div class="scroll" tabindex="0">
        <section v-for="[ref, working] in ordered" :key="ref" :class="{ first: ref === shown }">
          <h3>{{ working.title }}</h3>
          <WorkingTable :steps="working.steps" />
          <p v-if="working.question" class="quiet small">
            The same on the command line:<br /><code>{{ command(working) }}</code>
          </p>
        </section>
        <p v-if="ordered.length === 0">Nothing has been worked out here yet.</p>
      </div>
    </v-card>
  </v-dialog>
</template>

<style scoped>
.working {
  padding: 18px 20px;
  max-height: 86vh;
}
.scroll {
  overflow: auto;
}
section {
  margin: 14px 0 22px;
  opacity: 0.9;
}
section.first {
  opacity: 1;
}
h3 {
  margin-bottom: 4px;
}
section.first h3 {
  color: var(--chestnut);
}
code {
  font-family: var(--figures);
  font-size: 0.76rem;
  word-break: break-all;
}
section :deep(td) {
  font-size: 0.9rem;
}
</style>
