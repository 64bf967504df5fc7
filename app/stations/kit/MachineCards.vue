<script setup lang="ts">
import { ref } from 'vue'
import { useKit, type KitColumn } from '~/composables/use-kit'
import { useSettings } from '~/stores/settings'
import KitField from './KitField.vue'
import MachineScale from './MachineScale.vue'
import { MACHINES, MACHINE_GROUPS } from './columns'

/** The machines: each drawn as its dials read, and asked only what a machine of its process has. */
const { kit, rows, add, remove } = useKit()
const settings = useSettings()
const PROCESS = MACHINES.find(column => column.key === 'process')!.choices!
/** Those put in just now stand open. */
const fresh = ref<string[]>([])
const asked = (row: Record<string, unknown>, group: string): KitColumn[] =>
  MACHINES.filter(column => column.group === group && (!column.only || column.only(row)))
function another() {
  const known = new Set(kit.value.machines.map(({ id }) => id))
  add('machines', MACHINES)
  fresh.value = [...fresh.value, ...kit.value.machines.filter(({ id }) => !known.has(id)).map(({ id }) => id)]
}
</script>

<template>
  <section>
    <h2>Machines</h2>
    <p v-if="kit.machines.length === 0" class="quiet">No machine: without one no current can be set.</p>
    <article v-for="machine in kit.machines" :key="machine.id" class="machine" :data-machine="machine.id">
      <header>
        <h3>{{ machine.name }}</h3>
        <p class="quiet small">
          {{ PROCESS[machine.process] }}, {{ settings.text(machine.lowA, 'a') }} to
          {{ settings.text(machine.highA, 'a') }}
        </p>
      </header>
      <MachineScale :machine="machine" />
      <details :open="fresh.includes(machine.id)">
        <summary>Its figures</summary>
        <fieldset v-for="group in MACHINE_GROUPS" :key="group">
          <legend class="label">{{ group }}</legend>
          <KitField
            v-for="column in asked(machine, group)"
            :key="column.key"
            list="machines"
            :row="rows('machines').find(row => row.id === machine.id)!"
            :column="column"
          />
        </fieldset>
        <button
          type="button"
          class="plain-button slight"
          :aria-label="`Take ${machine.name} out of the kit`"
          @click="remove('machines', machine.id)"
        >
          Out of the kit
        </button>
      </details>
    </article>
    <button type="button" class="plain-button" data-add="machines" @click="another()">Add one</button>
  </section>
</template>

<style scoped>
h2 {
  margin: 26px 0 8px;
  font-size: 1.1rem;
}
h3 {
  font-size: 1.02rem;
}
p {
  margin: 0;
}
.machine {
  display: grid;
  grid-template-columns: minmax(160px, 1fr) minmax(0, 2.4fr);
  gap: 4px 24px;
  padding: 12px 0;
  border-top: 1px solid var(--hairline);
}
details {
  grid-column: 1 / -1;
}
fieldset {
  border: 0;
  margin: 0 0 12px;
  padding: 0;
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(170px, 1fr));
  gap: 10px 8px;
}
legend {
  padding: 0;
  margin-bottom: 8px;
}
@media (max-width: 699px) {
  .machine {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
