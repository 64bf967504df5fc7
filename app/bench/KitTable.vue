<script setup lang="ts">
import { ref } from 'vue'
import { useKit, type KitColumn, type KitList } from '~/composables/use-kit'

const props = defineProps<{ list: KitList; title: string; columns: readonly KitColumn[]; empty: string }>()
const { rows, add, remove, set, shown } = useKit()
const asked = (row: Record<string, unknown>) => props.columns.filter(column => !column.only || column.only(row))
const wrong = ref<Record<string, string>>({})

function take(id: string, column: KitColumn, text: string) {
  const message = set(props.list, id, column, text)
  const { [`${id}.${column.key}`]: _gone, ...rest } = wrong.value
  wrong.value = message ? { ...rest, [`${id}.${column.key}`]: message } : rest
}
</script>

<template>
  <section>
    <h2>{{ title }}</h2>
    <p v-if="rows(list).length === 0" class="quiet">{{ empty }}</p>
    <div v-for="row in rows(list)" :key="row.id" class="item">
      <template v-for="column in asked(row)" :key="column.key">
        <v-select
          v-if="column.choices"
          :model-value="String(row[column.key] ?? '')"
          :items="Object.entries(column.choices).map(([value, title]) => ({ value, title }))"
          :label="column.label"
          @update:model-value="take(row.id, column, $event)"
        />
        <v-text-field
          v-else
          :model-value="shown(row, column)"
          :label="column.label"
          :suffix="column.suffix"
          :placeholder="column.placeholder"
          :persistent-placeholder="column.placeholder !== undefined"
          maxlength="80"
          :error-messages="wrong[`${row.id}.${column.key}`] ? [wrong[`${row.id}.${column.key}`]!] : []"
          @change="take(row.id, column, ($event.target as HTMLInputElement).value)"
        />
      </template>
      <button
        type="button"
        class="plain-button slight"
        :aria-label="`Take ${shown(row, columns[0]!)} out of the kit`"
        @click="remove(list, row.id)"
      >
        out
      </button>
    </div>
    <button type="button" class="plain-button" :data-add="list" @click="add(list, columns)">Add one</button>
  </section>
</template>

<style scoped>
h2 {
  margin: 22px 0 8px;
  font-size: 1.1rem;
}
.item {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(132px, 1fr));
  gap: 12px 8px;
  padding: 14px;
  border: 1px solid var(--hairline);
  background: var(--sheet);
  margin-bottom: 10px;
}
.item > :first-child,
.item > .v-select {
  grid-column: span 2;
}
.item > button {
  justify-self: start;
}
</style>
