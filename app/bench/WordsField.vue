<script setup lang="ts">
import { computed } from 'vue'
import { valueAt } from '#core/job/patch'
import { useJob } from '~/stores/job'

const props = withDefaults(defineProps<{ path: string, label: string, long?: boolean, max?: number }>(), { max: 400 })
const store = useJob()
const keys = computed(() => props.path.split('.'))
const value = computed(() => (valueAt(store.job, keys.value) ?? '') as string)
const set = (text: string | null) => store.edit(keys.value, text ?? '')
</script>

<template>
  <v-textarea v-if="long" class="words" :label="label" :model-value="value" :maxlength="max" @update:model-value="set" />
  <v-text-field v-else class="words" :label="label" :model-value="value" :maxlength="max" @update:model-value="set" />
</template>

<style scoped>
.words { margin: 10px 0; }
</style>
