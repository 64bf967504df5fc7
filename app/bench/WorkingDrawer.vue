<script setup lang="ts">
import { computed } from 'vue'
import type { Working } from '#core/plan/parts'
import { figures } from '#core/quantity/show'

const props = defineProps<{ workings: Readonly<Record<string, Working>>; shown: string | null }>()
const emit = defineEmits<{ close: [] }>()
const ordered = computed(() => {
  const entries = Object.entries(props.workings)
  return props.shown === null
    ? []
    : [...entries.filter(([ref]) => ref === props.shown), ...entries.filter(([ref]) => ref !== props.shown)]
})
const shownValue = (value: number | string) => (typeof value === 'number' ? figures(value, 4) : value)
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
          <table>
            <thead>
              <tr>
                <th>Step</th>
                <th>How</th>
                <th class="num">Comes to</th>
                <th>Source</th>
              </tr>
            </thead>
            <tbody>
              <tr v-for="(step, index) in working.steps" :key="index">
                <td>{{ step.label }}</td>
                <td>{{ step.formula }}</td>
                <td class="num wraps">{{ shownValue(step.value) }} {{ step.unit }}</td>
                <td class="quiet small">{{ step.source }}</td>
              </tr>
            </tbody>
          </table>
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
td {
  font-size: 0.9rem;
}
</style>
