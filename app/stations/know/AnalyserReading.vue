<script setup lang="ts">
import { ref } from 'vue'
import WordsField from '~/bench/WordsField.vue'
import { useJob } from '~/stores/job'

/** Percent by element: typed, from an analyser's CSV, or from the stand-in that ships with the application. */
const store = useJob()
const problem = ref<string | null>(null)
const LONGEST = 600

async function take(event: Event) {
  const input = event.target as HTMLInputElement
  const file = input.files?.[0]
  if (!file) return
  problem.value = file.size > 20_000 ? 'That file is larger than any analyser reading; nothing was taken.' : null
  if (!problem.value) await put(store.job!.id, await file.text())
  input.value = ''
}
/** @param id the job it was read for, which may have been left by then */
async function put(id: string, text: string) {
  const reading = text.trim().split(/\r?\n/).join('; ')
  if (reading.length > LONGEST) problem.value = 'That reading is too long to keep; nothing was taken.'
  else problem.value = await store.bring(id, ['know', 'composition'], () => reading)
}
async function standIn() {
  const { id } = store.job!
  const alloy = store.plan?.know.data.alloy.name ?? '356'
  const response = await fetch(`/api/instruments/analyser?alloy=${encodeURIComponent(alloy)}`).catch(() => null)
  problem.value = response?.ok ? null : 'The stand-in does not answer; the server may be gone. What was entered stays.'
  if (response?.ok) await put(id, await response.text())
}
</script>

<template>
  <WordsField path="know.composition" />
  <div class="row">
    <label class="plain-button slight"
      >CSV<input type="file" accept=".csv,text/csv,text/plain" class="visually-hidden" @change="take"
    /></label>
    <button type="button" class="plain-button slight" @click="standIn">Stand-in analyser</button>
  </div>
  <p v-if="problem" class="small wrong" role="alert">{{ problem }}</p>
</template>

<style scoped>
.wrong {
  color: var(--stop);
}
</style>
