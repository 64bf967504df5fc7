<script setup lang="ts">
import { computed } from 'vue'
import type { QuestionField } from '#core/ask/fields'
import type { Form } from './share'

/** What goes into a question: a field each, with its full name, its help, and what is wrong with it. */
const props = defineProps<{ fields: readonly QuestionField[]; issues: readonly { path: string; message: string }[] }>()
const form = defineModel<Form>({ required: true })
/** Pictures go in as files; the question takes their bytes as base64. */
const PICTURES: Readonly<Record<string, string>> = { png: 'image/png', jpg: 'image/jpeg' }

const put = (key: string, value: Form[string]) => {
  form.value = { ...form.value, [key]: value }
}
const chosen = (key: string) => form.value[key] as string | null
function putPicture(key: string, event: Event) {
  const file = (event.target as HTMLInputElement).files?.[0]
  if (!file) return put(key, null)
  const reader = new FileReader()
  reader.onload = () => put(key, String(reader.result).split(',')[1] ?? '')
  reader.readAsDataURL(file)
}
const usual = (field: QuestionField) => (field.fallback === undefined ? '' : `${field.fallback} unless you say`)
/** What must be given first; the rest under a line of its own. */
const parts = computed(() =>
  [
    { title: '', fields: props.fields.filter(field => field.required) },
    { title: 'May be left out', fields: props.fields.filter(field => !field.required) },
  ].filter(part => part.fields.length),
)
</script>

<template>
  <form aria-label="What goes in" @submit.prevent>
    <template v-for="part in parts" :key="part.title"
      ><p v-if="part.title" class="label rest">{{ part.title }}</p>
      <div v-for="field in part.fields" :key="field.key" class="field">
        <label v-if="PICTURES[field.key]" class="picture" :data-key="field.key"
          >{{ field.label }}<input type="file" :accept="PICTURES[field.key]" @change="putPicture(field.key, $event)"
        /></label>
        <v-select
          v-else-if="field.kind === 'choice'"
          :model-value="chosen(field.key)"
          :items="[...field.choices]"
          :label="field.label"
          clearable
          :data-key="field.key"
          @update:model-value="put(field.key, $event)"
        />
        <v-checkbox
          v-else-if="field.kind === 'flag'"
          :model-value="form[field.key]"
          :label="field.label"
          :data-key="field.key"
          @update:model-value="put(field.key, $event as boolean)"
        />
        <v-textarea
          v-else-if="field.kind === 'json'"
          :model-value="form[field.key] as string"
          :label="`${field.label} (JSON)`"
          rows="4"
          :data-key="field.key"
          @update:model-value="put(field.key, $event)"
        />
        <v-text-field
          v-else
          :model-value="form[field.key] as string"
          :label="field.label"
          :suffix="field.unit"
          :placeholder="usual(field)"
          persistent-placeholder
          maxlength="120"
          :data-key="field.key"
          @update:model-value="put(field.key, $event)"
        />
        <p v-if="field.help" class="quiet small">{{ field.help }}</p>
        <p
          v-for="issue in issues.filter(entry => entry.path.split(/[.[]/)[0] === field.key)"
          :key="issue.path + issue.message"
          class="wrong small"
          role="alert"
        >
          {{ issue.path === field.key ? '' : `${issue.path}: ` }}{{ issue.message }}
        </p>
      </div></template
    >
  </form>
</template>

<style scoped>
.field {
  margin-bottom: 12px;
}
p {
  margin: 2px 0 0;
}
.rest {
  margin: 18px 0 10px;
}
.picture {
  display: grid;
  gap: 4px;
}
.wrong {
  color: var(--stop);
}
</style>
