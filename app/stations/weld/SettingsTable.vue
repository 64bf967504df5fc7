<script setup lang="ts">
import { DIAL_WORDS, type ArcSet } from '#core/station/weld/arc-set'
import { useSettings } from '~/stores/settings'

/** What is set on the machine, line by line. */
defineProps<{ weld: ArcSet }>()
const emit = defineEmits<{ working: [ref: string] }>()
const settings = useSettings()
const opener = (ref: string) => ({
  type: 'button' as const,
  class: 'open-figure figure',
  onClick: () => emit('working', ref),
})
</script>

<template>
  <table v-if="weld.machine" class="settings">
    <tbody>
      <tr>
        <th scope="row">Current</th>
        <td class="num">
          <button v-bind="opener('amps')" data-testid="amps">{{ settings.text(weld.setA, 'a') }}</button>
        </td>
        <td class="quiet small">
          {{ weld.machine.name }}, {{ weld.machine.lowA }} to {{ weld.machine.highA }} A; torch
          {{ weld.machine.torchA }} A{{ weld.byHand ? '; set by hand' : ''
          }}{{
            weld.range
              ? `; range ${weld.range.lowA} to ${weld.range.highA} A, dial at ${Math.round(weld.range.dialPct)} %`
              : ''
          }}
        </td>
      </tr>
      <tr v-if="weld.mig">
        <th scope="row">Wire feed</th>
        <td class="num">
          <button v-bind="opener('setup')">{{ settings.text(weld.mig.wireMMin, 'mMin') }}</button>
        </td>
        <td class="quiet small">
          {{ settings.text(weld.mig.v, 'v') }}; lays {{ weld.mig.depositGMin.toFixed(0) }} g a minute
        </td>
      </tr>
      <tr v-if="weld.dial !== null">
        <th scope="row">Balance dial</th>
        <td class="num">
          <button v-bind="opener('balance')">{{ Math.round(weld.dial) }}</button>
        </td>
        <td class="quiet small">
          reads the {{ DIAL_WORDS[weld.machine.dialReads] }}; this is {{ settings.text(weld.enPct, 'pct') }} negative
        </td>
      </tr>
      <tr v-if="weld.wave">
        <th scope="row">Average, rms</th>
        <td class="num">
          <button v-bind="opener('wave')">{{ settings.text(weld.wave.averageA, 'a') }}</button>
        </td>
        <td class="quiet small figure">{{ settings.text(weld.wave.rmsA, 'a') }} rms</td>
      </tr>
      <tr v-if="weld.tig">
        <th scope="row">Tungsten</th>
        <td class="num">
          <button v-bind="opener('setup')">{{ settings.text(weld.tig.tungstenMm, 'mm') }}</button>
        </td>
        <td class="quiet small">
          {{ weld.tig.tungstens.map(entry => `${entry.mm} mm: ${entry.lowA} to ${entry.highA} A`).join('; ') }}; No.
          {{ weld.tig.cup }} cup
        </td>
      </tr>
      <tr v-if="weld.duty">
        <th scope="row">Duty</th>
        <td class="num">
          <button v-bind="opener('duty')">{{ settings.text(weld.duty.dutyPct, 'pct') }}</button>
        </td>
        <td class="quiet small">
          {{ settings.text(weld.duty.weldMin, 'min') }} of arc in ten minutes; about
          {{ settings.text(weld.elapsedMin, 'min') }} for all passes
        </td>
      </tr>
      <tr v-if="weld.gas">
        <th scope="row">Argon</th>
        <td class="num">
          <button v-bind="opener('gas')">{{ Math.round(weld.gas.litres) }} L</button>
        </td>
        <td class="quiet small">
          {{
            weld.gas.cylinderShare === undefined
              ? 'no cylinder in the kit'
              : `${settings.text(weld.gas.cylinderShare * 100, 'pct')} of a full cylinder`
          }}
        </td>
      </tr>
    </tbody>
  </table>
</template>

<style scoped>
.settings {
  margin: 8px 0 14px;
}
.settings .num {
  white-space: nowrap;
}
.settings th {
  width: 24%;
  border-bottom-color: var(--hairline);
}
</style>
