<script setup lang="ts">
import { computed, ref } from 'vue'
import { BOSS_WORDS } from '#core/thread/methods.table'
import { useJob } from '~/stores/job'
import PickField from '~/bench/PickField.vue'
import ReadingField from '~/bench/ReadingField.vue'
import StationFrame from '~/bench/StationFrame.vue'
import MendRow from '~/stations/mend/MendRow.vue'
import MendsAtOnce from '~/stations/mend/MendsAtOnce.vue'
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
const data = computed(() => store.plan?.rebuild.data)
const ways = computed(() =>
  (data.value?.boss?.ranked ?? []).map(row => ({
    ...row,
    id: row.method,
    name: BOSS_WORDS[row.method],
    tap: data.value?.back?.taps[row.method] ?? null,
  })),
)
const tick = (id: string, on: boolean) => {
  const done = store.job!.rebuild.listDone
  store.edit(['rebuild', 'listDone'], on ? [...done, id] : done.filter(each => each !== id))
}
const machined = computed(() => store.job!.rebuild.machined)
</script>

<template>
  <StationFrame id="rebuild">
    <template #above><MendRow /></template>
    <template #readings>
      <v-btn-toggle v-model="view" mandatory aria-label="What is rebuilt" class="views"
        ><v-btn v-for="(words, id) in VIEWS" :key="id" :value="id" :data-view="id">{{ words }}</v-btn></v-btn-toggle
      >
      <template v-if="view === 'thread' || view === 'slug' || view === 'list'">
        <WordsField path="rebuild.thread" />
        <ReadingField path="rebuild.threadDeepMm" />
        <ReadingField path="rebuild.bossMm" />
        <ReadingField path="rebuild.torqueNm" />
        <ReadingField path="rebuild.beneathMm" />
        <PickField path="rebuild.way" />
      </template>
      <template v-if="view === 'slug'">
        <WordsField path="rebuild.slugAlloy" />
        <ReadingField path="rebuild.slugMm" /><ReadingField path="rebuild.interferenceMm" />
        <ReadingField path="rebuild.clearanceMm" />
        <PickField path="rebuild.cold" />
        <ReadingField path="rebuild.hubC" />
        <ReadingField path="rebuild.chamferMm" /><ReadingField path="rebuild.facedMm" />
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
        <ReadingField path="rebuild.proudMm" />
      </template>
      <template v-if="view === 'dress' && !ofMends">
        <ReadingField path="rebuild.faceWidthMm" />
        <PickField path="rebuild.dressing" />
        <ReadingField path="rebuild.bentMm" /><ReadingField path="rebuild.bentOverMm" />
        <v-checkbox
          label="Dressed to size"
          :model-value="store.job!.rebuild.dressed"
          @update:model-value="store.edit(['rebuild', 'dressed'], $event === true)"
        />
      </template>
    </template>
    <template #piece="{ working }">
      <MendsAtOnce v-if="ofMends && view === 'dress'" station="rebuild" />
      <template v-else-if="view === 'thread'"
        ><BossSection v-if="data?.back" :back="data.back" /><BossWays :ways="ways"
      /></template>
      <template v-else-if="view === 'slug'"
        ><SlugPiece :found="data?.back?.slug ?? null" outlines @working="working"
      /></template>
      <MachiningPiece
        v-else-if="view === 'list'"
        :list="data?.back?.list ?? null"
        :done="store.job!.rebuild.listDone"
        @tick="tick"
      />
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
