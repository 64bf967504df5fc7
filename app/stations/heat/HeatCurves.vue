<script setup lang="ts">
import { computed } from 'vue'
import { Line } from 'vue-chartjs'
import { PLACE_KINDS } from '#core/heat/bench/places.table'
import type { HeatPlace } from '#core/heat/bench/setup.schema'
import { temperatureIn } from '#core/quantity/show'
import { useChartLook, useLineOptions } from '~/composables/use-chart-look'
import { useSettings } from '~/stores/settings'
import type { HeatRun } from '~/workers/heat'

const props = defineProps<{
  runs: { name: string; run: HeatRun; places: readonly HeatPlace[] }[]
  targetC: number
  atS: number
}>()
const settings = useSettings()
const look = useChartLook()
const DASHES = [[], [7, 4]]
const temperature = (c: number) => temperatureIn(c, settings.system)
const colour = (n: number, place: HeatPlace) =>
  place.kind === 'weld-zone'
    ? look.value.chestnut
    : [look.value.newMetal, look.value.slate, look.value.removed, look.value.soot][n % 4]!
const endS = computed(() => Math.max(1, ...props.runs.map(({ run }) => run.times.at(-1)!)))
const lines = computed(() =>
  props.runs.flatMap(({ name, run, places }, which) =>
    places.map((place, n) => ({
      label: `${place.name || PLACE_KINDS[place.kind].name}${props.runs.length > 1 ? `, ${name}` : ''}`,
      data: run.times.map((s, at) => ({ x: s / 60, y: temperature(run.probes[n]![at]!) })),
      borderColor: colour(n, place),
      borderWidth: place.kind === 'weld-zone' ? 3 : 2,
      borderDash: DASHES[which]!,
      pointRadius: 0,
    })),
  ),
)
const limits = computed(() =>
  (props.runs[0]?.places ?? []).flatMap((place, n) => {
    const limitC = place.limitC.value ?? PLACE_KINDS[place.kind].limitC
    return limitC === null
      ? []
      : [
          {
            label: 'limit',
            data: [0, endS.value / 60].map(x => ({ x, y: temperature(limitC) })),
            borderColor: colour(n, place),
            borderWidth: 1,
            borderDash: [2, 3],
            pointRadius: 0,
          },
        ]
  }),
)
const data = computed(() => ({
  datasets: [
    ...lines.value,
    ...limits.value,
    {
      label: 'wanted',
      data: [0, endS.value / 60].map(x => ({ x, y: temperature(props.targetC) })),
      borderColor: look.value.chestnut,
      borderWidth: 1,
      borderDash: [2, 3],
      pointRadius: 0,
    },
    {
      label: 'now',
      data: [0, 1].map(share => ({
        x: props.atS / 60,
        y: temperature(share * Math.max(props.targetC, ...props.runs.flatMap(({ run }) => run.probes.flat()))),
      })),
      borderColor: look.value.soot,
      borderWidth: 1,
      pointRadius: 0,
    },
  ],
}))
const options = useLineOptions(() => ({
  x: 'minutes',
  y: settings.system === 'inch' ? '°F' : '°C',
  maxX: endS.value / 60,
}))
</script>

<template>
  <div class="curves">
    <div class="chart">
      <Line
        :data="data"
        :options="options"
        role="img"
        aria-label="Temperature of each place over time, against what is wanted and what each stands"
      />
    </div>
    <ul class="small">
      <li v-for="line in lines" :key="line.label">
        <span
          class="swatch"
          :style="{ borderTopColor: line.borderColor, borderTopStyle: line.borderDash.length ? 'dashed' : 'solid' }"
        />
        {{ line.label }}
      </li>
      <li class="quiet">dotted: wanted, and what each stands</li>
    </ul>
  </div>
</template>

<style scoped>
.chart {
  height: 230px;
}
ul {
  list-style: none;
  padding: 0;
  margin: 4px 0 0;
  display: flex;
  gap: 4px 16px;
  flex-wrap: wrap;
}
.swatch {
  display: inline-block;
  width: 24px;
  border-top: 3px solid;
  vertical-align: middle;
  margin-right: 4px;
}
</style>
