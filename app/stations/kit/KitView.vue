<script setup lang="ts">
import { useKit } from '~/composables/use-kit'
import { useAskedField } from '~/composables/use-asked-field'
import KitFile from './KitFile.vue'
import KitTable from './KitTable.vue'
import MachineCards from './MachineCards.vue'
import StockList from './StockList.vue'
import { GASES, RODS, SPOOLS, TORCHES } from './columns'

useAskedField()
const { kit, unreadTaps, unreadDrills, rates, setRate, problem } = useKit()
</script>

<template>
  <div class="page">
    <h1>Kit</h1>
    <p class="quiet">What this bench has. Calls, minutes and prices are worked out with it. Figures take any unit.</p>
    <p v-if="problem" class="wrong" role="alert">Not stored: {{ problem }}</p>
    <MachineCards />
    <KitTable
      list="torches"
      title="Gas torches"
      :columns="TORCHES"
      empty="No torch: without one nothing can be warmed."
    />
    <StockList data-path="prices" tabindex="-1" />
    <KitTable list="rods" title="Rods" :columns="RODS" empty="No rods: filler is priced at nothing until there are." />
    <KitTable
      list="spools"
      title="Spools of wire"
      :columns="SPOOLS"
      empty="No wire: a gun's is priced as it usually is."
    />
    <KitTable
      list="gases"
      title="Shielding gas"
      :columns="GASES"
      empty="No cylinder: gas is priced at nothing until there is."
    />
    <h2>Drills and taps</h2>
    <v-textarea
      label="Drills there are"
      placeholder="1 to 13 by 0.5 mm, 6.8, 17/64 in, letter F, No. 7"
      persistent-placeholder
      :model-value="kit.drills"
      rows="2"
      maxlength="2000"
      :error-messages="unreadDrills.length ? [`not understood: ${unreadDrills.slice(0, 4).join(', ')}`] : []"
      @update:model-value="setRate('drills', $event ?? '')"
    />
    <p class="quiet small">Empty: all the standard ones. Tap drills are picked from these.</p>
    <v-textarea
      label="Taps there are"
      placeholder="M6, M8, 3/8-16 UNC, M8 insert"
      persistent-placeholder
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
        :data-path="rate.key"
        :suffix="rate.key === 'ratePerHour' && kit.rateAssumed ? 'assumed' : undefined"
        @update:model-value="setRate(rate.key, $event ?? '')"
      />
    </div>
    <KitFile />
  </div>
</template>

<style scoped>
h2 {
  margin: 26px 0 8px;
  font-size: 1.1rem;
}
.rates {
  flex-wrap: wrap;
}
.rates > * {
  flex: 1 1 150px;
}
.wrong {
  color: var(--stop);
}
</style>
