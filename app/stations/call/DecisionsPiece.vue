<script setup lang="ts">
import { computed } from 'vue'
import SentenceLine from '~/bench/SentenceLine.vue'
import { useJob } from '~/stores/job'
import { useSettings } from '~/stores/settings'
import { useNearLines } from './use-near-lines'

/** Every question that was settled: what it took, why, what else was open, and the readings near a line. */
const store = useJob()
const settings = useSettings()
const all = computed(() => store.plan?.mends.decisions ?? [])
const near = useNearLines()
const more = (minutes: number | null, chancePct: number | null) =>
  [minutes === null ? '' : settings.text(minutes, 'min'), chancePct === null ? '' : `${Math.round(chancePct)} in 100`]
    .filter(Boolean)
    .join(', ')
</script>

<template>
  <template v-if="all.length">
    <template v-if="near.length">
      <p class="label gap">Readings near a line: worth measuring again</p>
      <ul data-testid="near-lines">
        <template v-for="decision in near" :key="decision.id">
          <li v-for="(line, n) in decision.near" :key="n">
            <b
              >{{ decision.about
              }}<template v-if="decision.mend"
                >, <span :translate="decision.isNamed ? 'no' : undefined">{{ decision.mend }}</span></template
              ></b
            >: <SentenceLine :sentence="line" />
          </li>
        </template>
      </ul>
    </template>
    <details class="gap" data-testid="decisions">
      <summary>What was decided, and what else was open</summary>
      <table>
        <thead>
          <tr>
            <th>About</th>
            <th>Took</th>
            <th>Because</th>
          </tr>
        </thead>
        <tbody>
          <template v-for="decision in all" :key="decision.id">
            <tr>
              <td>
                {{ decision.about
                }}<template v-if="decision.mend"
                  >, <span :translate="decision.isNamed ? 'no' : undefined">{{ decision.mend }}</span></template
                >
              </td>
              <td>
                <b>{{ decision.took }}</b>
              </td>
              <td><span v-for="(why, n) in decision.because" :key="n" class="why">{{ why }}</span></td>
            </tr>
            <tr v-for="other in decision.others" :key="other.took" class="quiet">
              <td></td>
              <td>
                {{ other.took }}
                <span v-if="more(other.minutes, other.chancePct)" class="small">{{
                  more(other.minutes, other.chancePct)
                }}</span>
              </td>
              <td><span v-for="(why, n) in other.because" :key="n" class="why">{{ why }}</span></td>
            </tr>
          </template>
        </tbody>
      </table>
    </details>
  </template>
</template>

<style scoped>
th:first-child {
  width: 22%;
}
th:last-child {
  width: 44%;
}
.gap {
  margin-top: 16px;
}
.why {
  display: block;
  margin-bottom: 2px;
}
</style>
