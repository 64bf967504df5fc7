<script setup lang="ts">
import { computed, onMounted, shallowRef } from 'vue'
import PickField from '~/bench/PickField.vue'
import { db } from '~/db/database'
import { useJob } from '~/stores/job'

const MOST = 200
const store = useJob()
const earlier = shallowRef<{ title: string; value: string }[]>([])
onMounted(async () => {
  earlier.value = (await db.cards.where('handedAt').above('').reverse().limit(MOST).toArray())
    .filter(card => card.id !== store.job?.id)
    .map(card => ({ value: card.id, title: `${card.title}${card.customer ? `, ${card.customer}` : ''}` }))
})
const due = computed(() => store.job!.takeIn.dueAt?.slice(0, 10) ?? '')
/** Promised for a day: by the end of its work. */
const setDue = (text: string) =>
  store.edit(
    ['takeIn', 'dueAt'],
    /^\d{4}-\d{2}-\d{2}$/.test(text) && !Number.isNaN(Date.parse(text))
      ? new Date(`${text}T17:00:00`).toISOString()
      : null,
  )
</script>

<template>
  <v-text-field
    class="gap"
    type="date"
    label="Promised for"
    :model-value="due"
    data-testid="due"
    @update:model-value="setDue($event ?? '')"
  />
  <v-autocomplete
    v-if="earlier.length || store.job!.takeIn.comebackOf"
    class="gap"
    label="Mended here before"
    :items="earlier"
    clearable
    :model-value="store.job!.takeIn.comebackOf"
    data-testid="comeback"
    @update:model-value="store.edit(['takeIn', 'comebackOf'], $event ?? null)"
  />
  <PickField v-if="store.job!.takeIn.comebackOf" path="takeIn.comebackWhy" />
</template>

<style scoped>
.gap {
  margin: 10px 0;
}
</style>
