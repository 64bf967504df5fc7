<script setup lang="ts">
import { computed } from 'vue'
import { Line } from 'vue-chartjs'
import { GOOD_MARKS, MARK_WORDS } from '#core/puddle/trainer/advice'
import { useChartLook, useLineOptions } from '~/composables/use-chart-look'
import type { Judged } from '~/workers/puddle'

const props = defineProps<{ judged: Judged }>()
const look = useChartLook()
const options = useLineOptions(() => ({ x: 's', y: 'A ÷ 10 · mm · mm/s', fromZero: true }))
/** Current is drawn by tens, so that it stands in one scale with millimetres. */
const LINES = [
  { key: 'a', label: 'current, A ÷ 10', by: 0.1, dash: [] },
  { key: 'widthMm', label: 'puddle, mm wide', by: 1, dash: [] },
  { key: 'arcMm', label: 'arc, mm', by: 1, dash: [2, 3] },
  { key: 'speedMmS', label: 'travel, mm/s', by: 1, dash: [7, 4] },
] as const
const colours = computed(() => [look.value.slate, look.value.chestnut, look.value.newMetal, look.value.removed])
const data = computed(() => ({
  datasets: LINES.map(({ key, label, by, dash }, n) => ({
    label,
    data: props.judged.outcome.samples.map(sample => ({ x: sample.s, y: sample[key] * by })),
    borderColor: colours.value[n]!,
    borderWidth: key === 'widthMm' ? 3 : 1.6,
    borderDash: [...dash],
    pointRadius: 0,
  })),
}))
const told = computed(() => props.judged.outcome.marks.filter(mark => !GOOD_MARKS.includes(mark.code)).slice(0, 12))
</script>

<template>
  <figure v-if="judged.outcome.samples.length > 1">
    <div class="chart">
      <Line
        :data="data"
        :options="options"
        aria-label="Current, width of the puddle, length of the arc and travel over the run"
      />
    </div>
    <figcaption class="small">
      <span v-for="(entry, n) in LINES" :key="entry.key" class="key"
        ><i :style="{ background: colours[n] }" />{{ entry.label }}</span
      >
    </figcaption>
    <ol v-if="told.length" class="small told" data-testid="moments">
      <li v-for="(mark, n) in told" :key="n">
        <span class="figure">{{ mark.s.toFixed(1) }} s</span> {{ MARK_WORDS[mark.code] }}
      </li>
    </ol>
  </figure>
</template>

<style scoped>
figure {
  margin: 8px 0 12px;
}
.chart {
  height: 220px;
}
.key {
  margin-right: 16px;
  white-space: nowrap;
}
.key i {
  display: inline-block;
  width: 14px;
  height: 3px;
  margin-right: 6px;
  vertical-align: middle;
}
.told {
  columns: 2;
  list-style: none;
  padding: 0;
  margin: 8px 0 0;
}
</style>
