<script setup lang="ts">
import { computed } from 'vue'
import { isOpenTrace } from '#core/job/picture.schema'
import { useSettings } from '~/stores/settings'
import type { Desk } from './use-desk'
import type { OpenPicture } from './use-picture'

const props = defineProps<{ open: OpenPicture; desk: Desk }>()
const settings = useSettings()
const { picture, address } = props.open
const { svg, tool, traceId, selected, zoom, box, handles } = props.desk
const points = (px: readonly (readonly [number, number])[]) => px.map(([x, y]) => `${x},${y}`).join(' ')
// Marks keep their size on the screen whatever the zoom; the picture is drawn about 700 pixels wide.
const unit = computed(() => (picture.value?.widthPx ?? 700) / 700 / zoom.value)
const ARM = 9
const isSelected = (handle: { list: string; of: string; n: number }) =>
  selected.value?.list === handle.list && selected.value.of === handle.of && selected.value.n === handle.n
const figureOf = (id: string) => {
  const found = props.open.measured.value.find(entry => entry.trace.id === id)
  return found?.measure ? settings.text(found.measure.lengthMm, 'mm') : ''
}
</script>

<template>
  <div v-if="picture" class="desk">
    <div class="row tools no-print">
      <v-btn-toggle v-model="tool" mandatory aria-label="A tap puts down"
        ><v-btn value="scale" data-testid="tool-scale">scale</v-btn
        ><v-btn value="trace" data-testid="tool-trace">trace</v-btn
        ><v-btn value="pin" data-testid="tool-pin">pin</v-btn></v-btn-toggle
      >
      <span class="row zooms"
        ><button type="button" class="plain-button slight" aria-label="Further" @click="desk.zoomBy(1 / 1.5)">−</button
        ><span class="figure">{{ zoom.toFixed(1) }}×</span
        ><button type="button" class="plain-button slight" aria-label="Closer" @click="desk.zoomBy(1.5)">
          +
        </button></span
      >
      <button type="button" class="plain-button slight" :disabled="!selected" @click="desk.remove()">
        Take point off
      </button>
    </div>
    <svg
      ref="svg"
      class="sheet"
      :viewBox="box.join(' ')"
      :style="{ aspectRatio: `${picture.widthPx} / ${picture.heightPx}` }"
      tabindex="0"
      role="application"
      data-testid="desk"
      :aria-label="`${picture.name || 'The picture'}: tap to put a point, drag to move it or the picture, arrow keys nudge the point picked, plus and minus zoom`"
      @pointerdown="desk.down($event, null)"
      @pointermove="desk.drag"
      @pointerup="desk.up"
      @pointercancel="desk.up"
      @keydown="desk.key"
      @wheel.prevent="desk.wheel"
    >
      <image v-if="address" :href="address" :width="picture.widthPx" :height="picture.heightPx" />
      <polygon
        v-if="picture.scale.px.length === 4"
        class="scale"
        :points="points(picture.scale.px)"
        :stroke-width="2 * unit"
      />
      <polyline v-else class="scale" :points="points(picture.scale.px)" :stroke-width="2 * unit" />
      <circle
        v-for="(patch, n) in picture.blue?.patches ?? []"
        :key="`blue${n}`"
        class="patch"
        :cx="patch.atPx[0]"
        :cy="patch.atPx[1]"
        :r="5 * unit"
        :stroke-width="2 * unit"
      />
      <template v-for="trace in picture.traces" :key="trace.id">
        <component
          :is="isOpenTrace(trace.kind) ? 'polyline' : 'polygon'"
          class="under"
          :points="points(trace.px)"
          :stroke-width="4.5 * unit"
        />
        <component
          :is="isOpenTrace(trace.kind) ? 'polyline' : 'polygon'"
          :class="['trace', trace.kind]"
          :points="points(trace.px)"
          :stroke-width="(trace.id === traceId ? 2.6 : 1.6) * unit"
        />
        <text
          v-if="trace.px[0] && figureOf(trace.id)"
          class="figure"
          :x="trace.px[0][0] + 10 * unit"
          :y="trace.px[0][1] - 10 * unit"
          :font-size="16 * unit"
          :stroke-width="4 * unit"
        >
          {{ figureOf(trace.id) }}
        </text>
      </template>
      <g
        v-for="handle in handles"
        :key="`${handle.list}${handle.of}${handle.n}`"
        :class="['mark', handle.list, { picked: isSelected(handle) }]"
        :transform="`translate(${handle.px[0]} ${handle.px[1]}) scale(${unit})`"
        @pointerdown="desk.down($event, handle)"
      >
        <circle class="grip" r="16" />
        <path v-if="handle.list === 'scale'" :d="`M${-ARM} 0H${ARM}M0 ${-ARM}V${ARM}`" />
        <circle v-else-if="handle.list === 'trace'" r="4" />
        <g v-else>
          <circle r="10" class="flag" />
          <text class="number" y="5" text-anchor="middle" font-size="13">{{ handle.n + 1 }}</text>
        </g>
      </g>
    </svg>
  </div>
</template>

<style scoped>
@media (max-width: 899px) {
  /* On a phone the picture comes first, and what is done to it under the thumb. */
  .desk {
    display: flex;
    flex-direction: column;
  }
  .tools {
    order: 1;
    margin-top: 8px;
  }
}
.tools {
  justify-content: space-between;
  margin-bottom: 8px;
}
.zooms {
  gap: 6px;
}
.sheet {
  width: 100%;
  max-height: 62vh;
  display: block;
  touch-action: none;
  background: var(--metal);
  border: 1px solid var(--soot);
  cursor: crosshair;
}
.scale {
  fill: none;
  stroke: #1f6e8c;
  stroke-dasharray: none;
}
.under {
  fill: none;
  stroke: #fcfaf5;
  stroke-opacity: 0.75;
  stroke-linejoin: round;
}
.trace {
  fill: none;
  stroke: #a6261d;
  stroke-linejoin: round;
}
.outline {
  stroke: #1f6e8c;
}
.thread {
  stroke: #1f6e8c;
  stroke-dasharray: 12 6 2 6;
}
.patch {
  fill: none;
  stroke: #fcfaf5;
}
.hole,
.edge {
  stroke: #b8674a;
}
.mark {
  cursor: grab;
}
.mark path {
  stroke: #1f6e8c;
  stroke-width: 2.5;
  fill: none;
}
.mark circle {
  fill: #fcfaf5;
  stroke: #262321;
  stroke-width: 1.5;
}
.mark .grip {
  fill: transparent;
  stroke: none;
}
.picked .grip {
  stroke: #8a4526;
  stroke-width: 2.5;
}
.flag {
  fill: #262321 !important;
}
.number {
  fill: #fcfaf5;
  font-family: var(--figures);
}
text.figure {
  paint-order: stroke;
  stroke: #fcfaf5;
  fill: #262321;
  font-weight: 700;
}
</style>
