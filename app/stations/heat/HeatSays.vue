<script setup lang="ts">
import { PREHEAT_C } from '#core/arc/least-preheat'
import { computed } from 'vue'
import { changeSentence, heatSentences } from '#core/station/warm/heat-bench'
import SentenceLine from '~/bench/SentenceLine.vue'
import CautionNote from '~/bench/CautionNote.vue'
import { caution } from '#core/safety/cautions.table'
import { useJob } from '~/stores/job'
import { useSettings } from '~/stores/settings'
import type { HeatBench } from './use-heat-run'

const props = defineProps<{ bench: HeatBench; index: number }>()
const emit = defineEmits<{ working: [] }>()
const store = useJob()
const settings = useSettings()
const run = computed(() => props.bench.run.value)
const targetC = computed(() => store.plan?.warm.data.targetC ?? PREHEAT_C)
const says = computed(() =>
  run.value ? heatSentences(run.value.verdict, targetC.value, props.bench.setup.value?.onS.value ?? 0) : null,
)
const changes = computed(() => props.bench.changes.value)
const way = computed(() => props.bench.way.value)
const takeWay = () => {
  if (way.value?.best) store.edit(['warm', 'setups', props.index], way.value.best.setup)
}
</script>

<template>
  <section class="says" aria-label="What it says">
    <p class="label">Why</p>
    <p v-for="(sentence, n) in says?.why ?? []" :key="n"><SentenceLine :sentence="sentence" /></p>
    <template v-if="run">
      <p v-if="run.peakC >= run.solidusC" class="melts">
        Under the heat it comes to <span class="figure">{{ settings.text(run.peakC, 'c') }}</span>: it begins to melt at
        <span class="figure">{{ settings.text(run.solidusC, 'c') }}</span>. Smaller flame, further off, or keep it
        moving.
      </p>
      <p v-else>
        Hottest anywhere <span class="figure">{{ settings.text(run.peakC, 'c') }}</span>; it begins to melt at
        <span class="figure">{{ settings.text(run.solidusC, 'c') }}</span>.
      </p>
      <p v-if="run.softening && run.softening.lowPct > 99">A T6 temper would be none the worse for it.</p>
      <p v-else-if="run.softening">
        Of a T6 temper the weld zone keeps about <span class="figure">{{ Math.round(run.softening.leftPct) }} %</span>,
        between <span class="figure">{{ Math.round(run.softening.lowPct) }}</span> and
        <span class="figure">{{ Math.round(run.softening.highPct) }} %</span>, before any arc.
      </p>
      <p class="quiet small">
        {{
          run.coarse
            ? 'A first picture on coarse cells; the fine run is under way.'
            : `Heat in and heat out close within ${Math.abs(run.imbalancePct).toFixed(2)} %.`
        }}
        <button type="button" class="open-figure" @click="emit('working')">How it was worked out</button>
      </p>
    </template>
    <div v-if="changes" class="change" data-testid="one-change">
      <strong>One change would do this:</strong>
      <p v-for="changed in changes.changed" :key="changed.id">
        <SentenceLine :sentence="changeSentence(changed, changes.asIs)" />
      </p>
      <p class="quiet small">Compared with one another on coarse cells.</p>
    </div>
    <div v-if="way" class="change" data-testid="way">
      <template v-if="way.best">
        <strong>It can be done:</strong>
        <p>
          {{ way.best.words }}, for <span class="figure">{{ settings.text(way.best.readyS, 's') }}</span>. It then stays
          warm for <span class="figure">{{ settings.text(way.best.verdict.warmForS ?? 0, 's') }}</span>.
        </p>
        <button type="button" class="plain-button" @click="takeWay()">Set it up so</button>
        <p class="quiet small">
          Found among {{ way.tried }} ways on coarse cells: set it up and run it before you believe it.
        </p>
      </template>
      <template v-else>
        <strong>It can't be done so:</strong>
        <p>The nearest that was tried fails because {{ way.reason }}.</p>
        <p v-for="help in way.wouldHelp" :key="help.words">
          With {{ help.words }}: {{ help.way.words }}, for
          <span class="figure">{{ settings.text(help.way.readyS, 's') }}</span>.
        </p>
        <p v-if="!way.wouldHelp.length">
          None of strips, board, lid, a bigger tip or a guard out would make it possible: use an oven, or a much bigger
          flame.
        </p>
      </template>
    </div>
    <div class="cautions">
      <CautionNote :caution="caution('hot-no-glow')" />
      <CautionNote :caution="caution('torch-fire')" />
    </div>
  </section>
</template>

<style scoped>
p {
  margin: 0 0 9px;
  font-size: 0.95rem;
}
.melts {
  color: var(--stop);
  font-weight: 550;
}
.change,
.cautions {
  margin-top: 14px;
}
</style>
