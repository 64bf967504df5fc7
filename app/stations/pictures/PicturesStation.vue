<script setup lang="ts">
import { computed, nextTick, onMounted, ref } from 'vue'
import { useEventListener } from '@vueuse/core'
import { PICTURE_STAGES } from '#core/job/picture.schema'
import { dropShared, sharedPictures } from '~/screens/shared-pictures'
import { typingNow } from '~/composables/typing'
import { useJob } from '~/stores/job'
import CardPrint from './CardPrint.vue'
import LensSetup from './LensSetup.vue'
import LiveCamera from './LiveCamera.vue'
import PictureDesk from './PictureDesk.vue'
import PictureFacts from './PictureFacts.vue'
import PictureReads from './PictureReads.vue'
import TwinTemplate from './TwinTemplate.vue'
import { useAddPictures } from './use-add-pictures'
import { useDesk } from './use-desk'
import { usePicture } from './use-picture'
import { useReading } from './use-reading'

const store = useJob()
const route = useRoute()
const router = useRouter()
/** A picture taken at another station is opened, and looked over for its card. */
const fresh = typeof route.query.new === 'string' ? route.query.new : null
const chosen = ref<string | null>(fresh ?? store.job!.pictures[0]?.id ?? null)
const current = computed(() =>
  store.job!.pictures.some(picture => picture.id === chosen.value)
    ? chosen.value
    : (store.job!.pictures[0]?.id ?? null),
)
const open = usePicture(current)
const pair = usePicture(computed(() => open.picture.value?.pair ?? null))
const desk = useDesk(open)
const reading = useReading(open, desk)
const live = ref(false)
const { report, take, fromInput, fromDrop, fromPaste } = useAddPictures(async id => {
  chosen.value = id
  await nextTick()
  void reading.card(true)
})
onMounted(() => {
  if (fresh !== null && current.value === fresh) void reading.card(true)
  if (route.query.shared) void takeShared()
})
/** Pictures that the gallery shared to this job. */
async function takeShared() {
  await take(await sharedPictures())
  await dropShared()
  await router.replace({ query: {} })
}
useEventListener(document, 'paste', event => {
  if (!typingNow(event as unknown as KeyboardEvent)) fromPaste(event)
})
const dropping = ref(false)
function dropped(event: DragEvent) {
  dropping.value = false
  fromDrop(event)
}
function remove() {
  store.edit(
    ['pictures'],
    store.job!.pictures.filter(picture => picture.id !== current.value),
  )
  chosen.value = null
}
</script>

<template>
  <div
    class="station"
    :class="{ 'with-picture': open.picture.value }"
    @dragover.prevent="dropping = true"
    @dragleave="dropping = false"
    @drop.prevent="dropped"
  >
    <header>
      <p class="where"><NuxtLink :to="`/job/${store.job!.id}/open`">Open</NuxtLink> · pictures</p>
      <h1>
        {{ open.picture.value ? 'Set the scale, then trace what is cracked, holed or gone.' : 'No picture of it yet.' }}
      </h1>
      <div class="row no-print">
        <label class="plain-button strong"
          >A picture from a file<input
            class="visually-hidden"
            type="file"
            accept="image/*"
            multiple
            data-testid="add-picture"
            @change="fromInput"
        /></label>
        <label class="plain-button"
          >Camera<input class="visually-hidden" type="file" accept="image/*" capture="environment" @change="fromInput"
        /></label>
        <button type="button" class="plain-button" data-testid="live" @click="live = true">Live, with the card</button>
        <CardPrint v-if="!open.picture.value" />
        <span class="quiet small">or paste one, or drop it here</span>
      </div>
      <LiveCamera v-if="live" v-model="live" @taken="take([$event])" />
      <p v-if="report" class="wrong" role="alert">{{ report }}</p>
    </header>
    <section v-if="open.picture.value" :key="`facts${current}`" class="readings" aria-label="Marked and measured">
      <nav v-if="store.job!.pictures.length" class="list" aria-label="Pictures">
        <button
          v-for="picture in store.job!.pictures"
          :key="picture.id"
          type="button"
          class="plain-button slight"
          :aria-current="picture.id === current"
          @click="chosen = picture.id"
        >
          {{ picture.name || 'unnamed' }} <span class="quiet small">{{ PICTURE_STAGES[picture.stage] }}</span>
        </button>
      </nav>
      <PictureFacts :open="open" :desk="desk" :reading="reading" />
      <p v-if="open.picture.value.lens" class="small quiet">Straightened: {{ open.picture.value.lens }}.</p>
      <LensSetup />
      <button type="button" class="plain-button slight" @click="remove()">Take this picture off the job</button>
    </section>
    <section v-if="open.picture.value" class="piece" :class="{ dropping }" aria-label="The picture">
      <p v-if="open.gone.value" class="wrong">
        The picture itself is not on this bench: what was marked on it is. Bring the job in from its zip.
      </p>
      <PictureReads :open="open" :desk="desk" :reading="reading" />
      <PictureDesk :key="current ?? ''" :open="open" :desk="desk" />
      <figure v-if="pair.picture.value && pair.address.value" class="pair">
        <img :src="pair.address.value" :alt="pair.picture.value.name" />
        <figcaption class="small quiet">
          {{ PICTURE_STAGES[pair.picture.value.stage] }}: {{ pair.picture.value.name }}
        </figcaption>
      </figure>
      <TwinTemplate />
    </section>
  </div>
</template>

<style scoped>
.station {
  display: grid;
  grid-template-columns: 300px minmax(0, 1fr);
  grid-template-rows: auto 1fr;
}
header {
  grid-column: 1 / -1;
  padding: 10px 24px;
}
.list {
  display: flex;
  gap: 6px;
  flex-wrap: wrap;
  margin-bottom: 14px;
}
.list [aria-current='true'] {
  border-color: var(--soot);
  box-shadow: inset 0 -3px 0 var(--chestnut);
}
.where {
  margin: 0;
  font-weight: 650;
  color: var(--chestnut);
  font-size: 0.95rem;
}
h1 {
  font-size: 1.3rem;
  font-weight: 550;
  margin-bottom: 8px;
}
.wrong {
  color: var(--stop);
}
.readings {
  padding: 0 18px 90px 24px;
}
.piece {
  background: var(--sheet);
  border: 1px solid var(--hairline);
  padding: 12px 16px 90px;
}
.dropping {
  outline: 3px dashed var(--chestnut);
  outline-offset: -6px;
}
.pair {
  margin: 12px 0;
}
.pair img {
  max-width: 100%;
  max-height: 300px;
  border: 1px solid var(--soot);
}
@media (max-width: 899px) {
  .station {
    display: flex;
    flex-direction: column;
  }
  header {
    padding: 8px 16px;
  }
  /* On a phone the picture comes before the buttons. */
  .with-picture header {
    display: contents;
  }
  .with-picture header .where,
  .with-picture header h1 {
    padding: 4px 16px 0;
  }
  .with-picture header .row {
    order: 3;
    padding: 0 16px 90px;
  }
  .piece {
    display: flex;
    flex-direction: column;
  }
  .piece :deep([aria-label='Read off the picture']) {
    order: 1;
  }
  .pair,
  .piece :deep(.twin) {
    order: 2;
  }
  .readings {
    order: 2;
    padding: 8px 16px 90px;
  }
  .piece {
    order: 1;
    padding: 8px;
  }
}
</style>
