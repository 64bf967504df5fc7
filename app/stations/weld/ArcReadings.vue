<script setup lang="ts">
import { computed } from 'vue'
import { isTig, isGun, type ProcessId } from '#core/process/registry'
import PickField from '~/bench/PickField.vue'
import ReadingField from '~/bench/ReadingField.vue'
import { useShop } from '~/stores/shop'

/** What a hand sets for the arcs of a part: the machine, its current, wave and wire, gas, and how it is gone about. */
const props = defineProps<{
  processes: readonly ProcessId[]
  /** The machine sets its two halves apart. */
  apart: boolean
}>()
const shop = useShop()
const gun = computed(() => props.processes.some(process => isGun(process)))
const tig = computed(() => props.processes.some(isTig))
const machines = computed(() =>
  Object.fromEntries(
    shop.kit.machines
      .filter(machine => props.processes.includes(machine.process))
      .map(machine => [machine.id, machine.name]),
  ),
)
</script>

<template>
  <PickField v-if="Object.keys(machines).length" path="weld.machine" :words="machines" />
  <p v-else>No such machine in the kit yet. <NuxtLink to="/kit">Put one in</NuxtLink>.</p>
  <ReadingField path="weld.currentA" />
  <template v-if="gun">
    <PickField path="weld.migMode" />
    <ReadingField path="weld.wireMm" />
  </template>
  <template v-if="tig">
    <ReadingField path="weld.enPct" />
    <ReadingField v-if="apart" path="weld.epA" />
    <ReadingField path="weld.copiedDial" />
    <PickField path="weld.frequencySchool" />
    <ReadingField path="weld.frequencyHz" />
  </template>
  <ReadingField path="weld.flowLMin" />
  <ReadingField path="weld.interpassC" />
  <PickField path="weld.clamp" />
  <PickField path="weld.peen" />
  <PickField path="weld.brush" />
  <PickField v-if="tig" path="weld.tungsten" />
</template>
