<script setup lang="ts">
import { computed } from 'vue'
import { WHOLE_WORDS } from '#core/job-plan/words'
import { wayName } from '#core/mend/way-name'
import { capital, wantsCall } from '#core/station/parts'
import { verdictWords } from '#core/station/verdict-words'
import type { MendRow } from '#core/station/mends/mend-row'
import { warmthOfMend } from '#core/station/warm/warm-on-part'
import SentenceLine from '~/bench/SentenceLine.vue'
import { useJob } from '~/stores/job'
import { useSettings } from '~/stores/settings'

/** Whether one mend is worth it, its turn among the others, and how warm it is wanted. */
const props = defineProps<{ row: MendRow }>()
const store = useJob()
const settings = useSettings()
const planned = computed(() => props.row.planned)
const warm = computed(() => (store.plan ? warmthOfMend(store.plan.warm.data, props.row.id) : null))
</script>

<template>
  <p v-if="row.wants.length" data-testid="mend-wants"><SentenceLine :sentence="wantsCall(row.wants)" /></p>
  <p v-else-if="!planned" role="alert">{{ row.reason }}</p>
  <template v-else>
    <p data-testid="mend-call">
      <b>{{ capital(verdictWords(planned.decision, planned.chancePct)) }}</b>: {{ Math.round(planned.chancePct) }} in
      100 last<template v-if="planned.way">, {{ wayName(row.kind, planned.way) }}</template>.
    </p>
    <p v-if="row.turn && row.turn.of > 1" data-testid="mend-turn">
      Taken on {{ row.turn.place }} of {{ row.turn.of }}. {{ WHOLE_WORDS[row.turn.why] }}
    </p>
    <p v-if="warm && warm.need !== 'none' && planned.lays.length">
      Warm {{ warm.where === 'zone' ? 'the place' : 'the part' }} to
      <b class="figure">{{ settings.text(warm.toC, 'c') }}</b
      ><template v-if="warm.reaches">, about <b class="figure">{{ settings.text(warm.minutes, 'min') }}</b></template
      >. <template v-for="code in warm.why" :key="code">{{ WHOLE_WORDS[code] }} </template>
    </p>
    <p v-else-if="warm && planned.lays.length">
      No warming: <template v-for="code in warm.why" :key="code">{{ WHOLE_WORDS[code] }} </template>
    </p>
    <p v-if="store.plan?.mends.assumedG" class="quiet small">
      Its mass is taken as {{ settings.text(store.plan.mends.assumedG, 'g') }} until it is weighed or measured.
    </p>
  </template>
</template>

<style scoped>
p {
  margin: 0 0 10px;
  font-size: 0.95rem;
}
</style>
