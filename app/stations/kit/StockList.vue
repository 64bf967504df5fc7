<script setup lang="ts">
import { computed } from 'vue'
import { amountOf, weeksLeft, whenToBuy, type Stock } from '#core/station/shop/consumables'
import { figures } from '#core/quantity/show'
import { useStock } from './use-stock'

/** What is used up: left, wanted by the jobs on the shelf, and when to buy. */
const { stock, use, trouble } = useStock()
const nameOf = ({ kind, name }: Stock) => (kind === 'wire' ? `${name} wire` : name)
const rates = computed(() =>
  use.value
    ? [
        { says: `${figures(use.value.rodsPerWeek, 2)} rods`, weeks: weeksLeft('rods', stock.value, use.value) },
        { says: `${figures(use.value.litresPerWeek, 2)} L of gas`, weeks: weeksLeft('gas', stock.value, use.value) },
      ].filter(rate => rate.weeks !== null)
    : [],
)
</script>

<template>
  <p v-if="trouble" role="alert">What is in stock could not be worked out: {{ trouble }}.</p>
  <section v-if="stock.length">
    <h2>What is used up</h2>
    <table data-testid="stock">
      <thead>
        <tr>
          <th>What</th>
          <th class="num">Left</th>
          <th class="num">Open jobs take</th>
          <th>When to buy</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="row in stock" :key="row.kind + row.name" :data-stock="nameOf(row)">
          <td>{{ nameOf(row) }}</td>
          <td class="num">{{ amountOf(row.kind, row.left) }}</td>
          <td class="num">{{ row.wanted > 0 ? amountOf(row.kind, row.wanted) : '–' }}</td>
          <td :class="{ buy: row.short > 0 }">{{ whenToBuy(row) }}</td>
        </tr>
      </tbody>
    </table>
    <p v-if="use && rates.length" class="quiet small">
      By what {{ use.jobs }} finished jobs noted:
      <template v-for="(rate, n) in rates" :key="rate.says"
        >{{ n ? '; ' : '' }}<span class="figure">{{ rate.says }}</span> a week, which lasts about
        {{ figures(rate.weeks!, 2) }} weeks</template
      >.
    </p>
  </section>
</template>

<style scoped>
h2 {
  margin: 26px 0 8px;
  font-size: 1.1rem;
}
.buy {
  font-weight: 650;
}
</style>
