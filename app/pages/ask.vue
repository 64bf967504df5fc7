<script setup lang="ts">
import { useQuestion } from '~/composables/use-question'
import AnswerView from '~/bench/AnswerView.vue'

const { list, name, purpose, fields, form, result, issues, useExample } = useQuestion()
</script>

<template>
  <div class="page">
    <h1>Ask</h1>
    <p class="quiet">
      Any single question, without a job: a dial to translate, a wall to weld, a part to weigh. Every field takes a
      figure in its own unit, or text with a unit: <span class="figure">3/32 in</span>,
      <span class="figure">20 thou</span>, <span class="figure">200 F</span>.
    </p>
    <v-autocomplete
      v-model="name"
      :items="list"
      item-title="purpose"
      item-value="name"
      label="Question"
      variant="outlined"
      density="compact"
      hide-details
      class="question"
      data-testid="question"
    />
    <div v-if="name" class="asked">
      <form aria-label="What goes in" @submit.prevent>
        <p class="label">{{ purpose }}</p>
        <template v-for="field in fields" :key="field.key">
          <v-select
            v-if="field.kind === 'choice'"
            v-model="form[field.key] as string | number | null"
            :items="[...field.choices]"
            :label="field.label"
            clearable
            :data-key="field.key"
          />
          <v-checkbox
            v-else-if="field.kind === 'flag'"
            v-model="form[field.key]"
            :label="field.label"
            :data-key="field.key"
          />
          <v-textarea
            v-else-if="field.kind === 'json'"
            v-model="form[field.key] as string"
            :label="`${field.label} (JSON)`"
            :data-key="field.key"
          />
          <v-text-field
            v-else
            v-model="form[field.key] as string"
            :label="field.label"
            :suffix="field.unit"
            :placeholder="field.fallback === undefined ? '' : `${field.fallback} unless you say`"
            persistent-placeholder
            maxlength="120"
            :data-key="field.key"
          />
          <p
            v-for="issue in issues.filter(entry => entry.path.split(/[.[]/)[0] === field.key)"
            :key="issue.path + issue.message"
            class="wrong small"
            role="alert"
          >
            {{ issue.path === field.key ? '' : `${issue.path}: ` }}{{ issue.message }}
          </p>
        </template>
        <button type="button" class="plain-button" :disabled="!fields.length" @click="useExample">
          Put in an example
        </button>
      </form>
      <AnswerView :name="name" :result="result" :fields="fields" />
    </div>
  </div>
</template>

<style scoped>
.question {
  margin: 14px 0 20px;
}
.asked {
  display: grid;
  grid-template-columns: minmax(240px, 340px) minmax(0, 1fr);
  gap: 32px;
}
form > * {
  margin-bottom: 12px;
}
.wrong {
  color: var(--stop);
  margin-top: -8px;
}
@media (max-width: 799px) {
  .asked {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
