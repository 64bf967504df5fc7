<script setup lang="ts">
import { computed } from 'vue'
import { Bar } from 'vue-chartjs'
import { BENCH_TESTS } from '#core/metal/identify/tests.table'
import { useChartLook } from '~/composables/use-chart-look'
import { useWords } from '~/composables/use-words'
import { useJob } from '~/stores/job'
import { useSettings } from '~/stores/settings'

const store = useJob()
const settings = useSettings()
const look = useChartLook()
const { say } = useWords()
const identified = computed(() => store.plan?.know.data.identified)
const shown = computed(() => identified.value?.families ?? [])
const data = computed(() => ({
  labels: shown.value.map(family => say(family.name)),
  datasets: [
    {
      data: shown.value.map(family => family.probability * 100),
      backgroundColor: shown.value.map((_, index) => (index === 0 ? look.value.chestnut : look.value.hatch)),
      barThickness: 13,
    },
  ],
}))
const options = computed(() => ({
  indexAxis: 'y' as const,
  animation: false as const,
  maintainAspectRatio: false,
  scales: {
    x: {
      min: 0,
      max: 100,
      grid: { color: look.value.hairline },
      ticks: {
        color: look.value.slate,
        font: look.value.figureFont,
        callback: (value: number | string) => `${value} %`,
      },
    },
    y: { grid: { display: false }, ticks: { color: look.value.soot, font: look.value.wordFont } },
  },
  plugins: { legend: { display: false }, tooltip: { enabled: false } },
}))
const matches = computed(() => store.plan?.know.data.matches ?? [])
const limits = (match: { outside: { element: string; measured: number; min: number; max: number }[] }) =>
  match.outside.map(each => `${each.element} ${each.measured} against ${each.min}–${each.max}`).join('; ')
const tests = computed(
  () =>
    identified.value?.next
      .slice(0, 6)
      .map(next => ({ ...next, name: BENCH_TESTS.find(test => test.test === next.test)!.name })) ?? [],
)
</script>

<template>
  <p class="label">Which family, out of a hundred such parts</p>
  <div class="chart"><Bar :data="data" :options="options" aria-label="Probability of each family" role="img" /></div>
  <table class="visually-hidden">
    <caption>
      Probability of each family
    </caption>
    <tbody>
      <tr v-for="family in shown" :key="family.id">
        <td>{{ family.name }}</td>
        <td>{{ settings.text(family.probability * 100, 'pct') }}</td>
      </tr>
    </tbody>
  </table>
  <template v-if="matches.length">
    <p class="label next">What the analyser's reading fits</p>
    <table>
      <thead>
        <tr>
          <th>Alloy</th>
          <th class="num">Fit</th>
          <th>Outside its limits</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="match in matches" :key="match.alloy">
          <td class="figure">{{ match.alloy }}</td>
          <td class="num">{{ match.fit.toFixed(2) }}</td>
          <td class="small">{{ limits(match) || 'nothing' }}</td>
        </tr>
      </tbody>
    </table>
  </template>
  <p class="label next">What the next test is worth</p>
  <table>
    <thead>
      <tr>
        <th>Test</th>
        <th class="num">Bits</th>
        <th class="num">Minutes</th>
        <th>Marks it</th>
      </tr>
    </thead>
    <tbody>
      <tr v-for="test in tests" :key="test.test" :class="{ best: test.test === identified?.recommended }">
        <td>{{ test.name }}</td>
        <td class="num">{{ test.bits.toFixed(2) }}</td>
        <td class="num">{{ test.minutes }}</td>
        <td>{{ test.destructive ? 'yes' : 'no' }}</td>
      </tr>
    </tbody>
  </table>
</template>

<style scoped>
.chart {
  height: 400px;
}
.next {
  margin-top: 18px;
}
.best td {
  font-weight: 700;
}
.best td:first-child::after {
  content: ' — do this next';
  color: var(--chestnut);
}
</style>
