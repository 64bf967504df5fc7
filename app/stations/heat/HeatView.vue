<script setup lang="ts">
import { PREHEAT_C } from '#core/arc/least-preheat'
import { said } from '#core/job/fields/said'
import { computed } from 'vue'
import type { Face } from '#core/heat/field/setup'
import { PLACE_KINDS } from '#core/heat/bench/places.table'
import { flameSpots } from '#core/heat/bench/swept'
import { heatSentences } from '#core/station/warm/heat-bench'
import SentenceLine from '~/bench/SentenceLine.vue'
import { useJob } from '~/stores/job'
import { useSettings } from '~/stores/settings'
import HeatSolid from './HeatSolid.vue'
import type { Cut } from './surface'
import type { HeatBench } from './use-heat-run'

const props = defineProps<{ bench: HeatBench; name: string; atShare: number; cut: Cut | null; topC: number }>()
const emit = defineEmits<{ pick: [at: [number, number, number], face: Face] }>()
const store = useJob()
const settings = useSettings()
const setup = computed(() => props.bench.setup.value)
const run = computed(() => (props.bench.stale.value ? null : props.bench.run.value))
const frameAt = computed(() => Math.round(props.atShare * ((run.value?.frames.length ?? 1) - 1)))
const reading = (n: number) => {
  const series = run.value?.probes[n]
  return series ? settings.text(series[Math.round(props.atShare * (series.length - 1))]!, 'c') : ''
}
const place = (at: {
  x: { value: number | null }
  y: { value: number | null }
  z: { value: number | null }
}): [number, number, number] => [at.x.value ?? 0, at.y.value ?? 0, at.z.value ?? 0]
const marks = computed(() =>
  setup.value
    ? [
        ...setup.value.places.map((entry, n) => ({
          id: entry.id,
          words: entry.name || PLACE_KINDS[entry.kind].name,
          figure: reading(n),
          at: place(entry.at),
          torch: false,
        })),
        ...flameSpots(setup.value.heat).map((at, n) => ({
          id: `torch${n}`,
          words: '',
          figure: '',
          at: [...at] as [number, number, number],
          torch: true,
        })),
      ]
    : [],
)
const look = computed(() => ({
  part: run.value?.part ?? props.bench.part.value,
  frame: run.value?.frames[frameAt.value] ?? null,
  cut: props.cut,
  marks: marks.value,
  lowC: said(store.job!, 'warm').startC,
  highC: props.topC,
}))
const call = computed(() =>
  run.value
    ? heatSentences(run.value.verdict, store.plan?.warm.data.targetC ?? PREHEAT_C, setup.value?.onS.value ?? 0).call
    : null,
)
</script>

<template>
  <div class="view">
    <p v-if="call && name" class="says" :data-testid="`heat-call-${name}`">
      <b>{{ name }}: </b><SentenceLine :sentence="call" />
    </p>
    <p v-else-if="bench.reason.value" class="says wrong" role="alert" data-testid="heat-reason">
      {{ bench.reason.value }}
    </p>
    <p v-else-if="!call" class="says quiet">
      {{
        bench.stale.value
          ? 'The set-up has changed since it ran: run it again.'
          : 'Set it up, put the places on the solid, and run it.'
      }}
    </p>
    <HeatSolid :look="look" :name="name || 'The part'" @pick="(at, face) => emit('pick', at, face)" />
    <div class="row">
      <button
        v-if="!bench.busy.value"
        type="button"
        class="plain-button strong"
        data-testid="run-heat"
        @click="bench.start()"
      >
        Run{{ name ? ` ${name}` : '' }}
      </button>
      <button v-else type="button" class="plain-button" data-testid="stop-heat" @click="bench.stop()">Stop</button>
      <button
        type="button"
        class="plain-button slight"
        :disabled="bench.busy.value !== null"
        data-testid="find-way"
        @click="bench.findWay()"
      >
        Find how to heat it
      </button>
      <span v-if="bench.busy.value" class="progress small" role="status"
        ><progress :value="bench.share.value" max="1" />
        {{ { run: 'running', changes: 'trying one change', backwards: 'trying ways' }[bench.busy.value] }}</span
      >
    </div>
  </div>
</template>

<style scoped>
.says {
  font-size: 1.12rem;
  margin: 0 0 6px;
  min-height: 1.5em;
}
.wrong {
  color: var(--stop);
}
.progress {
  display: inline-flex;
  gap: 8px;
  align-items: center;
}
progress {
  accent-color: var(--chestnut);
  width: 120px;
}
.row {
  margin-top: 6px;
}
</style>
