<script setup lang="ts">
import { computed } from 'vue'
import { MUST_NOT_MOVE, PROTECTS } from '#core/job/words.table'
import DimensionLine from '~/bench/DimensionLine.vue'
import HatchPattern from '~/bench/HatchPattern.vue'
import { useDrawing } from '~/composables/use-drawing'
import { useJob } from '~/stores/job'
import { useSettings } from '~/stores/settings'

const emit = defineEmits<{ working: [] }>()
const store = useJob()
const settings = useSettings()
const sizes = computed(() => {
  const { lengthMm, widthMm, heightMm, wallMm } = store.job!.takeIn
  return {
    l: lengthMm.value ?? 0,
    w: widthMm.value ?? 0,
    h: heightMm.value || wallMm.value || 0,
    t: wallMm.value ?? 0,
    crack: store.job!.open.crackMm.value ?? 0,
  }
})
const drawn = computed(() => sizes.value.l > 0 && sizes.value.w > 0)
const body = computed(() => store.plan?.['take-in'].data.body)
const { scale, scaleText } = useDrawing(
  computed(() => ({ widthMm: sizes.value.l, heightMm: sizes.value.w + sizes.value.h + 1 })),
  { width: 520, height: 430, margin: 50 },
)
const px = (mm: number) => mm * scale.value
const left = computed(() => (520 - px(sizes.value.l)) / 2)
const crackPath = computed(() => {
  const long = Math.min(px(sizes.value.crack), px(sizes.value.l) * 0.96)
  const from = left.value + px(sizes.value.l) / 2 - long / 2
  return `M${from} 68 q ${long / 6} -7 ${long / 3} 1 t ${long / 3} -2 t ${long / 3} 2`
})
const sectionTop = computed(() => 66 + px(sizes.value.w) + 44)
</script>

<template>
  <p class="label">
    From above and through the middle<template v-if="drawn">, {{ scaleText }}</template>
  </p>
  <svg
    v-if="drawn"
    class="drawing"
    viewBox="0 0 520 470"
    role="img"
    aria-label="The part from above with its crack, and in section"
  >
    <defs><HatchPattern id="hatch-part" /></defs>
    <rect class="metal edge" :x="left" y="50" :width="px(sizes.l)" :height="px(sizes.w)" />
    <rect
      v-if="sizes.t > 0 && sizes.l > 2 * sizes.t"
      class="thin"
      stroke-dasharray="5 4"
      :x="left + px(sizes.t)"
      :y="50 + px(sizes.t)"
      :width="px(sizes.l - 2 * sizes.t)"
      :height="Math.max(0, px(sizes.w - 2 * sizes.t))"
    />
    <path v-if="sizes.crack > 0" class="crack" :d="crackPath" />
    <DimensionLine :x1="left" :y1="34" :x2="left + px(sizes.l)" :y2="34" :text="settings.text(sizes.l, 'mm')" />
    <DimensionLine
      :x1="left + px(sizes.l) + 14"
      :y1="50"
      :x2="left + px(sizes.l) + 14"
      :y2="50 + px(sizes.w)"
      :text="settings.text(sizes.w, 'mm')"
    />
    <path
      v-if="sizes.t > 0"
      fill="url(#hatch-part)"
      class="section"
      :d="`M${left} ${sectionTop}h${px(sizes.l)}v${px(sizes.h)}h${-px(sizes.t)}v${-px(Math.max(0, sizes.h - sizes.t))}h${-px(Math.max(0, sizes.l - 2 * sizes.t))}v${px(Math.max(0, sizes.h - sizes.t))}h${-px(sizes.t)}z`"
    />
    <DimensionLine
      v-if="sizes.t > 0"
      :x1="left - 14"
      :y1="sectionTop"
      :x2="left - 14"
      :y2="sectionTop + px(sizes.h)"
      text=""
    />
    <text v-if="sizes.t > 0" class="note" :x="left" :y="sectionTop + px(sizes.h) + 20">
      {{ settings.text(sizes.h, 'mm') }} high, wall {{ settings.text(sizes.t, 'mm') }}
    </text>
  </svg>
  <p v-else class="quiet">
    Measure it over all and the part is drawn here to scale, with its mass and the surface that cools.
  </p>
  <p v-if="body">
    Reckoned as a tray of even wall:
    <button type="button" class="open-figure figure" @click="emit('working')">
      {{ settings.text(body.massKg, 'kg') }}</button>,
    <span class="figure">{{ settings.text(body.areaMm2, 'mm2') }}</span> of surface.
  </p>
  <ul v-if="store.job!.takeIn.mustNotMove.length || store.job!.takeIn.protect.length" class="guards">
    <li v-for="id in store.job!.takeIn.mustNotMove" :key="id"><b>Fixed</b> {{ MUST_NOT_MOVE[id] }}</li>
    <li v-for="id in store.job!.takeIn.protect" :key="id"><b>Guarded</b> {{ PROTECTS[id].name }}</li>
  </ul>
</template>

<style scoped>
.section {
  stroke: var(--soot);
  stroke-width: 2;
}
.guards {
  list-style: none;
  padding: 0;
}
.guards b {
  display: inline-block;
  min-width: 76px;
  color: var(--slate);
}
</style>
