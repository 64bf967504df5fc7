<script setup lang="ts">
import { computed } from 'vue'
import type { Stock } from '#core/plan/consumables'
import { figures } from '#core/quantity/show'
import { useStock } from './use-stock'

/** What is used up: left, wanted by the jobs on the shelf, and when to buy. */
const { stock, use } = useStock()
const amount = (kind: Stock['kind'], value: number) =>
  kind === 'rods' ? `${Math.ceil(value - 1e-9)} rods` : `${figures(value, 3)} L`
const rodsLeft = computed(() =>
  stock.value.filter(({ kind }) => kind === 'rods').reduce((sum, { left }) => sum + left, 0),
)
const gasLeft = computed(() =>
  stock.value.filter(({ kind }) => kind === 'gas').reduce((sum, { left }) => sum + left, 0),
)
const weeks = (left: number, aWeek: number) => (aWeek > 0 ? `about ${figures(left / aWeek, 2)} weeks` : 'long')
const says = ({ short, kind, left, wanted }: Stock) =>
  short > 0
    ? `buy ${amount(kind, short)} before the open jobs are through`
    : wanted > 0 && wanted > 0.7 * left
      ? 'the open jobs take most of it: buy soon'
      : ''
</script>

<template>
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
        <tr v-for="row in stock" :key="row.kind + row.name" :data-stock="row.name">
          <td>{{ row.name }}</td>
          <td class="num">{{ amount(row.kind, row.left) }}</td>
          <td class="num">{{ row.wanted > 0 ? amount(row.kind, row.wanted) : '–' }}</td>
          <td :class="{ buy: row.short > 0 }">{{ says(row) }}</td>
        </tr>
      </tbody>
    </table>
    <p v-if="use" class="quiet small">
      At what {{ use.jobs }} finished jobs noted, <span class="figure">{{ figures(use.rodsPerWeek, 2) }}</span> rods and
      <span class="figure">{{ figures(use.litresPerWeek, 2) }} L</span> of gas a week: rods last
      {{ weeks(rodsLeft, use.rodsPerWeek) }}, gas {{ weeks(gasLeft, use.litresPerWeek) }}.
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
