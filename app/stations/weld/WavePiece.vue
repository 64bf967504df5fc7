<script setup lang="ts">
import { toRef, useId } from 'vue'
import type { ArcSet } from '#core/station/weld/arc-set'
import { useWave } from './use-wave'

/** The alternating current as it swings, with its handles. */
const props = defineProps<{ weld: ArcSet }>()
const clip = `wave-${useId().replace(/\W/g, '')}`

const { svg, line, boxes, handles, now, grab, move, nudge, drop, ticks, y, MIDDLE } = useWave(toRef(props, 'weld'))
</script>

<template>
  <p class="label">The current, over 25 thousandths of a second</p>
  <svg
    v-if="weld.wave && weld.machine"
    ref="svg"
    class="drawing"
    viewBox="0 0 520 236"
    role="group"
    aria-label="The AC wave"
    @pointermove="move"
    @pointerup="drop"
    @pointercancel="drop"
  >
    <clipPath :id="clip"><rect x="44" y="10" width="442" height="200" /></clipPath>
    <template v-for="box in boxes" :key="box.from">
      <rect
        class="negative"
        :x="box.from"
        :y="MIDDLE"
        :width="Math.max(0, box.over - box.from)"
        :height="y(-weld.enA) - MIDDLE"
      />
      <rect
        class="positive"
        :x="box.over"
        :y="y(weld.epA)"
        :width="Math.max(0, box.to - box.over)"
        :height="MIDDLE - y(weld.epA)"
      />
    </template>
    <path class="thin" :d="`M46 ${MIDDLE}H486`" />
    <path class="edge" :clip-path="`url(#${clip})`" :d="line" />
    <template v-for="tick in ticks" :key="tick.ms">
      <path class="thin" :d="`M${tick.x} 204v6`" />
      <text :x="tick.x" y="224" text-anchor="middle">{{ tick.ms }}</text>
    </template>
    <text class="note" x="520" y="224" text-anchor="end">ms</text>
    <text x="40" :y="y(weld.epA) + 5" text-anchor="end">+{{ Math.round(weld.epA) }}</text>
    <text x="40" :y="y(-weld.enA) + 5" text-anchor="end">−{{ Math.round(weld.enA) }}</text>
    <text class="note" x="46" y="14">
      above: positive, cleans, {{ weld.wave.epMs.toFixed(1) }} ms · below: negative, melts,
      {{ weld.wave.enMs.toFixed(1) }} ms
    </text>
    <circle
      v-for="handle in handles"
      :key="handle.grip"
      class="handle"
      role="slider"
      tabindex="0"
      :aria-label="handle.label"
      :aria-valuenow="Math.round(now[handle.grip])"
      :aria-valuemin="handle.low"
      :aria-valuemax="handle.high"
      :data-grip="handle.grip"
      :cx="handle.x"
      :cy="handle.y"
      r="8"
      @pointerdown="grab(handle.grip, $event)"
      @keydown.right.prevent="nudge(handle.grip, 1)"
      @keydown.up.prevent="nudge(handle.grip, 1)"
      @keydown.left.prevent="nudge(handle.grip, -1)"
      @keydown.down.prevent="nudge(handle.grip, -1)"
    />
  </svg>
  <p v-else class="quiet">
    With a machine, the wall and the groove, the settings are worked out and the wave is drawn here.
  </p>
</template>

<style scoped>
.negative {
  fill: var(--metal);
}
.positive {
  fill: var(--new-metal-wash);
}
</style>
