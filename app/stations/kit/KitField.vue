<script setup lang="ts">
import { computed, ref } from 'vue'
import { isPrice, useKit, type KitColumn, type KitList } from '~/composables/use-kit'

/** One figure or choice of one thing in the kit; what is not understood stays, and says why. */
const props = defineProps<{ list: KitList; row: Record<string, unknown> & { id: string }; column: KitColumn }>()
const { set, shown } = useKit()
const usual = computed(() => props.row.usualPrice === true && isPrice(props.column))
const wrong = ref<string | null>(null)
function take(text: string) {
  wrong.value = set(props.list, props.row.id, props.column, text)
}
</script>

<template>
  <v-select
    v-if="column.choices"
    :model-value="String(row[column.key] ?? '')"
    :items="Object.entries(column.choices).map(([value, title]) => ({ value, title }))"
    :label="column.label"
    @update:model-value="take($event)"
  />
  <v-text-field
    v-else
    :model-value="shown(row, column)"
    :label="column.label"
    :suffix="usual ? 'usual price' : column.suffix"
    :placeholder="column.placeholder"
    :persistent-placeholder="column.placeholder !== undefined"
    maxlength="80"
    :error-messages="wrong ? [wrong] : []"
    @change="take(($event.target as HTMLInputElement).value)"
  />
</template>
