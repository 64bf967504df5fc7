<script setup lang="ts">
import { computed, ref } from 'vue'
import { onKeyStroke } from '@vueuse/core'
import { useRoute } from 'vue-router'
import { clockFace } from '#core/quantity/clock-face'
import { jobClocks } from '#core/station/mends/job-clocks'
import { typingNow } from '~/composables/typing'
import { useWords } from '~/composables/use-words'
import { useAlarm } from '~/composables/use-alarm'
import { useClocks } from '~/stores/clocks'
import { useJob } from '~/stores/job'
import { useSettings } from '~/stores/settings'
import InstrumentTray from './InstrumentTray.vue'

/** Usual clocks of the bench, where no job says its own; minutes are a start, not a rule. */
const USUAL: readonly (readonly [name: string, time: string])[] = [
  ['Bake-out', '60 min'],
  ['Soak', '10 min'],
  ['Slug in the freezer', '2 h'],
  ['Interpass', '5 min'],
  ['Post-flow', '15 s'],
  ['Slow cool', '25 min'],
]

const clocks = useClocks()
const settings = useSettings()
const { ringing, flashing, hush } = useAlarm()
const tray = ref<InstanceType<typeof InstrumentTray> | null>(null)
const route = useRoute()
const asking = ref(false)
/** Whoever looks up from under a screen is not to be blinded. */
const atArc = computed(() => route.path.endsWith('/bench'))
const job = useJob()
const { say: sayPiece } = useWords()
const say = (piece: string) => String(sayPiece(piece))
const proposed = computed(() => {
  const own = route.params.id && job.plan ? jobClocks(job.plan.mends.steps, say) : []
  return own.length
    ? own.map(({ name: says, minutes }) => [says, `${minutes} min`] as const)
    : USUAL.map(([says, long]) => [say(says), long] as const)
})
const name = ref('')
const time = ref('')
const reading = computed(() => settings.read(time.value, 'min'))
const trouble = computed(() =>
  reading.value.ok
    ? reading.value.value > 0 && reading.value.value <= 60 * 24 * 30
      ? null
      : 'more than nothing, at most a month'
    : reading.value.message,
)

function take([says, long]: readonly [string, string]) {
  name.value = says
  time.value = long
}
function ask() {
  take(proposed.value[0]!)
  asking.value = true
}
async function start() {
  if (trouble.value || !reading.value.ok) return
  void clocks.start(name.value, reading.value.value * 60, typeof route.params.id === 'string' ? route.params.id : null)
  asking.value = false
}
onKeyStroke('c', event => {
  if (typingNow(event)) return
  event.preventDefault()
  ask()
})
</script>

<template>
  <div v-if="flashing" class="flash no-print" aria-hidden="true" />
  <footer class="foot no-print" aria-label="Clocks and instruments">
    <InstrumentTray ref="tray" />
    <div class="clocks">
      <button v-if="ringing.length" type="button" class="hush" data-testid="hush" @click="hush()">
        Heard: {{ ringing.map(clock => clock.name).join(', ') }}
      </button>
      <div
        v-for="clock in clocks.running"
        :key="clock.id"
        class="clock"
        :class="{ near: clock.leftS <= 300, over: clock.leftS <= 0 }"
      >
        <span>{{ clock.name }}</span>
        <span class="figure time">{{ clockFace(clock.leftS) }}</span>
        <button type="button" :aria-label="`Stop the clock ${clock.name}`" @click="clocks.stop(clock.id)">stop</button>
      </div>
      <button type="button" class="new" @click="ask()"><span class="figure only-with-keys">c </span>new clock</button>
      <button type="button" class="new" @click="tray?.open()">
        <span class="figure only-with-keys">m </span>instrument
      </button>
      <v-dialog v-model="asking" aria-label="New clock">
        <v-card class="ask-clock" :theme="atArc ? 'dark' : undefined">
          <h2>New clock</h2>
          <div class="row usual">
            <button
              v-for="entry in proposed"
              :key="entry[0]"
              type="button"
              class="plain-button slight"
              @click="take(entry)"
            >
              <span translate="no">{{ entry[0] }}</span>
            </button>
          </div>
          <form @submit.prevent="start">
            <v-text-field v-model="name" label="Name" maxlength="80" />
            <v-text-field
              v-model="time"
              label="Time, such as 45 min, 90 s or 2 h"
              maxlength="30"
              :error-messages="trouble ? [trouble] : []"
            />
            <div class="row">
              <v-checkbox v-model="settings.sound" label="sound when it runs out" /><v-checkbox
                v-model="settings.flash"
                label="flash, for ear defenders"
              />
            </div>
            <div class="row">
              <button type="submit" class="plain-button strong" :disabled="trouble !== null">Start</button
              ><button type="button" class="plain-button" @click="asking = false">Leave it</button>
            </div>
          </form>
        </v-card>
      </v-dialog>
    </div>
  </footer>
</template>

<style scoped>
.foot {
  position: fixed;
  inset: auto 0 0 0;
  z-index: 1000;
  background: var(--clock);
  color: var(--clock-text);
  border-top: 1px solid var(--soot);
}
.clocks {
  min-height: 52px;
  display: flex;
  overflow-x: auto;
}
/* Once a second: far slower than what could harm. */
.flash {
  position: fixed;
  inset: 0;
  z-index: 1100;
  pointer-events: none;
  border: 22px solid #d8946a;
  animation: flash 1s steps(2) infinite;
}
@keyframes flash {
  50% {
    border-color: #fcfaf5;
  }
}
.clock {
  display: flex;
  align-items: center;
  gap: 12px;
  padding: 0 18px;
  border-right: 1px solid var(--slate);
  white-space: nowrap;
}
.time {
  font-size: 1.3rem;
  letter-spacing: 0.02em;
}
.near {
  background: #8a4526;
  color: #fcfaf5;
}
.over .time {
  text-decoration: underline;
  animation: due 1s steps(2) infinite;
}
@keyframes due {
  50% {
    opacity: 0.45;
  }
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
.hush {
  background: #8a4526;
  color: #fcfaf5;
  padding: 0 18px;
  font-weight: 650;
  white-space: nowrap;
}
.new {
  padding: 0 20px;
  text-decoration: none;
  white-space: nowrap;
}
.ask-clock {
  padding: 18px 20px;
}
.ask-clock button {
  text-decoration: none;
  padding: 6px 14px;
  color: var(--soot);
  border: 1px solid var(--hairline);
}
.ask-clock .strong {
  color: var(--on-chestnut);
  background: var(--chestnut);
}
form > * {
  margin-top: 14px;
}
.usual {
  margin-top: 12px;
}
</style>
