<script setup lang="ts">
import { computed } from 'vue'
import { Line } from 'vue-chartjs'
import { temperatureIn } from '#core/quantity/show'
import { useChartLook, useLineOptions } from '~/composables/use-chart-look'
import { useJob } from '~/stores/job'
import { useSettings } from '~/stores/settings'

const emit = defineEmits<{ working: [] }>()
const store = useJob()
const settings = useSettings()
const look = useChartLook()
const warm = computed(() => store.plan?.warm.data)
const heating = computed(() => warm.value?.heating ?? null)
const temperature = (c: number) => temperatureIn(c, settings.system)
const zone = computed(() => warm.value?.zoneCurve ?? null)
const curve = computed(() => zone.value ?? heating.value?.curve ?? [])
const lastS = computed(() => curve.value.at(-1)?.s ?? 1)
const flat = (c: number) => [
  { x: 0, y: temperature(c) },
  { x: lastS.value / 60, y: temperature(c) },
]
const data = computed(() => ({
  datasets: [
    {
      label: zone.value ? 'the zone' : 'the part',
      data: curve.value.map(point => ({ x: point.s / 60, y: temperature(point.c) })),
      borderColor: look.value.chestnut,
      borderWidth: 3,
      pointRadius: 0,
    },
    {
      label: 'wanted',
      data: flat(warm.value?.targetC ?? 0),
      borderColor: look.value.newMetal,
      borderWidth: 2,
      borderDash: [6, 4],
      pointRadius: 0,
    },
    ...(warm.value?.guards ?? []).map(guard => ({
      label: guard.name,
      data: flat(guard.limitC),
      borderColor: look.value.stop,
      borderWidth: 1.5,
      borderDash: [2, 3],
      pointRadius: 0,
    })),
  ],
}))
const options = useLineOptions(() => ({ x: 'minutes', y: settings.system === 'inch' ? '°F' : '°C' }))
</script>

<template>
  <p class="label">Temperature of {{ zone ? 'the place under the flame' : 'the part' }}, torch held on</p>
  <template v-if="heating && warm">
    <div class="chart">
      <Line
        :data="data"
        :options="options"
        role="img"
        aria-label="Heating curve of the part against the temperature wanted"
      />
    </div>
    <ul class="key small">
      <li><span class="swatch part" /> {{ zone ? 'the zone' : 'the part' }}</li>
      <li>
        <span class="swatch want" /> wanted, <span class="figure">{{ settings.text(warm.targetC, 'c') }}</span>
      </li>
      <li v-for="guard in warm.guards" :key="guard.name">
        <span class="swatch guard" /> {{ guard.name }},
        <span class="figure">{{ settings.text(guard.limitC, 'c') }}</span>
      </li>
    </ul>
    <p v-if="!zone">
      Held on for good it settles at
      <button type="button" class="open-figure figure" @click="emit('working')">
        {{ settings.text(heating.equilibriumC, 'c') }}</button>: what comes in then all goes out again.
    </p>
    <p v-if="zone" class="quiet small">
      The middle of a flame swept along the run, on a plate of this wall that goes on: heat runs off into the rest, so
      it cools as soon as the flame is off.
    </p>
    <p v-else class="quiet small">
      The part is taken as one lump at one temperature, which aluminium of hand size nearly is; the spot under the flame
      runs ahead of it.
    </p>
  </template>
  <p v-else-if="warm?.warmth.need === 'none'" class="quiet">It is not warmed, so there is no curve to draw.</p>
  <p v-else class="quiet">With a torch and the part's sizes, its heating curve is drawn here.</p>
</template>

<style scoped>
.chart {
  height: 360px;
}
.key {
  list-style: none;
  padding: 0;
  display: flex;
  gap: 18px;
  flex-wrap: wrap;
}
.swatch {
  display: inline-block;
  width: 26px;
  border-top: 3px solid var(--chestnut);
  vertical-align: middle;
  margin-right: 4px;
}
.want {
  border-top: 2px dashed var(--new-metal);
}
.guard {
  border-top: 2px dotted var(--stop);
}
</style>
