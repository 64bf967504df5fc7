<script setup lang="ts">
import { ref } from 'vue'
import { useJob } from '~/stores/job'
import PickField from '~/bench/PickField.vue'
import StationFrame from '~/bench/StationFrame.vue'
import MendPiece from '~/stations/mend/MendPiece.vue'
import MendReadings from '~/stations/mend/MendReadings.vue'
import MendRow from '~/stations/mend/MendRow.vue'
import MendVerdict from '~/stations/mend/MendVerdict.vue'
import MendsAtOnce from '~/stations/mend/MendsAtOnce.vue'
import { useMends } from '~/stations/mend/use-mend'
import FaceMap from './FaceMap.vue'
import BluedFaces from './BluedFaces.vue'
import ForetoldFaces from './ForetoldFaces.vue'
import FaceReadings from './FaceReadings.vue'
import FinishPiece from './FinishPiece.vue'
import HolesPiece from './HolesPiece.vue'
import HolesReadings from './HolesReadings.vue'

const VIEWS = { dress: 'Mends', face: 'Face', holes: 'Holes' } as const
const store = useJob()
const view = ref<keyof typeof VIEWS>(store.job!.rebuild.face.points.length ? 'face' : 'dress')
const { row } = useMends()
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
      <template v-if="view === 'dress'">
        <MendReadings v-if="row" station="rebuild" />
        <PickField path="rebuild.dressing" />
        <v-checkbox
          label="Dressed to size"
          :model-value="store.job!.rebuild.dressed"
          @update:model-value="store.edit(['rebuild', 'dressed'], $event === true)"
        />
      </template>
    </template>
    <template #piece="{ working }">
      <template v-if="view === 'face'"><FaceMap @working="working" /><ForetoldFaces /><BluedFaces /></template>
      <HolesPiece v-else-if="view === 'holes'" @working="working" />
      <template v-else>
        <MendPiece v-if="row" :row="row" station="rebuild" @working="working" />
        <MendsAtOnce v-else station="rebuild" />
        <ForetoldFaces /><BluedFaces /><FinishPiece />
      </template>
    </template>
    <template v-if="row" #verdict><MendVerdict :row="row" /></template>
  </StationFrame>
</template>

<style scoped>
.views {
  margin: 2px 0 10px;
  width: 100%;
}
.v-btn-toggle {
  width: 100%;
}
</style>
