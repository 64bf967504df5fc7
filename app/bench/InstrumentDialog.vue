<script setup lang="ts">
import { INSTRUMENTS } from '#core/instrument/kinds.table'
import { useStandIn } from '~/composables/use-stand-in'
import DeviceChoice from './DeviceChoice.vue'

const shown = defineModel<boolean>({ required: true })
const { chosen, fields, perSecond, loose, trouble, start, report, bringIn, hasJob } = useStandIn(shown)
</script>

<template>
  <v-dialog v-model="shown" aria-label="Put an instrument on the wire">
    <v-card class="ask">
      <h2>An instrument on the wire</h2>
      <p class="quiet small">These are stand-ins that come with it: they read what the open job would show.</p>
      <div class="row kinds" role="group" aria-label="Instrument">
        <button
          v-for="(entry, id) in INSTRUMENTS"
          :key="id"
          type="button"
          class="plain-button slight"
          :aria-pressed="chosen === id"
          :data-kind="id"
          @click="chosen = id"
        >
          {{ entry.name }}
        </button>
      </div>
      <form @submit.prevent="start">
        <v-text-field
          v-for="field in fields"
          :key="field.key"
          v-model="field.text"
          :label="field.label"
          maxlength="30"
          :error-messages="field.trouble ? [field.trouble] : []"
        />
        <v-text-field v-model="perSecond" label="Readings a second, up to 20" maxlength="5" />
        <v-checkbox v-model="loose" label="With a loose plug: the line goes dead every eight seconds" />
        <p v-if="trouble" class="wrong" role="alert">{{ trouble }}</p>
        <div class="row">
          <button type="submit" class="plain-button strong" data-testid="instrument-start">Start</button
          ><button type="button" class="plain-button" @click="shown = false">Leave it</button>
        </div>
      </form>
      <DeviceChoice @started="shown = false" />
      <h2>Or from a file</h2>
      <p class="quiet small">Lines of JSON or CSV with at, instrument, channel, value, unit.</p>
      <label class="plain-button" :class="{ off: !hasJob }"
        >Bring readings in<input
          type="file"
          accept=".csv,.jsonl,.ndjson,.json,.txt"
          class="visually-hidden"
          :disabled="!hasJob"
          data-testid="readings-file"
          @change="bringIn"
      /></label>
      <p v-if="!hasJob" class="quiet small">Open a job first: readings are kept with one.</p>
      <p v-if="report" role="status" class="report">{{ report }}</p>
    </v-card>
  </v-dialog>
</template>

<style scoped>
.ask {
  padding: 18px 20px;
}
.kinds {
  margin: 12px 0;
  flex-wrap: wrap;
}
form > * {
  margin-top: 12px;
}
h2:not(:first-child) {
  margin-top: 20px;
}
.wrong {
  color: var(--stop);
}
.report {
  white-space: pre-line;
  margin-top: 10px;
}
.off {
  opacity: 0.5;
}
</style>
