<script setup lang="ts">
import { computed } from 'vue'
import { PLACE_KINDS } from '#core/heat/bench/places.table'
import { temperatureStepText } from '#core/quantity/show'
import { useSettings } from '~/stores/settings'
import type { HeatBench } from './use-heat-run'
import { useLearning } from './use-learning'

const props = defineProps<{ bench: HeatBench }>()
const settings = useSettings()
const { text, placeId, series, learnt, refusal, working, kept, torch, places, learn, keep, standIn, bringIn } =
  useLearning(props.bench)
const items = computed(() =>
  places.value.map(place => ({ value: place.id, title: place.name || PLACE_KINDS[place.kind].name })),
)
</script>

<template>
  <details class="learn">
    <summary>Learn the torch from a thermometer</summary>
    <p>
      Heat it as set up here, read one place every half minute, and go on as long again after the flame is off: that
      tells the film from the flame.
    </p>
    <v-select v-model="placeId" :items="items" label="Read at" />
    <v-textarea
      v-model="text"
      class="figure"
      label="Time and temperature, a line each"
      placeholder="0 s, 18 °C&#10;0:30, 31 °C&#10;60 s, 112 F"
      rows="6"
      data-testid="series"
    />
    <div class="row">
      <label class="plain-button slight"
        >From a CSV file<input class="visually-hidden" type="file" accept=".csv,.txt" @change="bringIn"
      /></label>
      <button type="button" class="plain-button slight" :disabled="working" data-testid="stand-in" @click="standIn()">
        Stand-in thermometer
      </button>
      <button
        type="button"
        class="plain-button strong"
        :disabled="series.readings.length < 4 || working"
        data-testid="learn"
        @click="learn()"
      >
        {{ working ? 'Fitting…' : 'Learn' }}
      </button>
    </div>
    <p v-if="series.wrong.length" class="wrong small" role="status">
      Not understood, and left out: {{ series.wrong.slice(0, 3).join('; ') }}
    </p>
    <p v-if="refusal" class="wrong" role="alert">{{ refusal }}</p>
    <template v-if="learnt">
      <p data-testid="learnt">
        Into the metal
        <b class="figure">{{ Math.round(learnt.absorbedW) }} ± {{ Math.round(learnt.sourceErrorW) }} W</b>, film
        <b class="figure">{{ learnt.filmWm2K.toFixed(1) }} ± {{ learnt.filmErrorWm2K.toFixed(1) }} W/m²K</b>; the
        readings lie <span class="figure">{{ temperatureStepText(learnt.residualC, settings.system) }}</span> about the
        curve.
      </p>
      <button v-if="torch" type="button" class="plain-button" :disabled="kept" data-testid="keep-torch" @click="keep()">
        {{ kept ? `${torch.name}: kept` : `Keep it for the ${torch.name}` }}
      </button>
    </template>
  </details>
</template>

<style scoped>
.learn {
  margin-top: 14px;
  border-top: 1px solid var(--hairline);
  padding-top: 8px;
  font-size: 0.95rem;
}
.wrong {
  color: var(--stop);
}
</style>
