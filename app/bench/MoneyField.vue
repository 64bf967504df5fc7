<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import { declaredAt } from '#core/job/fields/sections'
import { valueAt } from '#core/job/patch'
import { useJob } from '~/stores/job'
import { useShop } from '~/stores/shop'

/** An amount of the open job, as its field declares it. */
const props = defineProps<{ path: string }>()
const declared = computed(() => declaredAt(props.path)!)
const store = useJob()
const shop = useShop()
const keys = computed(() => props.path.split('.'))
const stored = computed(() => valueAt(store.job, keys.value) as number | null | undefined)
const typed = ref(stored.value == null ? '' : String(stored.value))
watch(stored, value => {
  if (value != null && Number(typed.value.replace(',', '.')) !== value) typed.value = String(value)
})
const error = ref<string | null>(null)

function set(text: string | null) {
  typed.value = text ?? ''
  const plain = typed.value.replace(/[^\d.,-]/g, '').replace(',', '.')
  const value = plain === '' ? null : Number(plain)
  error.value = value !== null && !(value >= 0) ? 'an amount from 0 up' : store.edit(keys.value, value)
}
</script>

<template>
  <v-text-field
    class="money"
    :label="declared.label"
    :prefix="declared.suffix ? undefined : shop.kit.currency"
    :suffix="declared.suffix"
    inputmode="decimal"
    :model-value="typed"
    :error-messages="error ? [error] : []"
    :data-path="path"
    @update:model-value="set"
  />
</template>

<style scoped>
.money {
  margin: 10px 0;
}
</style>
