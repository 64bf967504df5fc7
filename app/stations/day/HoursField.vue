<script setup lang="ts">
/** Hours as they are written; taken when the field is left, so that a plan that comes in meanwhile disturbs nobody. */
const text = defineModel<string>({ required: true })
defineProps<{ label: string; wrong: string | null }>()
</script>

<template>
  <input
    v-model.lazy="text"
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
