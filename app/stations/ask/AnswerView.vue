<script setup lang="ts">
import { computed } from 'vue'
import type { QuestionField } from '#core/ask/fields'
import type { Asked } from '#core/ask/registry'
import type { AnswerRows } from '#core/ask/answer-rows'
import WorkingTable from '~/bench/WorkingTable.vue'
import AnswerChart from './AnswerChart.vue'

const props = defineProps<{
  name: string
  result: Asked | null
  laid: AnswerRows | null
  fields: readonly QuestionField[]
}>()
const answer = computed(() => (props.result?.ok ? props.laid : null))
const refusal = computed(() =>
  props.result && !props.result.ok && props.result.error.kind === 'no-answer' ? props.result.error.reason : null,
)
</script>

<template>
  <section aria-label="Answer" aria-live="polite">
    <p v-if="!result" class="quiet">Put in what you have; the answer stands here.</p>
    <p v-else-if="refusal"><b>No answer:</b> {{ refusal }}.</p>
    <p v-else-if="!result.ok" class="quiet">Something put in is not understood; it says so under the field.</p>
    <template v-if="answer && result?.ok">
      <table data-testid="answer">
        <tbody>
          <tr v-for="row in answer.rows" :key="row.key" :data-answer="row.key">
            <th scope="row">{{ row.label }}</th>
            <td class="num wraps">{{ row.text }}</td>
          </tr>
        </tbody>
      </table>
      <AnswerChart :name="name" :answer="result.answer" />
      <div v-for="table in answer.tables" :key="table.key" class="inner">
        <p class="label">{{ table.label }}</p>
        <div class="scroll" tabindex="0">
          <table>
            <thead>
              <tr>
                <th v-for="column in table.columns" :key="column">{{ column }}</th>
              </tr>
            </thead>
            <tbody>
              <tr v-for="(row, index) in table.rows" :key="index">
                <td v-for="(cell, each) in row" :key="each" class="small">{{ cell }}</td>
              </tr>
            </tbody>
          </table>
        </div>
      </div>
      <div v-for="caution in result.cautions" :key="caution.code" class="caution" :class="caution.level">
        <p>{{ caution.text }}</p>
      </div>
      <template v-if="result.working.length">
        <p class="label">Working</p>
        <div class="wide" tabindex="0">
          <WorkingTable :steps="result.working" />
        </div>
      </template>
    </template>
  </section>
</template>

<style scoped>
.inner {
  margin: 14px 0;
}
.scroll {
  overflow: auto;
  max-height: 300px;
}
.wide {
  overflow-x: auto;
}
.label {
  margin-top: 18px;
}
.caution {
  border-left: 6px solid var(--hazard);
  padding: 2px 12px;
  margin: 12px 0;
  font-size: 0.92rem;
}
.caution.stop {
  border-color: var(--stop);
}
.caution.note {
  border-left: 2px solid var(--slate);
}
p {
  margin: 4px 0;
}
</style>
