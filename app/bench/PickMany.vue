<script setup lang="ts">
import { computed } from 'vue'
import { declaredAt } from '#core/job/fields/sections'
import { valueAt } from '#core/job/patch'
import { useJob } from '~/stores/job'

/** Several of a few, as their field declares them. */
const props = defineProps<{ path: string }>()
const declared = computed(() => declaredAt(props.path)!)
const store = useJob()
const keys = computed(() => props.path.split('.'))
const value = computed(() => (valueAt(store.job, keys.value) ?? []) as string[])
const set = (id: string, on: boolean | null) =>
  store.edit(keys.value, on ? [...value.value, id] : value.value.filter(each => each !== id))
</script>

<template>
  <fieldset>
    <legend class="label">{{ declared.label }}</legend>
    <v-checkbox
      v-for="(title, id) in declared.words"
      :key="id"
      :label="title"
      :model-value="value.includes(id)"
      :data-pick="`${path}:${id}`"
      @update:model-value="set(id, $event)"
    />
  </fieldset>
</template>

<style scoped>
fieldset {
  border: 0;
  padding: 0;
  margin: 14px 0 0;
}
</style>
