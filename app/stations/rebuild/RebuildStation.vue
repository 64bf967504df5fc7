<script setup lang="ts">
import { useJob } from '~/stores/job'
import ReadingField from '~/bench/ReadingField.vue'
import StationFrame from '~/bench/StationFrame.vue'
import WordsField from '~/bench/WordsField.vue'
import BossWays from './BossWays.vue'
import FacePiece from './FacePiece.vue'

const store = useJob()
</script>

<template>
  <StationFrame id="rebuild">
    <template #readings>
      <div class="choice">
        <p>Afterwards</p>
        <v-btn-toggle :model-value="store.job!.rebuild.machined" aria-label="Afterwards" @update:model-value="store.edit(['rebuild', 'machined'], $event)"><v-btn :value="true">machined</v-btn><v-btn :value="false">dressed by hand</v-btn></v-btn-toggle>
      </div>
      <ReadingField path="rebuild.proudMm" unit="mm" label="Built proud by" note="about 1.5 mm, 1/16 in" />
      <ReadingField path="rebuild.faceWidthMm" unit="mm" label="Width of the face" note="empty: the groove's own width" />
      <WordsField path="rebuild.thread" label="Stripped thread, such as M8 or 3/8-16 UNC" :max="40" />
      <template v-if="store.job!.rebuild.thread">
        <ReadingField path="rebuild.threadDeepMm" unit="mm" label="Thread deep" />
        <ReadingField path="rebuild.bossMm" unit="mm" label="Boss across" />
        <ReadingField path="rebuild.torqueNm" unit="nm" label="Tightened to" note="empty: as usual for the bolt" />
      </template>
      <v-checkbox label="Dressed to size" :model-value="store.job!.rebuild.dressed" @update:model-value="store.edit(['rebuild', 'dressed'], $event === true)" />
    </template>
    <template #piece><BossWays /><FacePiece /></template>
  </StationFrame>
</template>

<style scoped>
.choice { margin: 10px 0; }
p { margin: 0 0 4px; }
.v-btn-toggle { width: 100%; }
</style>
