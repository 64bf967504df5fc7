<script setup lang="ts">
import { whenever } from '@vueuse/core'
import { PREHEAT_C } from '#core/arc/least-preheat'
import { computed, ref, watch } from 'vue'
import type { Face } from '#core/heat/field/setup'
import { pointedAt } from '#core/heat/bench/swept'
import { storedPlace } from '#core/quantity/stored'
import { firstSetup, heatSentences } from '#core/station/warm/heat-bench'
import SentenceLine from '~/bench/SentenceLine.vue'
import WorkingDrawer from '~/bench/WorkingDrawer.vue'
import { useJob } from '~/stores/job'
import { useSettings } from '~/stores/settings'
import HeatCurves from './HeatCurves.vue'
import HeatFields from './HeatFields.vue'
import HeatSays from './HeatSays.vue'
import HeatView from './HeatView.vue'
import LearnTorch from './LearnTorch.vue'
import PartFields from './PartFields.vue'
import PlaceFields from './PlaceFields.vue'
import type { Cut } from './surface'
import { useHeatRun } from './use-heat-run'

const store = useJob()
const settings = useSettings()
const setups = computed(() => store.job!.warm.setups)
const decided = computed(() => store.plan?.warm.data)
/** It begins with what Warm decided. */
const begin = () => store.edit(['warm', 'setups'], [firstSetup(store.job!, decided.value!)])
// Once, as soon as that is worked out: a set-up that is undone stays so.
whenever(decided, () => !setups.value.length && begin(), { immediate: true, once: true })
const benches = [useHeatRun(ref(0)), useHeatRun(ref(1))] as const
const edited = ref(0)
const index = computed(() => Math.max(0, Math.min(edited.value, setups.value.length - 1)))
const two = computed(() => setups.value.length > 1)
const shown = computed(() => benches.slice(0, setups.value.length))
const aim = ref('torch')
const atShare = ref(1)
const cutAxis = ref<'none' | 'x' | 'y' | 'z'>('none')
const cutShare = ref(0.5)
const working = ref<string | null>(null)
const cut = computed<Cut | null>(() =>
  cutAxis.value === 'none' ? null : { axis: { x: 0, y: 1, z: 2 }[cutAxis.value] as 0 | 1 | 2, share: cutShare.value },
)
const targetC = computed(() => store.plan?.warm.data.targetC ?? PREHEAT_C)
const fresh = computed(() =>
  shown.value.flatMap((bench, n) =>
    bench.run.value && !bench.stale.value
      ? [{ name: 'AB'[n]!, run: bench.run.value, places: bench.setup.value!.places }]
      : [],
  ),
)
const topC = computed(() => Math.max(1.4 * targetC.value, ...fresh.value.flatMap(({ run }) => run.probes.flat())))
const headline = computed(() =>
  !two.value && fresh.value[0]
    ? heatSentences(fresh.value[0].run.verdict, targetC.value, setups.value[0]!.onS.value ?? 0).call
    : null,
)
const endS = computed(() => Math.max(0, ...fresh.value.map(({ run }) => run.times.at(-1)!)))
const workings = computed(() => ({
  run: {
    title: 'Heat over time, in cells',
    question: 'heat.simulate',
    steps: benches[index.value]!.run.value?.working ?? [],
  },
}))

// A new run is looked at when its heat goes off: then it is hottest.
watch(
  () => fresh.value.map(({ run }) => run.times.at(-1)).join(),
  () => {
    if (endS.value) atShare.value = Math.min(1, (setups.value[index.value]!.onS.value ?? endS.value) / endS.value)
  },
)

function pick(which: number, at: [number, number, number], face: Face) {
  edited.value = which
  const base = ['warm', 'setups', which]
  if (aim.value === 'torch') store.edit([...base, 'heat'], pointedAt(setups.value[which]!.heat, at, face))
  else {
    const n = setups.value[which]!.places.findIndex(entry => entry.id === aim.value)
    if (n >= 0) store.edit([...base, 'places', n, 'at'], storedPlace(at))
  }
}
const besides = () => {
  store.edit(['warm', 'setups'], [setups.value[0]!, structuredClone(JSON.parse(JSON.stringify(setups.value[0]!)))])
  edited.value = 1
}
const alone = () => {
  store.edit(['warm', 'setups'], [setups.value[index.value]!])
  edited.value = 0
}
</script>

