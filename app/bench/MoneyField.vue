<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import { declaredAt } from '#core/job/fields/sections'
import { valueAt } from '#core/job/patch'
import { useJob } from '~/stores/job'
import { useSettings } from '~/stores/settings'
import { useShop } from '~/stores/shop'

/** An amount of the open job, as its field declares it. */
const props = defineProps<{ path: string }>()
const declared = computed(() => declaredAt(props.path)!)
const store = useJob()
const settings = useSettings()
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
  const plain = typed.value.replace(/[^\d.,-]/g, '')
  const read = plain === '' ? null : settings.read(plain, 'number')
  if (read && !read.ok) error.value = read.message
  else if (read && read.value < 0) error.value = 'an amount from 0 up'
  else error.value = store.edit(keys.value, read?.value ?? null)
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
