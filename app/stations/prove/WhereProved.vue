<script setup lang="ts">
import { computed } from 'vue'
import { useDrawing } from '~/composables/use-drawing'
import { RESULTS } from '#core/station/prove/result-words'
import { useJob } from '~/stores/job'

const store = useJob()
const checks = computed(() => store.plan?.prove.data.checks ?? [])
const sizes = computed(() => ({
  widthMm: store.job?.takeIn.lengthMm.value || 200,
  heightMm: store.job?.takeIn.widthMm.value || 120,
}))
const { scale } = useDrawing(sizes, { width: 520, height: 240, margin: 30 })
const w = computed(() => sizes.value.widthMm * scale.value)
const h = computed(() => sizes.value.heightMm * scale.value)
/** The longest run that is welded on it. */
const runMm = computed(() => Math.max(0, ...(store.plan?.mends.rows ?? []).map(row => row.planned?.run?.longMm ?? 0)))
const run = computed(() => Math.min(w.value * 0.92, runMm.value * scale.value))
const MARKS = { pass: '✓', fail: '✗', 'left-out': '–' }
</script>

<template>
  <p class="label">Where each check looks</p>
  <svg class="drawing" viewBox="0 0 520 240" role="img" aria-label="The part from above with the weld that is proved">
    <rect class="metal edge" :x="260 - w / 2" :y="120 - h / 2" :width="w" :height="h" />
    <rect v-if="run" class="new" :x="260 - run / 2" :y="120 - h / 2 + 10" :width="run" height="16" rx="8" />
    <path
      v-if="run"
      class="thin"
      stroke-dasharray="4 3"
      :d="`M${260 - run / 2 - 16} ${120 - h / 2 + 2}h${run + 32}v32h${-run - 32}z`"
    />
  </svg>
  <table>
    <thead>
      <tr>
        <th>Check</th>
        <th>Looks at</th>
        <th>How</th>
        <th>Result</th>
      </tr>
    </thead>
    <tbody>
      <tr v-for="check in checks" :key="check.id">
        <td>
          <b>{{ check.name }}</b>
        </td>
        <td>{{ check.where }}</td>
        <td class="small">{{ check.how }}</td>
        <td>
          {{ check.result ? `${MARKS[check.result]} ${RESULTS[check.result]}` : 'to do'
          }}<span v-if="check.note" class="quiet small">, {{ check.note }}</span>
        </td>
      </tr>
    </tbody>
  </table>
</template>
