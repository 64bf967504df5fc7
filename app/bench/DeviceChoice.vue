<script setup lang="ts">
import { useDevices } from '~/composables/use-devices'
import { WAYS, type Way } from '~/composables/wires'

/** A device with a wire or radio of its own, put on the bench. */
const emit = defineEmits<{ started: [] }>()
const { all, chosen, device, own, trouble, ways, connect, bringIn, saveOut, forget } = useDevices()
async function start(way: Way) {
  if (await connect(way)) emit('started')
}
</script>

<template>
  <section>
    <h2>One of your own</h2>
    <p class="quiet small">
      A small file says how a device is reached and what its lines look like; the ones listed first are yours, the rest
      are made-up examples to begin from (docs/formats.md). What it sends stays in this browser.
    </p>
    <v-select
      v-model="chosen"
      :items="all.map(each => ({ value: each.id, title: each.name }))"
      label="Device"
      data-testid="device"
    />
    <p class="small">
      <template v-for="(line, n) in device.lines" :key="n"
        ><code>{{ line.pattern }}</code>{{ n < device.lines.length - 1 ? ', ' : '' }}</template
      >
      <template v-if="device.serial"> at {{ device.serial.baudRate }} baud</template>
    </p>
    <div class="row">
      <button
        v-for="way in ways"
        :key="way"
        type="button"
        class="plain-button"
        :class="{ slight: way === 'simulated' }"
        :data-way="way"
        @click="start(way)"
      >
        {{ way === 'simulated' ? 'Simulated' : `Connect ${WAYS[way]}` }}
      </button>
    </div>
    <p v-if="ways.length === 1" class="quiet small">
      This browser reaches no wires or radios, or the device names none: only the simulated port is there.
    </p>
    <div class="row">
      <label class="plain-button slight"
        >A device file in<input
          type="file"
          accept=".json,application/json"
          class="visually-hidden"
          data-testid="device-file"
          @change="bringIn"
      /></label>
      <button type="button" class="plain-button slight" @click="saveOut()">This one out</button>
      <button v-if="own" type="button" class="plain-button slight" @click="forget()">Forget it</button>
    </div>
    <p v-if="trouble" class="wrong" role="alert" data-testid="device-trouble">{{ trouble }}</p>
  </section>
</template>

<style scoped>
h2 {
  margin-top: 20px;
}
.row {
  margin-top: 10px;
}
code {
  font-family: var(--figures);
  font-size: 0.85rem;
}
.wrong {
  color: var(--stop);
}
</style>
