<script setup lang="ts">
import { computed } from 'vue'
import { useJob } from '~/stores/job'
import { useSettings } from '~/stores/settings'

/** All that is done, in the order it is done: what the price is the sum of. */
const store = useJob()
const settings = useSettings()
const steps = computed(() => store.plan?.mends.steps ?? [])
</script>

<template>
  <details v-if="steps.length" class="all" data-testid="all-steps">
    <summary>All that is done, in order</summary>
    <table>
      <thead>
        <tr>
          <th>Step</th>
          <th class="num">Takes</th>
          <th class="num">Found at</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="step in steps" :key="step.id" :class="{ quiet: step.kind === 'wait' || step.kind === 'elsewhere' }">
          <td>
            <span v-if="step.mend" class="of" translate="no">{{ step.mend }}</span> {{ step.says
            }}<template v-if="step.because">, {{ step.because }}</template
            ><template v-if="step.a !== null">, {{ settings.text(Math.round(step.a), 'a') }}</template>
          </td>
          <td class="num">
            {{ step.kind === 'elsewhere' ? 'elsewhere' : settings.text(step.minutes, 'min') }}
          </td>
          <td class="num">{{ step.foundC === null ? '' : settings.text(Math.round(step.foundC), 'c') }}</td>
        </tr>
      </tbody>
    </table>
  </details>
</template>

<style scoped>
.all {
  margin-top: 16px;
}
.of {
  font-weight: 600;
}
</style>
