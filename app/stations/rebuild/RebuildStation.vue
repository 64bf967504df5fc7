<script setup lang="ts">
import { useJob } from '~/stores/job'
import ReadingField from '~/bench/ReadingField.vue'
import StationFrame from '~/bench/StationFrame.vue'
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
      <v-checkbox label="Dressed to size" :model-value="store.job!.rebuild.dressed" @update:model-value="store.edit(['rebuild', 'dressed'], $event === true)" />
    </template>
    <template #piece><FacePiece /></template>
  </StationFrame>
</template>

<style scoped>
.choice { margin: 10px 0; }
p { margin: 0 0 4px; }
.v-btn-toggle { width: 100%; }
</style>
