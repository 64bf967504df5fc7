<script setup lang="ts">
import { computed, ref } from 'vue'
import { declaredAt } from '#core/job/fields/sections'
import { valueAt } from '#core/job/patch'
import { useDraft } from '~/composables/use-draft'
import { useJob } from '~/stores/job'

/** Words of a person; what is declared of their field stands unless something else is said here. */
const props = defineProps<{ path: string; label?: string; max?: number; note?: string | undefined }>()
const declared = computed(() => declaredAt(props.path))
const label = computed(() => props.label ?? declared.value!.label)
const max = computed(() => props.max ?? declared.value?.longest ?? 400)

const store = useJob()
const keys = computed(() => props.path.split('.'))
const value = computed(() => (valueAt(store.job, keys.value) ?? '') as string)
const error = ref<string | null>(null)
const { shown, typing, drop } = useDraft(() => value.value)
const set = (text: string | null) => {
  typing(text ?? '')
  error.value = store.edit(keys.value, text ?? '')
}
/** What is wrong with it, or that it is not stored yet. */
const trouble = computed(() => (error.value ? [error.value] : store.unstored.has(props.path) ? ['not stored yet'] : []))
</script>

<template>
  <v-textarea
    v-if="declared?.long"
    class="words"
    :data-path="path"
    :label="label"
    :model-value="shown"
    :maxlength="max"
    :error-messages="trouble"
    @update:model-value="set"
    @blur="drop()"
    @keydown.ctrl.z="drop()"
    @keydown.meta.z="drop()"
  />
  <v-text-field
    v-else
    class="words"
    :data-path="path"
    :label="label"
    :hint="note"
    :persistent-hint="note !== undefined"
    :model-value="shown"
    :maxlength="max"
    :error-messages="trouble"
    @update:model-value="set"
    @blur="drop()"
    @keydown.ctrl.z="drop()"
    @keydown.meta.z="drop()"
  />
</template>

<style scoped>
.words {
  margin: 10px 0;
}
</style>
