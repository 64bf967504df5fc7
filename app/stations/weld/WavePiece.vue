<script setup lang="ts">
import { computed, ref } from 'vue'
import { wavePoints } from '#core/arc/wave'
import { DIAL_WORDS } from '#core/plan/weld'
import { pointIn } from '~/composables/use-drawing'
import { useJob } from '~/stores/job'
import { useSettings } from '~/stores/settings'

const emit = defineEmits<{ working: [ref: string] }>()
const store = useJob()
const settings = useSettings()
const svg = ref<SVGSVGElement | null>(null)
const dragging = ref(false)
const weld = computed(() => store.plan?.weld.data)
const LEFT = 40
const WIDTH = 440
const periodMs = computed(() => weld.value ? 1000 / weld.value.frequencyHz : 10)
const x = (ms: number) => LEFT + ms / (2 * periodMs.value) * WIDTH
const y = (a: number) => 100 - a / Math.max(1, weld.value?.setA ?? 1) * 70
const line = computed(() => weld.value?.wave ? `M${wavePoints(weld.value.setA, weld.value.setA, weld.value.enPct, weld.value.frequencyHz).map(point => `${x(point.ms)} ${y(point.a)}`).join('L')}` : '')
const turnX = computed(() => weld.value?.wave ? x(weld.value.wave.enMs) : 0)

const put = (pct: number) => {
  const enPct = Math.round(Math.min(99, Math.max(1, pct)))
  store.edit(['weld', 'enPct'], { typed: `${enPct} %`, value: enPct })
}
function grab(event: PointerEvent) {
  dragging.value = true
  svg.value?.setPointerCapture(event.pointerId)
}
function move(event: PointerEvent) {
  if (dragging.value && svg.value) put((pointIn(svg.value, event).x - LEFT) / (WIDTH / 2) * 100)
}
</script>

<template>
  <p class="label">Two turns of the current</p>
  <svg v-if="weld?.wave" ref="svg" class="drawing" viewBox="0 0 520 214" role="group" aria-label="The AC wave" @pointermove="move" @pointerup="dragging = false" @pointercancel="dragging = false">
    <rect class="negative" :x="x(0)" y="100" :width="turnX - x(0)" height="70" /><rect class="negative" :x="x(periodMs)" y="100" :width="turnX - x(0)" height="70" />
    <rect class="positive" :x="turnX" y="30" :width="x(periodMs) - turnX" height="70" /><rect class="positive" :x="turnX + x(periodMs) - x(0)" y="30" :width="x(periodMs) - turnX" height="70" />
    <path class="thin" d="M40 100H480" /><path class="edge" :d="line" />
    <text x="36" y="34" text-anchor="end">+</text><text x="36" y="174" text-anchor="end">−</text>
    <text class="note" :x="x(0) + 4" y="188">negative: melts, {{ weld.wave.enMs.toFixed(1) }} ms</text>
    <text class="note" :x="turnX + 4" y="22">positive: cleans, {{ weld.wave.epMs.toFixed(1) }} ms</text>
    <circle class="handle" role="slider" tabindex="0" aria-label="Balance: share electrode negative" :aria-valuenow="weld.enPct" aria-valuemin="1" aria-valuemax="99" :cx="turnX" cy="100" r="9" @pointerdown="grab" @keydown.right.prevent="put(weld.enPct + 1)" @keydown.left.prevent="put(weld.enPct - 1)" />
  </svg>
  <p v-else class="quiet">With a machine, the wall and the groove, the settings are worked out and the wave is drawn here.</p>
  <table v-if="weld?.machine" class="settings">
    <tbody>
      <tr><th scope="row">Current</th><td class="num"><button type="button" class="open-figure figure" data-testid="amps" @click="emit('working', 'amps')">{{ settings.text(weld.setA, 'a') }}</button></td><td class="quiet small">{{ weld.machine.name }}, {{ weld.machine.lowA }} to {{ weld.machine.highA }} A; torch {{ weld.machine.torchA }} A</td></tr>
      <tr v-if="weld.dial !== null"><th scope="row">Balance dial</th><td class="num"><button type="button" class="open-figure figure" @click="emit('working', 'balance')">{{ Math.round(weld.dial) }}</button></td><td class="quiet small">reads the {{ DIAL_WORDS[weld.machine.dialReads] }}; this is {{ settings.text(weld.enPct, 'pct') }} negative</td></tr>
      <tr v-if="weld.wave"><th scope="row">Average, rms</th><td class="num"><button type="button" class="open-figure figure" @click="emit('working', 'wave')">{{ settings.text(weld.wave.averageA, 'a') }}</button></td><td class="quiet small figure">{{ settings.text(weld.wave.rmsA, 'a') }} rms</td></tr>
      <tr v-if="weld.duty"><th scope="row">Duty</th><td class="num"><button type="button" class="open-figure figure" @click="emit('working', 'duty')">{{ settings.text(weld.duty.dutyPct, 'pct') }}</button></td><td class="quiet small">{{ settings.text(weld.duty.weldMin, 'min') }} of arc in ten minutes; about {{ settings.text(weld.elapsedMin, 'min') }} for all passes</td></tr>
      <tr v-if="weld.gas"><th scope="row">Argon</th><td class="num"><button type="button" class="open-figure figure" @click="emit('working', 'gas')">{{ Math.round(weld.gas.litres) }} L</button></td><td class="quiet small">{{ weld.gas.cylinderShare === undefined ? 'no cylinder in the kit' : `${settings.text(weld.gas.cylinderShare * 100, 'pct')} of a full cylinder` }}</td></tr>
    </tbody>
  </table>
</template>

<style scoped>
.negative { fill: var(--metal); }
.positive { fill: var(--new-metal-wash); }
.settings { margin: 8px 0 14px; }
.settings th { width: 30%; border-bottom-color: var(--hairline); }
</style>
