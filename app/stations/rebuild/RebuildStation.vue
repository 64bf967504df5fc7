<script setup lang="ts">
import { computed, ref } from 'vue'
import { useJob } from '~/stores/job'
import PickField from '~/bench/PickField.vue'
import ReadingField from '~/bench/ReadingField.vue'
import StationFrame from '~/bench/StationFrame.vue'
import MendRow from '~/stations/mend/MendRow.vue'
import MendsAtOnce from '~/stations/mend/MendsAtOnce.vue'
import FaceMap from './FaceMap.vue'
import BluedFaces from './BluedFaces.vue'
import FacePiece from './FacePiece.vue'
import ForetoldFaces from './ForetoldFaces.vue'
import FaceReadings from './FaceReadings.vue'
import FinishPiece from './FinishPiece.vue'
import HolesPiece from './HolesPiece.vue'
import HolesReadings from './HolesReadings.vue'

const VIEWS = { face: 'Face', holes: 'Holes', dress: 'Dress' } as const
const store = useJob()
const view = ref<keyof typeof VIEWS>(store.job!.rebuild.face.points.length ? 'face' : 'dress')
/** A job of mends alone has nothing to rebuild but theirs. */
const ofMends = computed(() => store.job!.open.work === 'none' && !store.job!.rebuild.face.points.length)
const machined = computed(() => store.job!.rebuild.machined)
</script>

<template>
  <StationFrame id="rebuild">
    <template #above><MendRow /></template>
    <template #readings>
      <v-btn-toggle v-model="view" mandatory aria-label="What is rebuilt" class="views"
        ><v-btn v-for="(words, id) in VIEWS" :key="id" :value="id" :data-view="id">{{ words }}</v-btn></v-btn-toggle
      >
      <FaceReadings v-if="view === 'face'" />
      <HolesReadings v-if="view === 'holes'" />
      <template v-if="!ofMends && view === 'dress'">
        <div class="choice">
          <p>Afterwards</p>
          <v-btn-toggle
            :model-value="machined"
            aria-label="Afterwards"
            @update:model-value="store.edit(['rebuild', 'machined'], $event)"
            ><v-btn :value="true">machined</v-btn><v-btn :value="false">dressed by hand</v-btn></v-btn-toggle
          >
        </div>
        <ReadingField path="rebuild.proudMm" />
        <ReadingField path="rebuild.faceWidthMm" />
        <PickField path="rebuild.dressing" />
        <v-checkbox
          label="Dressed to size"
          :model-value="store.job!.rebuild.dressed"
          @update:model-value="store.edit(['rebuild', 'dressed'], $event === true)"
        />
      </template>
    </template>
    <template #piece="{ working }">
      <MendsAtOnce v-if="ofMends && view === 'dress'" station="rebuild" />
      <template v-else-if="view === 'face'"><FaceMap @working="working" /><ForetoldFaces /><BluedFaces /></template>
      <HolesPiece v-else-if="view === 'holes'" @working="working" />
      <template v-else> <FacePiece /><ForetoldFaces /><BluedFaces /><FinishPiece /> </template>
    </template>
  </StationFrame>
</template>

<style scoped>
.views {
  margin: 2px 0 10px;
  width: 100%;
}
.choice {
  margin: 10px 0;
}
p {
  margin: 0 0 4px;
}
.v-btn-toggle {
  width: 100%;
}
</style>
