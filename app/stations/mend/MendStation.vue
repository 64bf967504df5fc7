<script setup lang="ts">
import { computed, ref } from 'vue'
import { STATION_NAMES } from '#core/job/stations.table'
import { mendCall } from '#core/plan/mends/mend-words'
import { stationSays } from '#core/plan/mends/station-says'
import { wayName } from '#core/mend/way-name'
import ReadingField from '~/bench/ReadingField.vue'
import SentenceLine from '~/bench/SentenceLine.vue'
import WordsField from '~/bench/WordsField.vue'
import WorkingDrawer from '~/bench/WorkingDrawer.vue'
import { useJob } from '~/stores/job'
import LaysField from './LaysField.vue'
import MendField from './MendField.vue'
import MendPiece from './MendPiece.vue'
import MendRow from './MendRow.vue'
import ArcReadings from '~/stations/weld/ArcReadings.vue'
import PassLog from '~/stations/weld/PassLog.vue'
import MendSays from './MendSays.vue'
import { useMends } from './use-mend'

/** A station for one mend: the row above, then its readings, the piece and the call. */
const props = defineProps<{ station: 'open' | 'weld' | 'rebuild' }>()
const store = useJob()
const { current, row, fields, ofWay, remove, move } = useMends()
/** Whether it is opened at all: what is only pressed back is not. */
const isOpened = computed(() => {
  const planned = row.value?.planned
  return !planned || current.value!.opened || planned.opening.length > 0 || planned.volumeMm3 > 0
})
const shown = ref<string | null>(null)
const workings = computed(() => (row.value ? stationSays(row.value, props.station).workings : {}))
</script>

<template>
  <div class="one">
    <MendRow />
    <div v-if="current && row" :key="current.id" class="station">
      <header>
        <p class="where">{{ STATION_NAMES[props.station] }}</p>
        <h1 data-testid="call"><SentenceLine :sentence="mendCall(row, props.station)" /></h1>
        <div class="row no-print">
          <button
            type="button"
            class="plain-button slight"
            aria-label="Earlier in the row"
            @click="move(current.id, -1)"
          >
            ←
          </button>
          <button type="button" class="plain-button slight" aria-label="Later in the row" @click="move(current.id, 1)">
            →
          </button>
          <button type="button" class="plain-button slight" data-testid="drop-mend" @click="remove(current.id)">
            Take it off
          </button>
        </div>
      </header>
      <section class="readings" aria-label="Seen and measured">
        <p class="label">Seen and measured</p>
        <MendField v-for="{ key, field, path } in fields" :key="key" :field="field" :path="path" />
        <details v-if="props.station === 'rebuild' && ofWay.length" open>
          <summary>{{ wayName(current.kind, row.planned!.way!) }}</summary>
          <MendField v-for="{ key, field, path } in ofWay" :key="key" :field="field" :path="path" />
        </details>
        <ReadingField path="takeIn.wallMm" />
        <template v-if="current.kind === 'joint'">
          <WordsField :path="`mends.#${current.id}.other.alloy`" label="The other piece is of" :max="40" />
          <ReadingField :path="`mends.#${current.id}.other.wallMm`" unit="mm" label="Its wall" note="empty: the same" />
        </template>
        <v-checkbox
          v-if="isOpened"
          label="Open already, or laid over as it is"
          :model-value="current.opened"
          @update:model-value="store.edit(['mends', `#${current!.id}`, 'opened'], $event === true)"
        />
        <WordsField :path="`mends.#${current.id}.name`" label="Its name, such as drain boss" :max="80" />
        <template v-if="props.station === 'weld'">
          <LaysField :mend="current" />
          <details v-if="row.setUps.length">
            <summary>On the machine, for the whole part</summary>
            <ArcReadings
              :processes="row.setUps.map(setUp => setUp.process)"
              :apart="row.setUps.some(setUp => setUp.set.machine?.halves === 'apart')"
            />
          </details>
        </template>
      </section>
      <section class="piece" aria-label="The piece">
        <MendPiece :row="row" :station="props.station" @working="shown = $event" /><PassLog
          v-if="props.station === 'weld'"
          :mend="current.id"
        />
      </section>
      <MendSays class="call" :row="row" :station="props.station" @working="shown = $event" />
      <WorkingDrawer :workings="workings" :shown="shown" @close="shown = null" />
    </div>
  </div>
</template>

<style scoped>
.station {
  display: grid;
  grid-template-columns: 280px minmax(0, 1fr) 296px;
}
header {
  grid-column: 1 / -1;
  padding: 10px 24px 12px;
  display: grid;
  grid-template-columns: minmax(0, 1fr) auto;
  column-gap: 20px;
}
.where {
  grid-column: 1 / -1;
  margin: 0;
  font-weight: 650;
  color: var(--chestnut);
  font-size: 0.95rem;
}
h1 {
  font-size: 1.42rem;
  font-weight: 550;
}
h1 :deep(.figure) {
  font-weight: 700;
}
.readings {
  padding: 6px 18px 90px 24px;
}
.piece {
  background: var(--sheet);
  border: 1px solid var(--hairline);
  border-bottom: 0;
  padding: 12px 20px 90px;
}
.call {
  padding: 6px 22px 90px 18px;
}
@media (max-width: 1179px) {
  .station {
    grid-template-columns: minmax(240px, 300px) minmax(0, 1fr);
  }
  .call {
    grid-column: 1 / -1;
    padding-left: 24px;
  }
}
@media (max-width: 899px) {
  .station,
  header {
    display: block;
  }
  .readings,
  .call,
  header {
    padding: 10px 16px;
  }
  .piece {
    padding: 12px;
    border-left: 0;
    border-right: 0;
  }
}
</style>
