<script setup lang="ts">
import { computed, ref } from 'vue'
import { STATION_NAMES } from '#core/job/stations.table'
import { mendCall } from '#core/station/mends/mend-words'
import SentenceLine from '~/bench/SentenceLine.vue'
import WorkingDrawer from '~/bench/WorkingDrawer.vue'
import PassLog from '~/stations/weld/PassLog.vue'
import MendHands from './MendHands.vue'
import MendPiece from './MendPiece.vue'
import MendReadings from './MendReadings.vue'
import MendRow from './MendRow.vue'
import MendSays from './MendSays.vue'
import { useMends } from './use-mend'

/** A station for one mend of several: the row above, then its readings, the piece and the call. */
const props = defineProps<{ station: 'open' | 'weld' | 'rebuild' }>()
const { current, row } = useMends()
const shown = ref<string | null>(null)
const workings = computed(() => row.value?.says[props.station].workings ?? {})
</script>

<template>
  <div class="one">
    <MendRow />
    <div v-if="current && row" :key="current.id" class="station">
      <header>
        <p class="where">{{ STATION_NAMES[props.station] }}</p>
        <h1 data-testid="call">
          <SentenceLine :sentence="mendCall(row, props.station)" @working="shown = $event" />
        </h1>
        <MendHands />
      </header>
      <section class="readings" aria-label="Seen and measured">
        <p class="label">Seen and measured</p>
        <MendReadings :station="props.station" />
      </section>
      <section class="piece" aria-label="The piece">
        <MendPiece :row="row" :station="props.station" @working="shown = $event" />
        <PassLog v-if="props.station === 'weld'" :mend="current.id" />
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
