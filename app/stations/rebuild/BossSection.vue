<script setup lang="ts">
import { computed, useId } from 'vue'
import type { ThreadBack } from '#core/station/rebuild/thread-back'
import DimensionLine from '~/bench/DimensionLine.vue'
import HatchPattern from '~/bench/HatchPattern.vue'
import { useDrawing } from '~/composables/use-drawing'
import { capital } from '#core/station/parts'
import { BOSS_WORDS } from '#core/thread/methods.table'
import { useSettings } from '~/stores/settings'

/** A boss in section with its thread, the bolt, new metal and what lies beneath. */
const props = defineProps<{ back: ThreadBack }>()
const settings = useSettings()
const hatch = `hatch-${useId().replace(/\W/g, '')}`
const thread = computed(() => props.back.thread)
const boss = computed(() => props.back.bossMm)
const deep = computed(() => props.back.deepMm)
const beneath = computed(() => props.back.beneathMm)
const slug = computed(() =>
  props.back.way === 'pressed-slug' && props.back.slug && 'answer' in props.back.slug ? props.back.slug.answer : null,
)
const highMm = computed(() => Math.max(deep.value * 1.5, beneath.value ?? 0) + deep.value * 0.5)
const { scale, scaleText } = useDrawing(
  computed(() => ({ widthMm: boss.value * 1.3, heightMm: highMm.value })),
  { width: 520, height: 330, margin: 46 },
)
const px = (mm: number) => mm * scale.value
const TOP = 100
const MIDDLE = 260
const newMm = computed(() => props.back.newMetal?.acrossMm ?? 0)
const newDeep = computed(() => props.back.newMetal?.deepMm ?? 0)
const teeth = computed(() => {
  const { majorMm, minorInternalMm, pitchMm } = thread.value
  const [R, r] = [px(majorMm / 2), px(minorInternalMm / 2)]
  const turns = Math.floor(deep.value / pitchMm)
  const side = (sign: 1 | -1) =>
    `M${MIDDLE + sign * r} ${TOP}${Array.from({ length: turns }, (_, n) => `L${MIDDLE + sign * R} ${TOP + px((n + 0.5) * pitchMm)}L${MIDDLE + sign * r} ${TOP + px((n + 1) * pitchMm)}`).join('')}`
  return side(1) + side(-1)
})
const bottomY = computed(() => TOP + px(beneath.value ?? deep.value * 1.5))
</script>

<template>
  <template v-if="boss > thread.majorMm && deep > 0 && back.way">
    <p class="label">{{ capital(BOSS_WORDS[back.way]) }}, in section, {{ scaleText }}</p>
    <svg
      class="drawing"
      :viewBox="`0 0 520 ${bottomY + 60}`"
      role="img"
      aria-label="The boss in section with its thread, the bolt, new metal and what lies beneath"
    >
      <defs><HatchPattern :id="hatch" /></defs>
      <rect :x="MIDDLE - px(boss / 2)" :y="TOP" :width="px(boss)" :height="bottomY - TOP" :fill="`url(#${hatch})`" />
      <rect :x="MIDDLE - px(boss / 2)" :y="TOP" :width="px(boss)" :height="bottomY - TOP" class="edge" />
      <rect class="new" :x="MIDDLE - px(newMm / 2)" :y="TOP" :width="px(newMm)" :height="px(newDeep)" />
      <path
        v-if="slug"
        class="weld"
        :d="`M${MIDDLE - px(slug.slugMm / 2 + 2)} ${TOP}h${px(4)}l${-px(2)} ${px(2)}zM${MIDDLE + px(slug.slugMm / 2 - 2)} ${TOP}h${px(4)}l${-px(2)} ${px(2)}z`"
      />
      <rect
        class="bolt"
        :x="MIDDLE - px(thread.minorInternalMm / 2)"
        :y="TOP - 26"
        :width="px(thread.minorInternalMm)"
        :height="26 + px(deep * 0.92)"
      />
      <rect
        class="bolt"
        :x="MIDDLE - px(thread.majorMm * 0.8)"
        :y="TOP - 26 - px(thread.majorMm * 0.6)"
        :width="px(thread.majorMm * 1.6)"
        :height="px(thread.majorMm * 0.6)"
      />
      <path class="edge" :d="teeth" />
      <path class="thin centre" :d="`M${MIDDLE} ${TOP - 60}V${bottomY + 8}`" />
      <template v-if="beneath">
        <path class="beneath" :d="`M40 ${bottomY}H480`" />
        <text class="note" x="480" :y="bottomY + 16" text-anchor="end">what lies beneath</text>
      </template>
      <DimensionLine
        :x1="MIDDLE - px(boss / 2)"
        :y1="bottomY + 34"
        :x2="MIDDLE + px(boss / 2)"
        :y2="bottomY + 34"
        :text="settings.text(boss, 'mm')"
      />
      <DimensionLine
        :x1="MIDDLE + px(boss / 2) + 26"
        :y1="TOP"
        :x2="MIDDLE + px(boss / 2) + 26"
        :y2="TOP + px(deep)"
        :text="settings.text(deep, 'mm')"
      />
      <DimensionLine
        v-if="beneath"
        :x1="MIDDLE - px(boss / 2) - 84"
        :y1="TOP"
        :x2="MIDDLE - px(boss / 2) - 84"
        :y2="bottomY"
        :text="settings.text(beneath, 'mm')"
      />
    </svg>
  </template>
</template>

<style scoped>
.bolt {
  fill: var(--paper);
  stroke: var(--slate);
  stroke-width: 1.2;
}
.weld {
  fill: var(--new-metal);
}
.beneath {
  stroke: var(--removed);
  stroke-width: 2.5;
}
.centre {
  stroke-dasharray: 12 3 3 3;
}
</style>
