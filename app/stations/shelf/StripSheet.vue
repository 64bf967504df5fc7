<script setup lang="ts">
import { STATION_HELP } from '#core/job/station-help.table'
import { STATION_IDS, STATION_NAMES } from '#core/job/stations.table'

/** The whole strip on one sheet of paper, to hang up over the bench. */
const print = () => window.print()
</script>

<template>
  <div class="page sheet">
    <div class="row no-print">
      <h1>The strip, to hang up</h1>
      <button type="button" class="plain-button strong" data-testid="print-strip" @click="print()">Print it</button>
    </div>
    <h2 class="only-print">From broken to handed over</h2>
    <ol>
      <li v-for="id in STATION_IDS" :key="id">
        <h2>{{ STATION_NAMES[id] }}</h2>
        <p>{{ STATION_HELP[id].purpose }}</p>
        <p><b>Put in:</b> {{ STATION_HELP[id].put }}</p>
        <p><b>A good answer:</b> {{ STATION_HELP[id].good }}</p>
      </li>
    </ol>
    <p class="foot">
      Wherever life rests on the part: local codes, the maker and licensed practice come first. A part for lifting,
      steering, braking, flying or holding pressure is sent on.
    </p>
  </div>
</template>

<style scoped>
.row {
  justify-content: space-between;
  flex-wrap: wrap;
}
ol {
  list-style: none;
  counter-reset: station;
  padding: 0;
  display: grid;
  grid-template-columns: repeat(3, minmax(0, 1fr));
  gap: 10px 18px;
}
li {
  counter-increment: station;
  border-top: 2px solid var(--soot);
  padding: 6px 0 0;
}
li h2::before {
  content: counter(station);
  font-family: var(--figures);
  margin-right: 8px;
  color: var(--chestnut);
}
h2 {
  font-size: 1.1rem;
}
p {
  margin: 4px 0;
}
.foot {
  border-top: 2px solid var(--soot);
  padding-top: 8px;
}
.only-print {
  display: none;
}
@media (max-width: 899px) {
  ol {
    grid-template-columns: minmax(0, 1fr);
  }
}
@media print {
  .only-print {
    display: block;
  }
  .sheet {
    max-width: none;
    padding: 0;
    font-size: 10.5pt;
  }
  ol {
    grid-template-columns: repeat(3, minmax(0, 1fr));
  }
  li {
    break-inside: avoid;
  }
}
</style>
