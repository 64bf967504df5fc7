<script setup lang="ts">
import { computed } from 'vue'
import PickField from '~/bench/PickField.vue'
import ReadingField from '~/bench/ReadingField.vue'
import StationFrame from '~/bench/StationFrame.vue'
import { useShop } from '~/stores/shop'
import PassLog from './PassLog.vue'
import WavePiece from './WavePiece.vue'

const shop = useShop()
const machines = computed(() => Object.fromEntries(shop.kit.machines.map(machine => [machine.id, machine.name])))
</script>

<template>
  <StationFrame id="weld">
    <template #readings>
      <PickField v-if="shop.kit.machines.length" path="weld.machine" label="Machine" :words="machines" />
      <p v-else>No machine in the kit yet. <NuxtLink to="/kit">Put one in</NuxtLink>.</p>
      <ReadingField path="weld.enPct" unit="pct" label="Electrode negative" note="60 to 70 on dirt, 70 to 73 once clean" />
      <PickField path="weld.frequencySchool" label="Frequency school" :words="{ low: '50–80', middle: '100–120', high: '130–150' }" note="Low soaks in and floats dirt; high gives a tight arc into a root or bore." />
      <ReadingField path="weld.frequencyHz" unit="hz" label="Frequency" />
      <ReadingField path="weld.flowLMin" unit="lMin" label="Argon" note="about 15 cfh" />
    </template>
    <template #piece="{ working }">
      <WavePiece @working="working" />
      <PassLog />
    </template>
  </StationFrame>
</template>
