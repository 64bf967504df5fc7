<script setup lang="ts">
import { computed, useId } from 'vue'
import type { WarmZone } from '#core/station/warm/warm-on-part'
import { useSettings } from '~/stores/settings'
import { heatCss } from './heat-colours'
import type { useWarmColours } from './use-warm-colours'

/** What the colours mean, and the moment they are of: turned from the first warmth to some minutes after the flame. */
const props = defineProps<{ warm: ReturnType<typeof useWarmColours>; zones: readonly WarmZone[] }>()
const { chosen, moments, at, drawn, spread, since } = props.warm
const settings = useSettings()
const ramp = `ramp-${useId().replace(/\W/g, '')}`
const STOPS = [0, 0.2, 0.45, 0.7, 1]
const scale = computed(() =>
  drawn.value ? { low: settings.text(drawn.value.lowC, 'c'), high: settings.text(drawn.value.highC, 'c') } : null,
)
const said = computed(() => {
  if (!since.value) return ''
  const [time, cold, hot] = [
    settings.text(since.value.s, 's'),
    settings.text(spread.value.coldestC, 'c'),
    settings.text(spread.value.hottestC, 'c'),
  ]
  return since.value.flame === 'on'
    ? `Flame on for ${time}: the coldest metal is at ${cold}, the hottest at ${hot}.`
    : `Flame off for ${time}: the coldest metal is at ${cold}, the hottest at ${hot}.`
})
</script>

<template>
  <div v-if="drawn && scale && since" class="colours" data-testid="warm-colours">
    <v-btn-toggle v-if="zones.length > 1" v-model="chosen" mandatory aria-label="The flame is on" class="no-print">
      <v-btn v-for="(zone, n) in zones" :key="n" :value="n" translate="no">{{ zone.name }}</v-btn>
    </v-btn-toggle>
    <div class="moment">
      <input
        v-model.number="at"
        class="no-print"
        type="range"
        min="0"
        :max="moments.length - 1"
        step="1"
        aria-label="Moment under the flame"
        data-testid="warm-moment"
      />
      <p class="small" role="status" data-testid="warm-said">
        {{ said }}
      </p>
    </div>
    <p class="scale small">
      <span class="figure">{{ scale.low }}</span>
      <svg viewBox="0 0 100 10" preserveAspectRatio="none" aria-hidden="true">
        <defs>
          <linearGradient :id="ramp">
            <stop v-for="stop in STOPS" :key="stop" :offset="stop" :stop-color="heatCss(stop)" />
          </linearGradient>
        </defs>
        <rect width="100" height="10" :fill="`url(#${ramp})`" />
      </svg>
      <span class="figure">{{ scale.high }}</span>
    </p>
  </div>
</template>

<style scoped>
.colours {
  margin: 6px 0;
}
.moment {
  display: grid;
  grid-template-columns: minmax(90px, 1fr) minmax(0, 3fr);
  align-items: center;
  gap: 10px;
}
input[type='range'] {
  min-height: 34px;
  width: 100%;
  accent-color: var(--chestnut);
}
.scale {
  display: grid;
  grid-template-columns: auto minmax(0, 1fr) auto;
  align-items: center;
  gap: 8px;
  max-width: 420px;
}
.scale svg {
  height: 10px;
  width: 100%;
  border: 1px solid var(--soot);
}
@media (max-width: 599px) {
  .moment {
    grid-template-columns: minmax(0, 1fr);
    gap: 0;
  }
}
</style>
