<script setup lang="ts">
import { HOW_SURE, type HowSure } from '#core/job/how-sure.table'
import { useMatters } from '~/composables/use-matters'
import { useJob } from '~/stores/job'
import { useSettings } from '~/stores/settings'
import { useShop } from '~/stores/shop'

/**
 * How sure price, hours and chance are, and which reading is worth measuring before it is decided; in brief, without
 * what each reading makes of it.
 */
defineProps<{ brief?: boolean }>()
const store = useJob()
const shop = useShop()
const settings = useSettings()
const { matters, isStale, share } = useMatters()
const money = (value: number) => `${shop.kit.currency}${value.toFixed(2)}`
const items = Object.entries(HOW_SURE).map(([value, { name: title }]) => ({ value, title }))
const setSure = (key: string, sure: HowSure) =>
  store.edit(['call', 'sure', key], sure === 'measured' ? undefined : sure)
</script>

<template>
  <div v-if="matters" data-testid="matters" :aria-busy="isStale || share !== null">
    <p class="label gap">How sure that is, and what to measure next</p>
    <p :class="{ quiet: isStale }" data-testid="matters-range">
      Eight in ten times it comes to <b class="figure">{{ money(matters.price.low) }}</b> to
      <b class="figure">{{ money(matters.price.high) }}</b>,
      <span class="figure">{{ settings.text(matters.elapsedMin.low, 'min') }}</span> to
      <span class="figure">{{ settings.text(matters.elapsedMin.high, 'min') }}</span>, with a chance of
      <span class="figure">{{ Math.round(matters.chancePct.low) }}</span> to
      <span class="figure">{{ Math.round(matters.chancePct.high) }}</span> in 100.
    </p>
    <p v-if="matters.decision.length > 1">
      Of 100 such parts:
      <template v-for="(one, n) in matters.decision" :key="one.took"
        >{{ n ? ', ' : '' }}<span>{{ one.took }}</span> <span class="figure">{{ Math.round(one.pct) }}</span></template
      >.
    </p>
    <p data-testid="measure-next">
      <template v-if="matters.next">
        Measure next: <b>{{ matters.next.label }}</b
        ><template v-if="matters.next.mend"
          >, <span :translate="matters.next.isNamed ? 'no' : undefined">{{ matters.next.mend }}</span></template
        >. It turns a decision <span class="figure">{{ Math.round(matters.next.turnsPct) }}</span> times in 100, is
        worth <span class="figure">{{ money(matters.next.worth) }}</span> and takes
        <span class="figure">{{ settings.text(matters.next.measureMin, 'min') }}</span>.
      </template>
      <template v-else>Good enough, go on: nothing that is unsure turns a decision.</template>
    </p>
    <details v-if="!brief" data-testid="matters-table">
      <summary>What each reading makes of it</summary>
      <ul class="readings">
        <li v-for="reading in matters.readings" :key="reading.path">
          <span class="what"
            >{{ reading.label
            }}<template v-if="reading.mend"
              >, <span :translate="reading.isNamed ? 'no' : undefined">{{ reading.mend }}</span></template
            ></span
          >
          <v-select
            v-if="reading.key"
            class="sure"
            density="compact"
            hide-details
            :model-value="reading.sure"
            :items="items"
            :data-path="`call.sure.${reading.key}`"
            :aria-label="`How sure: ${reading.label}`"
            @update:model-value="setSure(reading.key, $event)"
          />
          <span v-else class="sure quiet">by its odds at Know</span>
          <span class="quiet small makes"
            ><span class="figure">{{ Math.round(reading.sharePct) }} %</span> of the spread<template
              v-if="reading.turnsPct >= 0.5"
              >, turns a decision <span class="figure">{{ Math.round(reading.turnsPct) }}</span> times in 100</template
            ><template v-if="reading.worth >= 0.005"
              >, worth <span class="figure">{{ money(reading.worth) }}</span></template
            ></span
          >
        </li>
      </ul>
    </details>
  </div>
  <p v-else-if="share !== null" class="quiet gap" role="status">Working out how sure that is…</p>
</template>

<style scoped>
.gap {
  margin-top: 16px;
}
.readings {
  list-style: none;
  padding: 0;
}
.readings li {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 12px;
  align-items: center;
  padding: 6px 0;
  border-bottom: 1px solid var(--hairline);
}
.what {
  flex: 1 1 200px;
}
.sure {
  flex: 0 0 150px;
}
.makes {
  flex: 1 0 100%;
}
</style>
