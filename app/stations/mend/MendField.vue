<script setup lang="ts">
import { computed } from 'vue'
import type { Field } from '#core/field/field'
import { valueAt } from '#core/job/patch'
import ReadingField from '~/bench/ReadingField.vue'
import WordsField from '~/bench/WordsField.vue'
import { useJob } from '~/stores/job'
import { useSettings } from '~/stores/settings'

/** One field of a mend, as its kind declares it. */
const props = defineProps<{ field: Field; path: string; words?: Readonly<Record<string, string>> | undefined }>()
const store = useJob()
const settings = useSettings()
const keys = computed(() => props.path.split('.'))
const held = computed(() => valueAt(store.job, keys.value))
const chosen = computed(
  () => held.value ?? (props.field.kind === 'count' ? String(props.field.usual) : props.field.usual),
)
const items = computed(() =>
  Object.entries(props.words ?? props.field.words ?? {}).map(([value, title]) => ({ value, title })),
)
const few = computed(() => items.value.length <= 3)
const many = computed(() => (Array.isArray(chosen.value) ? chosen.value : []) as string[])
const set = (value: unknown) => store.edit(keys.value, value ?? undefined)
const tick = (id: string, on: boolean | null) => set(on ? [...many.value, id] : many.value.filter(each => each !== id))
const isSaid = computed(() =>
  Boolean(typeof held.value === 'string' ? held.value.trim() : (held.value as { typed?: string } | undefined)?.typed),
)
const note = computed(
  () =>
    props.field.help ??
    (props.field.usual !== undefined && props.field.unit
      ? props.field.usual === 0
        ? 'empty: none'
        : `usually ${settings.text(props.field.usual as number, props.field.unit)}`
      : props.field.kind === 'text' && props.field.usual !== undefined
        ? `usually ${props.field.usual as string}`
        : props.field.required && !isSaid.value
          ? 'wanted'
          : undefined),
)
</script>

<template>
  <ReadingField
    v-if="field.kind === 'reading'"
    :path="path"
    :unit="field.unit!"
    :label="field.label"
    :note="note"
    :limits="field.limits"
  />
  <WordsField
    v-else-if="field.kind === 'text' || field.kind === 'outline'"
    :path="path"
    :label="field.label"
    :max="field.kind === 'outline' ? 400 : 40"
    :note="note"
  />
  <v-checkbox
    v-else-if="field.kind === 'flag'"
    :label="field.label"
    :model-value="chosen === true"
    :data-path="path"
    @update:model-value="set($event === true)"
  />
  <fieldset v-else-if="field.kind === 'choices' || field.kind === 'names'">
    <legend class="label">{{ field.label }}</legend>
    <v-checkbox
      v-for="item in items"
      :key="item.value"
      :label="item.title"
      :model-value="many.includes(item.value)"
      :data-pick="`${path}:${item.value}`"
      @update:model-value="tick(item.value, $event)"
    />
  </fieldset>
  <div v-else class="pick">
    <p v-if="few" class="name">{{ field.label }}</p>
    <v-btn-toggle
      v-if="few"
      :model-value="chosen"
      :mandatory="field.required || field.usual !== undefined"
      :aria-label="field.label"
      :data-path="path"
      @update:model-value="set($event)"
      ><v-btn v-for="item in items" :key="item.value" :value="item.value">{{ item.title }}</v-btn></v-btn-toggle
    >
    <v-select
      v-else
      :model-value="(chosen as string | null) ?? null"
      :items="items"
      :label="field.label"
      clearable
      :data-path="path"
      @update:model-value="set($event)"
    />
    <p v-if="field.help" class="small quiet help">{{ field.help }}</p>
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
.v-btn-toggle {
  width: 100%;
}
.help {
  margin: 4px 0 0;
}
fieldset {
  border: 0;
  padding: 0;
  margin: 12px 0 0;
}
</style>
