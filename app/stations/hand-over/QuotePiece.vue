<script setup lang="ts">
import { computed } from 'vue'
import { useJob } from '~/stores/job'
import { billed } from '#core/station/hand-over/billed'
import AssumedList from '~/bench/AssumedList.vue'
import { useSettings } from '~/stores/settings'

const emit = defineEmits<{ working: [] }>()
const store = useJob()
const settings = useSettings()
const data = computed(() => store.plan?.['hand-over'].data)
const widest = computed(() =>
  Math.max(1, ...(data.value?.phases ?? []).flatMap(phase => [phase.minutes, phase.actualMin ?? 0])),
)
const x = (minutes: number) => (minutes / widest.value) * 300
const amount = (value: number) => `${data.value!.currency}${value.toFixed(2)}`
</script>

<template>
  <p class="label gap">Where the time goes: planned, and really taken</p>
  <svg
    v-if="data"
    class="drawing"
    :viewBox="`0 0 520 ${data.phases.length * 40 + 6}`"
    role="img"
    aria-label="Minutes by phase, planned and taken"
  >
    <g v-for="(phase, index) in data.phases" :key="phase.id">
      <text class="note" x="0" :y="24 + index * 40">{{ phase.name }}</text>
      <rect class="planned" x="150" :y="8 + index * 40" :width="x(phase.minutes)" height="12" />
      <rect
        v-if="phase.actualMin !== null"
        class="taken"
        x="150"
        :y="21 + index * 40"
        :width="x(phase.actualMin)"
        height="9"
      />
      <text :x="156 + x(phase.minutes)" :y="19 + index * 40">{{ settings.text(phase.minutes, 'min') }}</text>
    </g>
  </svg>
  <template v-if="data?.quote">
    <p class="label gap">
      The quote{{ data.phases.some(phase => phase.fromJobs > 0) ? ", by your own shop's minutes" : '' }}
    </p>
    <table data-testid="quote">
      <thead>
        <tr>
          <th>Line</th>
          <th class="num">Amount</th>
          <th class="num">Price</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="(line, n) in billed(data.quote)" :key="n">
          <td>{{ line.name }}</td>
          <td class="num">{{ line.amount }}</td>
          <td class="num">{{ amount(line.price) }}</td>
        </tr>
      </tbody>
      <tfoot>
        <tr>
          <td><b>In all</b></td>
          <td class="num">
            {{ data.quote.ofNewPct === undefined ? '' : `${Math.round(data.quote.ofNewPct)} % of new` }}
          </td>
          <td class="num">
            <button type="button" class="open-figure figure" data-testid="total" @click="emit('working')">
              <span data-testid="price-total">{{ amount(data.quote.total) }}</span>
            </button>
          </td>
        </tr>
      </tfoot>
    </table>
    <AssumedList />
  </template>
</template>

<style scoped>
.gap {
  margin-top: 16px;
}
.planned {
  fill: var(--metal);
  stroke: var(--slate);
}
.taken {
  fill: var(--chestnut);
}
tfoot td {
  border-bottom: 2px solid var(--soot);
  font-weight: 700;
}
</style>
