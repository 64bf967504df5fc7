<script setup lang="ts">
import { useKit, type KitColumn, type KitList } from '~/composables/use-kit'
import KitField from './KitField.vue'

/** One list of the kit: a line for each thing. */
defineProps<{ list: KitList; title: string; columns: readonly KitColumn[]; empty: string }>()
const { rows, add, remove, shown } = useKit()
</script>

<template>
  <section>
    <h2>{{ title }}</h2>
    <p v-if="rows(list).length === 0" class="quiet">{{ empty }}</p>
    <div v-for="row in rows(list)" :key="row.id" class="item">
      <KitField v-for="column in columns" :key="column.key" :list="list" :row="row" :column="column" />
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
  margin: 26px 0 8px;
  font-size: 1.1rem;
}
.item {
  display: flex;
  flex-wrap: wrap;
  gap: 10px 8px;
  padding: 10px 0;
  border-top: 1px solid var(--hairline);
}
.item > * {
  flex: 1 1 120px;
}
.item > :first-child {
  flex: 2 1 200px;
}
.item > button {
  flex: 0 0 auto;
}
</style>
