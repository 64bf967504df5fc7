<script setup lang="ts">
import { computed } from 'vue'
import { useWords } from '~/composables/use-words'

/** Hours as they are written; taken when the field is left, so that a plan that comes in meanwhile disturbs nobody. */
const text = defineModel<string>({ required: true })
const { say } = useWords()
/** The words among them as the reader says them; both are understood. */
const written = computed({ get: () => say(text.value), set: value => (text.value = value) })
defineProps<{ label: string; wrong: string | null }>()
</script>

<template>
  <input
    v-model.lazy="written"
    class="figure"
    :aria-label="label"
    :aria-invalid="wrong !== null"
    :title="wrong ?? 'open, as today; off; or hours such as 8:00-12:00'"
    maxlength="24"
  />
</template>

<style scoped>
input {
  width: 100%;
  min-height: var(--touch);
  border: 1px solid var(--hairline);
  background: var(--sheet);
  color: var(--soot);
  padding: 0 8px;
  font-size: 0.9rem;
}
</style>
