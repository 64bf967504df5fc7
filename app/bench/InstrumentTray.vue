<script setup lang="ts">
import { computed, defineAsyncComponent, ref } from 'vue'
import { onKeyStroke } from '@vueuse/core'
import { KEY_UNITS } from '#core/quantity/units.table'
import { typingNow } from '~/composables/typing'
import { useInstruments } from '~/stores/instruments'
import SparkLine from './SparkLine.vue'

const InstrumentDialog = defineAsyncComponent(() => import('./InstrumentDialog.vue'))
const instruments = useInstruments()
const asking = ref(false)
/** Loaded when first asked for, and then kept. */
const asked = ref(false)
const ask = () => {
  asked.value = asking.value = true
}
const STATE = {
  connecting: 'connecting',
  live: '',
  lost: 'line lost: trying again, what came is kept',
  refused: 'refused',
  ended: 'ended',
} as const
const goesTo = computed(() => (instruments.target ? `to ${instruments.target.label.toLowerCase()} (F2)` : 'to the job'))
onKeyStroke('F2', event => {
  if (instruments.takeFitting()) event.preventDefault()
})
onKeyStroke('m', event => {
  if (typingNow(event)) return
  event.preventDefault()
  ask()
})
defineExpose({ open: ask })
</script>

<template>
  <div v-if="instruments.running.length" class="tray" role="group" aria-label="Instruments">
    <div
      v-for="entry in instruments.running"
      :key="entry.id"
      class="instrument"
      :class="{ lost: entry.stream.state !== 'live' }"
      :data-instrument="entry.instrument"
    >
      <span class="name"
        >{{ entry.name
        }}<small
          >{{ entry.stream.state === 'refused' ? entry.stream.reason : STATE[entry.stream.state]
          }}{{ entry.stream.missing ? ` · ${entry.stream.missing} missing` : ''
          }}{{
            entry.stream.lostTimes && entry.stream.state === 'live'
              ? ` · taken up again ${entry.stream.lostTimes}×`
              : ''
          }}</small
        ></span
      >
      <span v-for="(channel, n) in entry.stream.channels" :key="channel.name" class="channel">
        <SparkLine :points="channel.ring.series(60)" />
        <span class="figure now" data-testid="now"
          >{{ channel.ring.back(0)?.value ?? '–' }} {{ KEY_UNITS[channel.unit].symbol }}</span
        >
        <button
          type="button"
          :disabled="!channel.ring.size"
          data-testid="take"
          @mousedown.prevent
          @click="instruments.take(entry, n)"
        >
          take
        </button>
      </span>
      <button type="button" :disabled="!entry.stream.channels[0]!.ring.size" @click="instruments.keepRun(entry)">
        keep run
      </button>
      <button type="button" :aria-label="`Put the ${entry.name} away`" @click="instruments.stop(entry.id)">away</button>
    </div>
    <p class="goes" role="status">{{ instruments.last ?? `A reading goes ${goesTo}` }}</p>
  </div>
  <InstrumentDialog v-if="asked" v-model="asking" />
</template>

<style scoped>
.tray {
  background: var(--clock);
  color: var(--clock-text);
  display: flex;
  overflow-x: auto;
  border-bottom: 1px solid var(--slate);
  min-height: 48px;
}
.instrument {
  display: flex;
  align-items: center;
  gap: 12px;
  padding: 0 16px;
  border-right: 1px solid var(--slate);
  white-space: nowrap;
}
.lost .now {
  opacity: 0.6;
  text-decoration: line-through;
}
.name {
  display: flex;
  flex-direction: column;
  line-height: 1.15;
}
.name small {
  color: #e0a584;
}
.channel {
  display: inline-flex;
  align-items: center;
  gap: 8px;
}
.now {
  font-size: 1.2rem;
  min-width: 5.2em;
  text-align: right;
}
button {
  color: inherit;
  background: none;
  border: 0;
  font: inherit;
  cursor: pointer;
  min-height: var(--touch);
  padding: 0 6px;
  text-decoration: underline;
}
button:disabled {
  opacity: 0.5;
}
.goes {
  margin: 0;
  padding: 0 16px;
  align-self: center;
  white-space: nowrap;
  font-size: 0.9rem;
}
</style>
