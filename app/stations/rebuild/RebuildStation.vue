<script setup lang="ts">
import { computed, ref } from 'vue'
import { useJob } from '~/stores/job'
import { COLD } from '#core/fit/cold.table'
import { BOSS_WORDS } from '#core/plan/rebuild'
import PickField from '~/bench/PickField.vue'
import ReadingField from '~/bench/ReadingField.vue'
import StationFrame from '~/bench/StationFrame.vue'
import MendRow from '~/stations/mend/MendRow.vue'
import WordsField from '~/bench/WordsField.vue'
import BossSection from './BossSection.vue'
import BossWays from './BossWays.vue'
import FaceMap from './FaceMap.vue'
import BluedFaces from './BluedFaces.vue'
import FacePiece from './FacePiece.vue'
import ForetoldFaces from './ForetoldFaces.vue'
import FaceReadings from './FaceReadings.vue'
import FinishPiece from './FinishPiece.vue'
import HolesPiece from './HolesPiece.vue'
import HolesReadings from './HolesReadings.vue'
import MachiningPiece from './MachiningPiece.vue'
import SlugPiece from './SlugPiece.vue'
import { useOutlines } from './use-outlines'

const VIEWS = {
  thread: 'Thread',
  slug: 'Slug',
  list: 'At the machine',
  face: 'Face',
  holes: 'Holes',
  dress: 'Dress',
} as const
const store = useJob()
const { saveDxf, saveSvg } = useOutlines()
const view = ref<keyof typeof VIEWS>(
  store.job!.rebuild.thread ? 'thread' : store.job!.rebuild.face.points.length ? 'face' : 'dress',
)
/** A job of mends alone has nothing to rebuild but theirs, unless a thread is named here. */
const ofMends = computed(
  () => store.job!.open.work === 'none' && !store.job!.rebuild.thread.trim() && !store.job!.rebuild.face.points.length,
)
const machined = computed(() => store.job!.rebuild.machined)
const cold = Object.fromEntries(Object.entries(COLD).map(([id, { name }]) => [id, name]))
</script>

<template>
  <StationFrame id="rebuild">
    <template #above><MendRow /></template>
    <template #readings>
      <v-btn-toggle v-model="view" mandatory aria-label="What is rebuilt" class="views"
        ><v-btn v-for="(words, id) in VIEWS" :key="id" :value="id" :data-view="id">{{ words }}</v-btn></v-btn-toggle
      >
      <template v-if="view === 'thread' || view === 'slug' || view === 'list'">
        <WordsField path="rebuild.thread" label="Stripped thread, such as M8 or 3/8-16 UNC" :max="40" />
        <ReadingField path="rebuild.threadDeepMm" unit="mm" label="Thread deep" />
        <ReadingField path="rebuild.bossMm" unit="mm" label="Boss across" />
        <ReadingField path="rebuild.torqueNm" unit="nm" label="Tightened to" note="empty: as usual for the bolt" />
        <ReadingField path="rebuild.beneathMm" unit="mm" label="Down to what lies beneath" note="empty: nothing near" />
        <PickField path="rebuild.way" label="The way taken; empty: the best" :words="BOSS_WORDS" clearable />
      </template>
      <template v-if="view === 'slug'">
        <WordsField path="rebuild.slugAlloy" label="Slug of" :max="40" />
        <ReadingField path="rebuild.slugMm" unit="mm" label="Bore for it" note="empty: worked out" /><ReadingField
          path="rebuild.interferenceMm"
          unit="mm"
          label="Interference"
          note="empty: by wall and alloy"
        />
        <ReadingField path="rebuild.clearanceMm" unit="mm" label="Loose by, going in" />
        <PickField path="rebuild.cold" label="The slug is cooled in" :words="cold" />
        <ReadingField path="rebuild.hubC" unit="c" label="Body heated to" note="empty: as it must be" />
        <ReadingField path="rebuild.chamferMm" unit="mm" label="Chamfers" /><ReadingField
          path="rebuild.facedMm"
          unit="mm"
          label="Faced off after"
        />
      </template>
      <FaceReadings v-if="view === 'face'" />
      <HolesReadings v-if="view === 'holes'" />
      <template v-if="!ofMends && (view === 'dress' || view === 'list')">
        <div class="choice">
          <p>Afterwards</p>
          <v-btn-toggle
            :model-value="machined"
            aria-label="Afterwards"
            @update:model-value="store.edit(['rebuild', 'machined'], $event)"
            ><v-btn :value="true">machined</v-btn><v-btn :value="false">dressed by hand</v-btn></v-btn-toggle
          >
        </div>
        <ReadingField path="rebuild.proudMm" unit="mm" label="Built proud by" note="about 1.5 mm, 1/16 in" />
      </template>
      <template v-if="view === 'dress' && !ofMends">
        <ReadingField
          path="rebuild.faceWidthMm"
          unit="mm"
          label="Width of the face"
          note="empty: the groove's own width"
        />
        <PickField
          path="rebuild.dressing"
          label="It must end"
          :words="{ flush: 'flush', proud: 'proud', cast: 'looking cast', bright: 'bright' }"
        />
        <ReadingField
          path="rebuild.bentMm"
          unit="mm"
          label="Bent out by"
          note="a flange or rim to press back"
        /><ReadingField path="rebuild.bentOverMm" unit="mm" label="over a length of" />
        <v-checkbox
          label="Dressed to size"
          :model-value="store.job!.rebuild.dressed"
          @update:model-value="store.edit(['rebuild', 'dressed'], $event === true)"
        />
      </template>
    </template>
    <template #piece="{ working }">
      <p v-if="ofMends && view === 'dress'" class="quiet">Each mend above is rebuilt by itself: press one.</p>
      <template v-else-if="view === 'thread'"><BossSection /><BossWays /></template>
      <template v-else-if="view === 'slug'"><SlugPiece @working="working" /></template>
      <MachiningPiece v-else-if="view === 'list'" />
      <template v-else-if="view === 'face'"><FaceMap @working="working" /><ForetoldFaces /><BluedFaces /></template>
      <HolesPiece v-else-if="view === 'holes'" @working="working" />
      <template v-else>
        <FacePiece /><ForetoldFaces /><BluedFaces /><FinishPiece />
        <div v-if="store.job!.open.work === 'patch'" class="row">
          <button type="button" class="plain-button slight" @click="saveDxf('patch')">Patch as DXF</button
          ><button type="button" class="plain-button slight" @click="saveSvg('patch')">as SVG</button>
        </div>
      </template>
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
