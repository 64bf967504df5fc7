<script setup lang="ts">
import { computed } from 'vue'
import { PROCESS_IDS, PROCESSES } from '#core/process/registry'
import type { StoredMend } from '#core/job/mend.schema'
import { ORDERS } from '#core/lay/lays'
import { useJob } from '~/stores/job'

/** Lays chosen by hand: process, filler and how far up each goes, in order. */
const props = defineProps<{ mend: StoredMend }>()
const store = useJob()
const path = computed(() => ['mends', `#${props.mend.id}`, 'lays'])
const processes = PROCESS_IDS.map(value => ({ value, title: PROCESSES[value].name }))
const UP_TO = [
  { value: 'root', title: 'the root' },
  { value: 'border', title: 'a border round it' },
  { value: 'fill', title: 'the fill' },
  { value: 'cap', title: 'the top' },
]
const orders = Object.entries(ORDERS).map(([value, title]) => ({ value, title }))
const add = () =>
  store.edit(path.value, [
    ...props.mend.lays,
    { id: crypto.randomUUID(), process: null, filler: '', upTo: props.mend.lays.length ? 'cap' : 'root' },
  ])
const drop = (id: string) =>
  store.edit(
    path.value,
    props.mend.lays.filter(lay => lay.id !== id),
  )
const set = (id: string, key: string, value: unknown) => store.edit([...path.value, `#${id}`, key], value)
</script>

<template>
  <div class="lays">
    <p class="label">Lays</p>
    <p v-if="!mend.lays.length" class="quiet small">
      As the plan has them. Add one to lay a root by one process and fill by another, or to change the filler.
    </p>
    <div v-for="lay in mend.lays" :key="lay.id" class="lay">
      <v-select
        :model-value="lay.process"
        :items="processes"
        label="By"
        clearable
        @update:model-value="set(lay.id, 'process', $event ?? null)"
      />
      <v-text-field
        :model-value="lay.filler"
        label="Filler; empty: the best"
        maxlength="40"
        @update:model-value="set(lay.id, 'filler', $event ?? '')"
      />
      <v-select
        :model-value="lay.upTo"
        :items="UP_TO"
        label="Up to"
        @update:model-value="set(lay.id, 'upTo', $event)"
      />
      <button type="button" class="open-figure small" @click="drop(lay.id)">off</button>
    </div>
    <button type="button" class="plain-button slight" :disabled="mend.lays.length >= 8" @click="add()">
      Add a lay
    </button>
    <v-select
      class="order"
      :model-value="mend.order"
      :items="orders"
      label="Sides"
      @update:model-value="store.edit(['mends', `#${mend.id}`, 'order'], $event)"
    />
  </div>
</template>

<style scoped>
.lays {
  margin: 14px 0;
}
.lay {
  display: grid;
  gap: 8px;
  padding: 8px 0;
  border-bottom: 1px solid var(--hairline);
}
.order {
  margin-top: 12px;
}
</style>
