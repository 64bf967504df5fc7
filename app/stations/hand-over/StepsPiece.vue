<script setup lang="ts">
import { computed } from 'vue'
import { useJob } from '~/stores/job'
import { useSettings } from '~/stores/settings'
import type { UnitKey } from '#core/quantity/units.table'

/** All that is done, in the order it is done: what the price is the sum of. */
const store = useJob()
const settings = useSettings()
const steps = computed(() => store.plan?.mends.steps ?? [])
const span = ([from, to]: readonly [number, number], unit: UnitKey) => {
  const [least, most] = [settings.text(Math.round(from), unit), settings.text(Math.round(to), unit)]
  return least === most ? least : `${least} to ${most}`
}
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
            <span v-if="step.mend" :translate="step.isNamed ? 'no' : undefined" class="of">{{ step.mend }}</span>
            {{ step.says }}<template v-if="step.because">, {{ step.because }}</template
            ><template v-if="step.a">, {{ span(step.a, 'a') }}</template
            ><template v-if="step.times > 1">, {{ step.times }} times</template>
          </td>
          <td class="num">
            {{ step.kind === 'elsewhere' ? 'elsewhere' : settings.text(step.minutes, 'min') }}
          </td>
          <td class="num">{{ step.foundC ? span(step.foundC, 'c') : '' }}</td>
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
