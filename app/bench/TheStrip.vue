<script setup lang="ts">
import { onMounted, ref, watch } from 'vue'
import { STATION_IDS, STATION_NAMES, type StationId } from '#core/job/stations.table'
import { useJob } from '~/stores/job'

const props = defineProps<{ jobId: string; current: StationId }>()
const store = useJob()
const strip = ref<HTMLElement | null>(null)
/** On a narrow screen the strip is wider than the page: the station stands in its middle. */
function bringInView() {
  const here = strip.value?.querySelector<HTMLElement>('[aria-current]')
  if (here && strip.value!.scrollWidth > strip.value!.clientWidth)
    strip.value!.scrollLeft = here.offsetLeft - (strip.value!.clientWidth - here.offsetWidth) / 2
}
onMounted(bringInView)
watch(() => props.current, bringInView, { flush: 'post' })
</script>

<template>
  <nav ref="strip" class="strip no-print" aria-label="Stations">
    <NuxtLink
      v-for="(id, index) in STATION_IDS"
      :key="id"
      :to="`/job/${jobId}/${id}`"
      :aria-current="id === current ? 'step' : undefined"
      class="station"
      :class="{ current: id === current, settled: store.plan?.[id].settled, last: index === STATION_IDS.length - 1 }"
    >
      <span class="knot figure" aria-hidden="true">{{ index + 1 }}</span>
      <svg
        v-if="index < STATION_IDS.length - 1"
        class="bead"
        viewBox="0 0 18 100"
        preserveAspectRatio="none"
        aria-hidden="true"
      >
        <ellipse v-for="n in 9" :key="n" cx="9" :cy="n * 11 - 5" rx="5.5" ry="7" />
      </svg>
      <span class="name">{{ STATION_NAMES[id] }} <em v-if="store.plan?.[id].changed.length">stale</em></span>
      <span class="short">{{ store.plan?.[id].short ?? '' }}</span>
    </NuxtLink>
  </nav>
</template>

<style scoped>
.strip {
  border-right: 1px solid var(--hairline);
  padding: 8px 0;
  overflow-y: auto;
}
.station {
  display: grid;
  grid-template-columns: 48px 1fr;
  position: relative;
  min-height: 70px;
  padding: 12px 10px 10px 0;
  text-decoration: none;
  color: var(--soot) !important;
  align-content: start;
}
.station.current {
  background: var(--sheet);
  box-shadow: inset 4px 0 0 var(--chestnut);
}
.station:focus-visible {
  outline-offset: -3px;
}
.knot {
  grid-row: 1 / 3;
  justify-self: center;
  width: 20px;
  height: 20px;
  border-radius: 50%;
  border: 2px solid var(--slate);
  background: var(--paper);
  color: var(--slate);
  font-size: 0.68rem;
  display: grid;
  place-items: center;
  z-index: 1;
}
.bead {
  position: absolute;
  left: 15px;
  top: 30px;
  width: 18px;
  height: calc(100% - 28px);
  fill: none;
  stroke: var(--hairline);
  stroke-width: 1.2;
  overflow: visible;
}
.settled .knot {
  background: var(--slate);
  color: var(--paper);
}
.settled .bead {
  stroke: var(--slate);
}
.current .knot {
  background: var(--chestnut);
  border-color: var(--chestnut);
  color: var(--on-chestnut);
}
.name {
  font-weight: 650;
}
.name em {
  font-style: normal;
  color: var(--hazard-text);
  font-size: 0.82rem;
  font-weight: 650;
}
.short {
  grid-column: 2;
  font-size: 0.82rem;
  color: var(--slate);
  line-height: 1.3;
}
@media (max-width: 899px) {
  .strip {
    display: flex;
    border-right: 0;
    border-bottom: 1px solid var(--hairline);
    padding: 0;
    overflow-x: auto;
    position: sticky;
    top: 0;
    background: var(--paper);
    z-index: 4;
  }
  .station {
    min-height: 56px;
    min-width: 58px;
    padding: 7px 4px;
    grid-template-columns: 1fr;
    justify-items: center;
    flex: 0 0 auto;
  }
  .station.current {
    box-shadow: inset 0 -4px 0 var(--chestnut);
  }
  .bead,
  .short {
    display: none;
  }
  .knot {
    grid-row: auto;
  }
  .name {
    font-size: 0.74rem;
    font-weight: 550;
    white-space: nowrap;
  }
  .name em {
    font-size: 0.66rem;
  }
}
</style>
