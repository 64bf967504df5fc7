<script setup lang="ts">
import { computed, nextTick, ref, watch } from 'vue'
import { useLiveCamera } from './use-live-camera'

/** The camera with the card's outline on it; taken by itself once it is sharp and square. */
const shown = defineModel<boolean>({ required: true })
const emit = defineEmits<{ taken: [file: File] }>()
const video = ref<HTMLVideoElement | null>(null)
const { aim, trouble, torch, byItself, frame, start, stop, shoot, light } = useLiveCamera(video, file => {
  shown.value = false
  emit('taken', file)
})
watch(
  shown,
  async on => {
    if (!on) return stop()
    await nextTick()
    await start()
  },
  { immediate: true },
)
const outline = computed(() => aim.value?.cornersPx?.map(([x, y]) => `${x},${y}`).join(' ') ?? '')
</script>

<template>
  <v-dialog v-model="shown" fullscreen aria-label="Camera">
    <div class="camera">
      <div class="frame">
        <video ref="video" playsinline muted />
        <svg :viewBox="`0 0 ${frame.wide} ${frame.high}`" preserveAspectRatio="xMidYMid meet" aria-hidden="true">
          <polygon v-if="outline" :points="outline" :class="{ ready: aim!.ready }" data-testid="card-outline" />
        </svg>
      </div>
      <p role="status" class="says" data-testid="aim">
        {{ trouble ? `Not open: ${trouble}.` : (aim?.says ?? 'looking for the card…') }}
      </p>
      <div class="row acts">
        <button
          type="button"
          class="plain-button strong"
          :disabled="trouble !== null"
          data-testid="shoot"
          @click="shoot()"
        >
          Take it now
        </button>
        <button v-if="torch !== null" type="button" class="plain-button" :aria-pressed="torch" @click="light()">
          light
        </button>
        <v-checkbox v-model="byItself" label="takes it when sharp and square" />
        <button type="button" class="plain-button" @click="shown = false">Leave it</button>
      </div>
    </div>
  </v-dialog>
</template>

<style scoped>
.camera {
  display: grid;
  grid-template-rows: minmax(0, 1fr) auto auto;
  height: 100%;
  background: var(--paper);
  color: var(--soot);
}
.frame {
  position: relative;
  min-height: 0;
  background: #0f0e0d;
}
video,
svg {
  position: absolute;
  inset: 0;
  width: 100%;
  height: 100%;
  object-fit: contain;
}
polygon {
  fill: none;
  stroke: #f4efe6;
  stroke-width: 4;
  stroke-dasharray: 14 8;
  vector-effect: non-scaling-stroke;
}
polygon.ready {
  stroke: #74bcd8;
  stroke-dasharray: none;
}
.says {
  margin: 0;
  padding: 10px 16px 0;
  font-weight: 600;
}
.acts {
  padding: 8px 16px 14px;
  flex-wrap: wrap;
}
</style>
