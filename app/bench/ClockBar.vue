<script setup lang="ts">
import { computed, ref } from 'vue'
import { onKeyStroke } from '@vueuse/core'
import { useRoute } from 'vue-router'
import { clockFace } from '#core/quantity/clock-face'
import { read } from '#core/quantity/read'
import { typingNow } from '~/composables/typing'
import { useClocks } from '~/stores/clocks'

/** Usual clocks of the bench; minutes are a start, not a rule. */
const USUAL = [['Bake-out', '60 min'], ['Soak', '10 min'], ['Slug in the freezer', '2 h'], ['Interpass', '5 min'], ['Post-flow', '15 s'], ['Slow cool', '25 min']] as const

const clocks = useClocks()
const route = useRoute()
const asking = ref(false)
const name = ref<string>(USUAL[0][0])
const time = ref<string>(USUAL[0][1])
const reading = computed(() => read(time.value, 'min'))
const trouble = computed(() => reading.value.ok ? reading.value.value > 0 && reading.value.value <= 60 * 24 * 30 ? null : 'more than nothing, at most a month' : reading.value.message)

function usual(index: number) {
  name.value = USUAL[index]![0]
  time.value = USUAL[index]![1]
}
async function start() {
  if (trouble.value || !reading.value.ok) return
  await clocks.start(name.value, reading.value.value * 60, typeof route.params.id === 'string' ? route.params.id : null)
  asking.value = false
}
onKeyStroke('c', (event) => {
  if (typingNow(event)) return
  event.preventDefault()
  asking.value = true
})
</script>

<template>
  <footer class="clocks no-print" aria-label="Clocks">
    <div v-for="clock in clocks.running" :key="clock.id" class="clock" :class="{ near: clock.leftS <= 300, over: clock.leftS <= 0 }">
      <span>{{ clock.name }}</span>
      <span class="figure time">{{ clockFace(clock.leftS) }}</span>
      <button type="button" :aria-label="`Stop the clock ${clock.name}`" @click="clocks.stop(clock.id)">stop</button>
    </div>
    <button type="button" class="new" @click="asking = true"><span class="figure">c</span> new clock</button>
    <v-dialog v-model="asking" aria-label="New clock">
      <v-card class="ask-clock">
        <h2>New clock</h2>
        <div class="row usual"><button v-for="(entry, index) in USUAL" :key="entry[0]" type="button" class="plain-button slight" @click="usual(index)">{{ entry[0] }}</button></div>
        <form @submit.prevent="start">
          <v-text-field v-model="name" label="Name" maxlength="60" />
          <v-text-field v-model="time" label="Time, such as 45 min, 90 s or 2 h" maxlength="30" :error-messages="trouble ? [trouble] : []" />
          <div class="row"><button type="submit" class="plain-button strong" :disabled="trouble !== null">Start</button><button type="button" class="plain-button" @click="asking = false">Leave it</button></div>
        </form>
      </v-card>
    </v-dialog>
  </footer>
</template>

<style scoped>
.clocks { position: fixed; inset: auto 0 0 0; min-height: 52px; background: var(--clock); color: var(--clock-text); display: flex; overflow-x: auto; z-index: 20; border-top: 1px solid var(--soot); }
.clock { display: flex; align-items: center; gap: 12px; padding: 0 18px; border-right: 1px solid var(--slate); white-space: nowrap; }
.time { font-size: 1.3rem; letter-spacing: 0.02em; }
.near { background: #8a4526; color: #fcfaf5; }
.over .time { text-decoration: underline; animation: due 1s steps(2) infinite; }
@keyframes due { 50% { opacity: 0.45; } }
@media (prefers-reduced-motion: reduce) { .over .time { animation: none; } }
button { color: inherit; background: none; border: 0; font: inherit; cursor: pointer; min-height: var(--touch); padding: 0 6px; text-decoration: underline; }
.new { padding: 0 20px; text-decoration: none; white-space: nowrap; }
.ask-clock { padding: 18px 20px; }
.ask-clock button { text-decoration: none; padding: 6px 14px; color: var(--soot); border: 1px solid var(--hairline); }
.ask-clock .strong { color: var(--on-chestnut); background: var(--chestnut); }
form > * { margin-top: 14px; }
.usual { margin-top: 12px; }
</style>
