<script setup lang="ts">
import { computed } from 'vue'
import { Line } from 'vue-chartjs'
import type { FlameData } from '#core/station/weld/flame'
import { temperatureIn } from '#core/quantity/show'
import { useChartLook, useLineOptions } from '~/composables/use-chart-look'
import { useSettings } from '~/stores/settings'

/** What a flame does to this wall, against what a puddle wants. */
const props = defineProps<{ flame: FlameData | null }>()
const emit = defineEmits<{ working: [ref: string] }>()
const settings = useSettings()
const look = useChartLook()
const flame = computed(() => props.flame)
const temperature = (c: number) => temperatureIn(c, settings.system)
const lastS = computed(() => flame.value?.plan.curve.at(-1)?.s ?? 1)
const flat = (c: number) => [
  { x: 0, y: temperature(c) },
  { x: lastS.value, y: temperature(c) },
]
/** Past the puddle the curve means nothing: it ends a little over it. */
const CLEAR_C = 60
const data = computed(() => {
  const { plan, base } = flame.value!
  return {
    datasets: [
      {
        label: 'under the cone',
        data: plan.curve
          .filter(point => point.c <= plan.puddleC + CLEAR_C)
          .map(point => ({ x: point.s, y: temperature(point.c) })),
        borderColor: look.value.chestnut,
        borderWidth: 3,
        pointRadius: 0,
      },
      {
        label: 'begins to melt',
        data: flat(base.solidusC),
        borderColor: look.value.newMetal,
        borderWidth: 1.5,
        borderDash: [2, 3],
        pointRadius: 0,
      },
      {
        label: 'takes rod',
        data: flat(plan.puddleC),
        borderColor: look.value.newMetal,
        borderWidth: 2,
        borderDash: [6, 4],
        pointRadius: 0,
      },
    ],
  }
})
const options = useLineOptions(() => ({
  x: 'seconds, flame held still',
  y: settings.system === 'inch' ? '°F' : '°C',
  maxX: lastS.value,
}))
</script>

<template>
  <template v-if="flame">
    <p class="label">
      Under the cone, on {{ settings.text(flame.wallMm, 'mm') }} from
      {{ settings.text(Math.ceil(flame.plan.fromC), 'c') }}
    </p>
    <div class="chart">
      <Line
        :data="data"
        :options="options"
        role="img"
        aria-label="Temperature under the flame against what the metal begins to melt at and what a puddle wants"
      />
    </div>
    <p class="small quiet">
      Dotted: {{ flame.base.name }} begins to melt,
      <span class="figure">{{ settings.text(flame.base.solidusC, 'c') }}</span>. Dashed: a puddle that takes rod,
      <span class="figure">{{ settings.text(flame.plan.puddleC, 'c') }}</span>. A puddle takes about a third longer: the
      heat of melting is left out.
    </p>
    <table class="facts">
      <tbody>
        <tr>
          <th scope="row">All of it first at</th>
          <td class="num">
            <button type="button" class="open-figure figure" @click="emit('working', 'flame')">
              {{ settings.text(Math.ceil(flame.plan.fromC), 'c') }}
            </button>
          </td>
        </tr>
        <tr>
          <th scope="row">Least flame that would, warmed as far as may be</th>
          <td class="num">{{ settings.text(flame.leastW, 'w') }}</td>
        </tr>
        <tr>
          <th scope="row">{{ flame.torch.name }}</th>
          <td class="num">{{ settings.text(flame.torch.powerW, 'w') }}</td>
        </tr>
        <tr v-if="flame.fuelL > 0">
          <th scope="row">Fuel</th>
          <td class="num">{{ Math.round(flame.fuelL) }} L</td>
        </tr>
      </tbody>
    </table>
  </template>
  <p v-else class="quiet">
    With a torch in the kit, the wall and the part's sizes, what the flame does to this wall is drawn here.
  </p>
</template>

<style scoped>
.chart {
  height: 280px;
}
.facts {
  max-width: 520px;
  margin: 10px 0;
}
</style>
