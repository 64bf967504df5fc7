<script setup lang="ts">
import { computed } from 'vue'
import { declaredAt } from '#core/job/fields/sections'
import { valueAt } from '#core/job/patch'
import { useJob } from '~/stores/job'

/** One of a few, or of a long list, as its field declares it; `words` gives other options as id → words. */
const props = defineProps<{
  path: string
  label?: string
  words?: Readonly<Record<string, string>>
  clearable?: boolean
  note?: string
}>()
const declared = computed(() => declaredAt(props.path))
const label = computed(() => props.label ?? declared.value!.label)
const words = computed(() => props.words ?? declared.value!.words!)
const clearable = computed(() => props.clearable || declared.value?.clearable === true)
const note = computed(() => props.note ?? declared.value?.help)
const store = useJob()
const keys = computed(() => props.path.split('.'))
const value = computed(() => (valueAt(store.job, keys.value) || null) as string | null)
const few = computed(() => Object.keys(words.value).length <= 3)
const items = computed(() => Object.entries(words.value).map(([id, title]) => ({ title, value: id })))
/** A field of words is emptied, a choice is taken back: each keeps its own kind of nothing. */
const nothing = typeof valueAt(store.job, keys.value) === 'string' && clearable.value ? '' : null
const set = (next: string | null) => store.edit(keys.value, next ?? nothing)
</script>

<template>
  <div class="pick">
    <p v-if="few" class="name">{{ label }}</p>
    <v-btn-toggle
      v-if="few"
      :model-value="value"
      :mandatory="!clearable"
      :aria-label="label"
      @update:model-value="set($event ?? null)"
    >
      <v-btn v-for="item in items" :key="item.value" :value="item.value" :data-pick="`${path}:${item.value}`">{{
        item.title
      }}</v-btn>
    </v-btn-toggle>
    <v-select
      v-else
      :model-value="value"
      :items="items"
      :label="label"
      :clearable="clearable"
      :data-path="path"
      @update:model-value="set($event ?? null)"
    />
    <p v-if="note" class="quiet small">{{ note }}</p>
  </div>
</template>

<style scoped>
.pick {
  margin: 10px 0;
}
.name {
  margin: 0 0 4px;
  font-size: 0.97rem;
}
.small {
  margin: 4px 0 0;
}
.v-btn-toggle {
  width: 100%;
}
</style>
