<script setup lang="ts">
import { computed } from 'vue'
import { Line } from 'vue-chartjs'
import { temperatureIn } from '#core/quantity/show'
import { SOAK_S } from '#core/warm/on-cells'
import { useChartLook, useLineOptions } from '~/composables/use-chart-look'
import { useJob } from '~/stores/job'
import { useSettings } from '~/stores/settings'

const emit = defineEmits<{ working: [ref: 'preheat' | 'cells'] }>()
const store = useJob()
const settings = useSettings()
const look = useChartLook()
const warm = computed(() => store.plan?.warm.data)
const heating = computed(() => warm.value?.heating ?? null)
const temperature = (c: number) => temperatureIn(c, settings.system)
const zone = computed(() => warm.value?.zoneCurve ?? null)
const onPart = computed(() => warm.value?.zones[0] ?? null)
const far = computed(() => warm.value?.farCurve ?? null)
const curve = computed(() => zone.value ?? heating.value?.curve ?? [])
const lastS = computed(() => curve.value.at(-1)?.s ?? 1)
const onGuards = computed(() => (warm.value?.guards ?? []).filter(guard => guard.hottestC !== null))
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
    ...(far.value
      ? [
          {
            label: 'the far end',
            data: far.value.map(point => ({ x: point.s / 60, y: temperature(point.c) })),
            borderColor: look.value.chestnut,
            borderWidth: 1.5,
            borderDash: [10, 4],
            pointRadius: 0,
          },
        ]
      : []),
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
  <p class="label">
    <template v-if="onPart"
      >{{ onPart.name }}: the coldest of its zone, the torch swept along it and taken off</template
    >
    <template v-else>Temperature of {{ zone ? 'the place under the flame' : 'the part' }}, torch held on</template>
  </p>
  <template v-if="(heating || onPart) && warm">
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
      <li v-if="far"><span class="swatch far" /> the far end of the part</li>
      <li><span class="swatch want" /> wanted, <span class="figure">{{ settings.text(warm.targetC, 'c') }}</span></li>
      <li v-for="guard in warm.guards" :key="guard.name">
        <span class="swatch guard" /> {{ guard.name }},
        <span class="figure">{{ settings.text(guard.limitC, 'c') }}</span>
      </li>
    </ul>
    <template v-if="onPart">
      <table data-testid="warm-zones">
        <thead>
          <tr>
            <th>Place</th>
            <th class="num">Flame on it</th>
            <th class="num">Far end then</th>
            <th class="num">Stays warm</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="place in warm.zones" :key="place.name">
            <td>
              {{ place.name }}<br /><span class="quiet small">{{
                place.where === 'whole' ? 'all of the part warms' : 'only the zone warms'
              }}</span>
            </td>
            <td class="num">
              <button
                v-if="place.onS !== null"
                type="button"
                class="open-figure figure"
                @click="emit('working', 'cells')"
              >
                {{ settings.text(place.onS, 's') }}</button
              ><template v-else>never; {{ settings.text(place.zoneC, 'c') }}</template>
            </td>
            <td class="num">{{ settings.text(place.farC, 'c') }}</td>
            <td class="num">
              {{
                place.onS === null ? '' : `${place.staysS >= SOAK_S ? 'over ' : ''}${settings.text(place.staysS, 's')}`
              }}
            </td>
          </tr>
          <tr v-for="guard in onGuards" :key="guard.name">
            <td>{{ guard.name }}</td>
            <td class="num" :class="{ risk: guard.atRisk }" colspan="3">
              comes to {{ settings.text(guard.hottestC!, 'c') }}, {{ guard.atRisk ? 'over its' : 'under its' }}
              {{ settings.text(guard.limitC, 'c') }}
            </td>
          </tr>
        </tbody>
      </table>
      <p class="quiet small">
        On the part’s own cells, stood on two stainless strips. It is heated on until the coldest of the zone stays warm
        for a minute without the flame; one that cools sooner wants the flame kept by.
      </p>
    </template>
    <p v-else-if="zone" class="quiet small">
      The middle of a flame swept along the run, on a plate of this wall that goes on: heat runs off into the rest, so
      it cools as soon as the flame is off.
    </p>
    <template v-else-if="heating">
      <p>
        Held on for good it settles at
        <button type="button" class="open-figure figure" @click="emit('working', 'preheat')">
          {{ settings.text(heating.equilibriumC, 'c') }}</button
        >: what comes in then all goes out again.
      </p>
      <p class="quiet small">
        The part is taken as one lump at one temperature, which aluminium of hand size nearly is; the spot under the
        flame runs ahead of it. With a shape, and what is mended placed on it, this is worked out on its cells.
      </p>
    </template>
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
td.risk {
  color: var(--stop);
  font-weight: 700;
}
.far {
  border-top: 2px dashed var(--chestnut);
}
.want {
  border-top: 2px dashed var(--new-metal);
}
.guard {
  border-top: 2px dotted var(--stop);
}
</style>
