<script setup lang="ts">
import { onMounted, ref, watch } from 'vue'
import { useEventListener, useResizeObserver } from '@vueuse/core'
import { STATION_IDS, STATION_NAMES, type StationId } from '#core/job/stations.table'
import { useJob } from '~/stores/job'
import { useScreens } from '~/stores/screens'

const props = defineProps<{ jobId: string; current: StationId }>()
const store = useJob()
const screens = useScreens()
const strip = ref<HTMLElement | null>(null)
/** On a narrow screen a few stations show at a time, each whole; whether there are more on either side. */
const more = ref({ before: false, after: false })
function lookAround() {
  const { scrollLeft = 0, scrollWidth = 0, clientWidth = 0 } = strip.value ?? {}
  more.value = { before: scrollLeft > 4, after: scrollLeft + clientWidth < scrollWidth - 4 }
}
/** The station stands in the strip's middle. */
function bringInView() {
  const here = strip.value?.querySelector<HTMLElement>('[aria-current]')
  if (here && strip.value!.scrollWidth > strip.value!.clientWidth)
    strip.value!.scrollLeft = here.offsetLeft - (strip.value!.clientWidth - here.offsetWidth) / 2
  lookAround()
}
const turn = (way: -1 | 1) => strip.value?.scrollBy({ left: way * strip.value.clientWidth, behavior: 'smooth' })
onMounted(bringInView)
useResizeObserver(strip, bringInView)
useEventListener(strip, 'scroll', lookAround, { passive: true })
watch(() => props.current, bringInView, { flush: 'post' })
</script>

<template>
  <div class="holder no-print">
    <button type="button" class="turn" :class="{ none: !more.before }" aria-label="Stations before" @click="turn(-1)">
      ‹
    </button>
    <nav ref="strip" class="strip" aria-label="Stations">
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
        <span v-if="screens.whoIsAt(`/job/${jobId}/${id}`).length" class="who" data-testid="who" translate="no">{{
          screens.whoIsAt(`/job/${jobId}/${id}`).join(', ')
        }}</span>
      </NuxtLink>
    </nav>
    <button type="button" class="turn" :class="{ none: !more.after }" aria-label="Stations after" @click="turn(1)">
      ›
    </button>
  </div>
</template>

<style scoped>
.strip {
  border-right: 1px solid var(--hairline);
  padding: 8px 0;
  overflow-y: auto;
  height: 100%;
}
.turn {
  display: none;
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
.who {
  grid-column: 2;
  justify-self: start;
  font-size: 0.78rem;
  font-weight: 600;
  padding: 0 6px;
  border: 1px solid var(--slate);
}
@media (max-width: 899px) {
  .holder {
    display: flex;
    position: sticky;
    top: 0;
    z-index: 6;
    background: var(--paper);
    border-bottom: 1px solid var(--hairline);
  }
  .strip {
    display: flex;
    flex: 1;
    min-width: 0;
    border-right: 0;
    padding: 0;
    overflow-x: auto;
    scroll-snap-type: x mandatory;
    scrollbar-width: none;
    container-type: inline-size;
  }
  /* Their room stays: were the strip to grow at its end, it would go back to where it stood. */
  .turn.none {
    visibility: hidden;
  }
  .turn {
    display: block;
    flex: 0 0 30px;
    border: 0;
    background: none;
    color: var(--chestnut);
    font: inherit;
    font-size: 1.5rem;
    cursor: pointer;
  }
  /* As many as fit, each whole. */
  .station {
    flex: 0 0 20%;
    min-height: 58px;
    min-width: 0;
    padding: 6px 2px;
    grid-template-columns: 1fr;
    justify-items: center;
    scroll-snap-align: start;
  }
  @container (min-width: 560px) {
    .station {
      flex-basis: calc(100% / 9);
    }
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
    font-size: 0.78rem;
    font-weight: 550;
    line-height: 1.15;
    text-align: center;
  }
  .name em {
    display: block;
    font-size: 0.68rem;
  }
}
</style>
