<script setup lang="ts">
import { computed } from 'vue'
import { WHOLE_WORDS } from '#core/whole/words'
import { wordsFor } from '#core/mend/registry'
import { wayName } from '#core/mend/way-name'
import type { MendRow } from '#core/plan/mends/mend-row'
import { stationSays } from '#core/plan/mends/station-says'
import { warmthOfMend } from '#core/plan/warm/warm-on-part'
import { caution } from '#core/safety/cautions.table'
import CautionNote from '~/bench/CautionNote.vue'
import SentenceLine from '~/bench/SentenceLine.vue'
import StartClocks from '~/bench/StartClocks.vue'
import { useJob } from '~/stores/job'
import { useSettings } from '~/stores/settings'

/** What is decided of one mend, why, and what could hurt. */
const props = defineProps<{ row: MendRow; station: 'open' | 'weld' | 'rebuild' }>()
const emit = defineEmits<{ working: [ref: string] }>()
const store = useJob()
const settings = useSettings()
const said = computed(() => stationSays(props.row, props.station))
const planned = computed(() => props.row.planned)
/** What may hurt at this mend, with what its rod or flame adds. */
const cautions = computed(() => [
  ...(planned.value?.cautions ?? []).map(caution),
  ...said.value.cautions.filter(entry => !planned.value?.cautions.includes(entry.code)),
])
const VERDICTS = {
  repair: 'Mend it',
  'repair-with-limits': 'Mend it, with limits',
  refer: 'Send it on',
  decline: 'Say no',
} as const
const because = (code: string) => WHOLE_WORDS[code] ?? wordsFor(props.row.kind, code)
const warm = computed(() => (store.plan ? warmthOfMend(store.plan.warm.data, props.row.id) : null))
</script>

<template>
  <section aria-label="The call on this mend">
    <p class="label">The call</p>
    <p v-if="row.wants.length" data-testid="mend-wants">Wants {{ row.wants.join(' and ') }}.</p>
    <p v-else-if="!planned" role="alert">{{ row.reason }}</p>
    <template v-else>
      <p data-testid="mend-call">
        <b>{{ VERDICTS[planned.decision] }}</b>: {{ Math.round(planned.chancePct) }} in 100 last<template
          v-if="planned.way"
          >, {{ wayName(row.kind, planned.way) }}</template
        >.
      </p>
      <p v-if="row.turn && row.turn.of > 1" data-testid="mend-turn">
        Taken on {{ row.turn.place }} of {{ row.turn.of }}. {{ WHOLE_WORDS[row.turn.why] }}
      </p>
      <p v-for="code in planned.because" :key="code">
        {{ planned.decision === 'decline' ? because(code) : `Against it: ${because(code)}.` }}
      </p>
      <template v-if="planned.ruledOut.length && station !== 'rebuild'"
        ><p class="label">Ruled out by its state</p>
        <p v-for="entry in planned.ruledOut" :key="entry.way" class="small way">
          <b>{{ wayName(row.kind, entry.way) }}</b>: {{ wordsFor(row.kind, entry.why) }}
        </p></template
      >
      <p v-if="warm && warm.need !== 'none' && planned.lays.length">
        Warm {{ warm.where === 'zone' ? 'the place' : 'the part' }} to
        <b class="figure">{{ settings.text(warm.toC, 'c') }}</b><template v-if="warm.reaches"
          >, about <b class="figure">{{ settings.text(warm.minutes, 'min') }}</b></template
        >. <template v-for="code in warm.why" :key="code">{{ WHOLE_WORDS[code] }} </template>
      </p>
      <p v-else-if="warm && planned.lays.length">
        No warming: <template v-for="code in warm.why" :key="code">{{ WHOLE_WORDS[code] }} </template>
      </p>
      <p v-if="store.plan?.mends.assumedG" class="quiet small">
        Its mass is taken as {{ settings.text(store.plan.mends.assumedG, 'g') }} until it is weighed or measured.
      </p>
      <p v-for="(sentence, n) in said.why" :key="n">
        <SentenceLine :sentence="sentence" @working="emit('working', $event)" />
      </p>
      <StartClocks :clocks="said.clocks" />
      <CautionNote v-for="entry in cautions" :key="entry.code" :caution="entry" />
      <div v-if="said.change.length" class="change">
        <strong>Would change this:</strong>
        <p v-for="(sentence, n) in said.change" :key="n"><SentenceLine :sentence="sentence" /></p>
      </div>
    </template>
  </section>
</template>

<style scoped>
p {
  margin: 0 0 10px;
  font-size: 0.95rem;
}
.way::first-letter {
  text-transform: uppercase;
}
.way b {
  font-weight: 600;
}
.change {
  margin-top: 14px;
}
.change p {
  color: var(--slate);
  margin: 4px 0;
}
</style>
