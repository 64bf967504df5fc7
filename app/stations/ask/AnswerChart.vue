<script setup lang="ts">
import { computed } from 'vue'
import { Bar, Line } from 'vue-chartjs'
import { chartOf } from '#core/ask/charts'
import { useChartLook, useLineOptions } from '~/composables/use-chart-look'
import { useWords } from '~/composables/use-words'

/** An answer drawn, where a drawing says more than its table. */
const props = defineProps<{ name: string; answer: unknown }>()
const look = useChartLook()
const { say, sayer } = useWords()
const chart = computed(() => chartOf(props.name, props.answer))
const DASHES = [[], [7, 4], [2, 3]]
const lines = computed(() => (chart.value?.kind === 'lines' ? chart.value : null))
const bars = computed(() => (chart.value?.kind === 'bars' ? chart.value : null))
const lineOptions = useLineOptions(() => ({ x: lines.value?.xTitle ?? '', y: lines.value?.yTitle ?? '' }))
const colours = computed(() => [look.value.chestnut, look.value.newMetal, look.value.slate])
const lineData = computed(() => ({
  datasets: (lines.value?.lines ?? []).map(({ label, points }, n) => ({
    label,
    data: points,
    borderColor: colours.value[n % 3]!,
    borderDash: DASHES[n % 3]!,
    borderWidth: 2,
    pointRadius: 0,
  })),
}))
const barData = computed(() => ({
  labels: (bars.value?.bars ?? []).map(({ name }) => say(name).slice(0, 34)),
  datasets: [{ data: (bars.value?.bars ?? []).map(({ value }) => value), backgroundColor: look.value.newMetal }],
}))
const barOptions = computed(() => ({
  indexAxis: 'y' as const,
  locale: sayer.value.language,
  animation: false as const,
  maintainAspectRatio: false,
  plugins: { legend: { display: false }, tooltip: { enabled: false } },
  scales: {
    x: {
      title: { display: true, text: say(bars.value?.title ?? ''), color: look.value.slate, font: look.value.wordFont },
      grid: { color: look.value.hairline },
      ticks: { color: look.value.slate, font: look.value.figureFont },
    },
    y: { grid: { display: false }, ticks: { color: look.value.soot, font: look.value.wordFont } },
  },
}))
</script>

<template>
  <figure v-if="chart" data-testid="answer-chart">
    <div v-if="bars" :style="{ height: `${60 + 26 * bars.bars.length}px` }">
      <Bar
        :data="barData"
        :options="barOptions"
        :aria-label="`${bars.title}, a bar for each; the table has the figures`"
      />
    </div>
    <div v-else class="lines">
      <Line
        :data="lineData"
        :options="lineOptions"
        :aria-label="`${lines!.yTitle} against ${lines!.xTitle}; the table has the figures`"
      />
    </div>
    <figcaption v-if="lines && lines.lines.length > 1" class="small">
      <span v-for="(line, n) in lines.lines" :key="line.label" class="key"
        ><i :style="{ background: colours[n % 3] }" />{{ line.label }}</span
      >
    </figcaption>
  </figure>
</template>

<style scoped>
figure {
  margin: 14px 0;
}
.lines {
  height: 230px;
}
.key {
  margin-right: 16px;
}
.key i {
  display: inline-block;
  width: 14px;
  height: 3px;
  margin-right: 6px;
  vertical-align: middle;
}
</style>