<template>
  <div v-if="store.plan && setups.length" class="station">
    <header>
      <p class="where"><NuxtLink :to="`/job/${store.job!.id}/warm`">Warm</NuxtLink> · heat bench</p>
      <div class="row">
        <h1 v-if="headline" data-testid="heat-call"><SentenceLine :sentence="headline" /></h1>
        <h1 v-else>{{ two ? 'Two set-ups, side by side' : 'Where the heat goes, before the torch is lit' }}</h1>
        <button v-if="!two" type="button" class="plain-button slight" data-testid="beside" @click="besides()">
          A second set-up beside it
        </button>
        <template v-else>
          <v-btn-toggle v-model="edited" mandatory aria-label="Set-up being changed"
            ><v-btn :value="0">change A</v-btn><v-btn :value="1">change B</v-btn></v-btn-toggle
          >
          <button type="button" class="plain-button slight" @click="alone()">Keep {{ 'AB'[index] }} alone</button>
        </template>
      </div>
    </header>
    <section :key="index" class="readings" aria-label="The set-up">
      <details open>
        <summary>The part</summary>
        <PartFields :index="index" />
      </details>
      <details open>
        <summary>Heat, and what it stands on</summary>
        <HeatFields :index="index" />
      </details>
      <details open>
        <summary>Places watched</summary>
        <PlaceFields v-model:aim="aim" :index="index" />
      </details>
    </section>
    <section class="piece" aria-label="The piece">
      <div class="views" :class="{ two }">
        <HeatView
          v-for="(bench, n) in shown"
          :key="n"
          :bench="bench"
          :name="two ? 'AB'[n]! : ''"
          :at-share="atShare"
          :cut="cut"
          :top-c="topC"
          @pick="(at, face) => pick(n, at, face)"
        />
      </div>
      <div class="sliders">
        <label
          ><span>At <span class="figure">{{ settings.text(atShare * endS, 's') }}</span></span
          ><input
            v-model.number="atShare"
            type="range"
            min="0"
            max="1"
            step="0.0166"
            :disabled="!fresh.length"
            data-testid="time"
        /></label>
        <div>
          <v-btn-toggle v-model="cutAxis" mandatory aria-label="Cut through it"
            ><v-btn value="none">whole</v-btn><v-btn value="x">cut across</v-btn><v-btn value="y">cut along</v-btn
            ><v-btn value="z">cut level</v-btn></v-btn-toggle
          >
          <input
            v-if="cutAxis !== 'none'"
            v-model.number="cutShare"
            type="range"
            min="0.05"
            max="1"
            step="0.01"
            aria-label="Where it is cut"
          />
        </div>
      </div>
      <HeatCurves v-if="fresh.length" :runs="fresh" :target-c="targetC" :at-s="atShare * endS" />
    </section>
    <div class="call">
      <HeatSays :key="index" :bench="benches[index]!" :index="index" @working="working = 'run'" />
      <LearnTorch :key="`learn${index}`" :bench="benches[index]!" />
    </div>
    <WorkingDrawer :workings="workings" :shown="working" @close="working = null" />
  </div>
  <p v-else-if="store.plan" class="page">
    Nothing is set up on the heat bench.
    <button type="button" class="plain-button" @click="begin()">Set up the part</button>
  </p>
  <p v-else class="page quiet" role="status">Working it out…</p>
</template>

<style scoped>
.station {
  display: grid;
  grid-template-columns: 280px minmax(0, 1fr) 296px;
  grid-template-rows: auto 1fr;
  min-height: 100%;
}
header {
  grid-column: 1 / -1;
  padding: 10px 24px;
}
header .row {
  justify-content: space-between;
}
.where {
  margin: 0;
  font-weight: 650;
  color: var(--chestnut);
  font-size: 0.95rem;
}
h1 {
  font-size: 1.3rem;
  font-weight: 550;
}
.readings {
  padding: 0 18px 90px 24px;
}
summary {
  color: var(--slate);
  font-size: 0.92rem;
}
.piece {
  background: var(--sheet);
  border: 1px solid var(--hairline);
  border-bottom: 0;
  padding: 10px 16px 90px;
}
.views.two {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 12px;
}
.sliders {
  display: grid;
  gap: 8px;
  margin: 12px 0;
}
.sliders label {
  display: grid;
  grid-template-columns: 110px 1fr;
  align-items: center;
}
input[type='range'] {
  width: 100%;
  min-height: 34px;
  accent-color: var(--chestnut);
}
.call {
  padding: 0 22px 90px 18px;
}
@media (max-width: 1179px) {
  .station {
    grid-template-columns: minmax(240px, 300px) minmax(0, 1fr);
  }
  .call {
    grid-column: 1 / -1;
    padding-left: 24px;
  }
}
@media (max-width: 899px) {
  .station {
    display: flex;
    flex-direction: column;
  }
  .piece {
    order: 1;
    padding: 10px 12px;
  }
  .call {
    order: 2;
    padding: 8px 16px;
  }
  .readings {
    order: 3;
    padding: 0 16px 90px;
  }
  .views.two {
    grid-template-columns: 1fr;
  }
}
</style>
