<script setup lang="ts">
import { DIAL_READINGS } from '#core/arc/balance'
import { DIAL_WORDS } from '#core/plan/weld-data'
import KitTable from '~/bench/KitTable.vue'
import { useKit, type KitColumn } from '~/composables/use-kit'

const { kit, unreadTaps, unreadDrills, rates, setRate, problem } = useKit()
/** A gun has no AC to set. */
const isTig = (row: Record<string, unknown>) => row.process === 'ac-tig'
const MACHINES: KitColumn[] = [
  { key: 'name', label: 'Machine', blank: 'AC TIG' },
  {
    key: 'process',
    label: 'Process',
    choices: { 'ac-tig': 'AC TIG', 'mig-pulse': 'pulsed MIG', 'mig-spool': 'spool-gun MIG' },
    blank: 'ac-tig',
  },
  { key: 'lowA', label: 'From', unit: 'a', blank: 5 },
  { key: 'highA', label: 'To', unit: 'a', blank: 200 },
  { key: 'ratedA', label: 'Rated at', unit: 'a', blank: 200 },
  { key: 'ratedPct', label: 'for', unit: 'pct', blank: 25 },
  { key: 'torchA', label: 'Torch', unit: 'a', blank: 150 },
  { key: 'ranges', label: 'Ranges on it', placeholder: '5-60, 40-200', blank: '' },
  { key: 'currentDial', label: 'Current dial reads', choices: { amps: 'ampere', percent: 'per cent' }, blank: 'amps' },
  { key: 'supplyV', label: 'Mains', placeholder: '230 V', unit: 'v', blank: null },
  { key: 'breakerA', label: 'Breaker', placeholder: '16 A', unit: 'a', blank: null },
  { key: 'lowHz', label: 'AC from', unit: 'hz', blank: 50, only: isTig },
  { key: 'highHz', label: 'AC to', unit: 'hz', blank: 200, only: isTig },
  {
    key: 'dialReads',
    label: 'Balance dial reads',
    choices: Object.fromEntries(DIAL_READINGS.map(id => [id, DIAL_WORDS[id]])),
    blank: 'cleaning-share',
    only: isTig,
  },
  {
    key: 'halves',
    label: 'Two halves',
    choices: { together: 'one for both', apart: 'set apart' },
    blank: 'together',
    only: isTig,
  },
  { key: 'paid', label: 'It cost', unit: 'number', blank: null },
]
const TORCHES: KitColumn[] = [
  { key: 'name', label: 'Torch', blank: 'propane torch' },
  { key: 'gas', label: 'Gas; oxy-… if fed with oxygen', blank: 'propane' },
  { key: 'powerW', label: 'Power', unit: 'w', blank: 2000 },
  { key: 'efficiencyPct', label: 'goes in', unit: 'pct', blank: 30 },
]
const RODS: KitColumn[] = [
  { key: 'filler', label: 'Filler', blank: '4043' },
  { key: 'diameterMm', label: 'Thick', unit: 'mm', blank: 2.4 },
  { key: 'lengthMm', label: 'Long', unit: 'mm', blank: 914 },
  { key: 'price', label: 'Price each', unit: 'number', blank: 0.6 },
  { key: 'count', label: 'In stock', unit: 'number', blank: 10 },
]
const GASES: KitColumn[] = [
  { key: 'name', label: 'Gas', blank: 'argon' },
  { key: 'cylinderL', label: 'Full cylinder', unit: 'number', suffix: 'L of gas', blank: 2000 },
  { key: 'leftL', label: 'Left in it', unit: 'number', suffix: 'L of gas', blank: null },
  { key: 'price', label: 'Price of one', unit: 'number', blank: 45 },
]
</script>

<template>
  <div class="page">
    <h1>Kit</h1>
    <p class="quiet">What this bench has. Calls, minutes and prices are worked out with it. Figures take any unit.</p>
    <p v-if="problem" class="wrong" role="alert">Not stored: {{ problem }}</p>
    <KitTable
      list="machines"
      title="Machines"
      :columns="MACHINES"
      empty="No machine: without one no current can be set."
    />
    <KitTable
      list="torches"
      title="Gas torches"
      :columns="TORCHES"
      empty="No torch: without one nothing can be warmed."
    />
    <KitTable list="rods" title="Rods" :columns="RODS" empty="No rods: filler is priced at nothing until there are." />
    <KitTable
      list="gases"
      title="Shielding gas"
      :columns="GASES"
      empty="No cylinder: gas is priced at nothing until there is."
    />
    <h2>Drills and taps</h2>
    <v-textarea
      label="Drills there are: 1 to 13 by 0.5 mm, 6.8, 17/64 in, letter F, No. 7"
      :model-value="kit.drills"
      rows="2"
      maxlength="2000"
      :error-messages="unreadDrills.length ? [`not understood: ${unreadDrills.slice(0, 4).join(', ')}`] : []"
      @update:model-value="setRate('drills', $event ?? '')"
    />
    <p class="quiet small">Empty: all the standard ones. Tap drills are picked from these.</p>
    <v-textarea
      label="Taps there are: M6, M8, 3/8-16 UNC, M8 insert"
      :model-value="kit.taps"
      rows="2"
      maxlength="2000"
      :error-messages="unreadTaps.length ? [`not understood: ${unreadTaps.slice(0, 4).join(', ')}`] : []"
      @update:model-value="setRate('taps', $event ?? '')"
    />
    <h2>Shop and rates</h2>
    <div class="row rates">
      <v-text-field
        label="Shop"
        :model-value="kit.shop"
        maxlength="120"
        @update:model-value="setRate('shop', $event ?? '')"
      />
      <v-text-field
        label="Currency"
        :model-value="kit.currency"
        maxlength="6"
        @update:model-value="setRate('currency', $event ?? '')"
      />
      <v-text-field
        v-for="rate in rates"
        :key="rate.key"
        :label="rate.label"
        inputmode="decimal"
        :model-value="kit[rate.key]"
        @update:model-value="setRate(rate.key, $event ?? '')"
      />
    </div>
  </div>
</template>

<style scoped>
h2 {
  margin: 22px 0 8px;
  font-size: 1.1rem;
}
.rates > * {
  flex: 1 1 150px;
}
.wrong {
  color: var(--stop);
}
</style>
