<script setup lang="ts">
import type { Step } from '#core/ask/question'
import { figures } from '#core/quantity/show'

/** The steps of a working: how, what it comes to, from where. */
defineProps<{ steps: readonly Step[] }>()
const shownValue = (value: number | string) => (typeof value === 'number' ? figures(value, 4) : value)
</script>

<template>
  <table>
    <thead>
      <tr>
        <th>Step</th>
        <th>How</th>
        <th class="num">Comes to</th>
        <th>Source</th>
      </tr>
    </thead>
    <tbody>
      <tr v-for="(step, index) in steps" :key="index">
        <td>{{ step.label }}</td>
        <td>{{ step.formula }}</td>
        <td class="num wraps">{{ shownValue(step.value) }} {{ step.unit }}</td>
        <td class="quiet small">{{ step.source }}</td>
      </tr>
    </tbody>
  </table>
</template>
