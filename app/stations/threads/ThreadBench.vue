<script setup lang="ts">
import { computed } from 'vue'
import { download } from '~/composables/use-files'
import { useWords } from '~/composables/use-words'
import { useSettings } from '~/stores/settings'
import ThreadMap from './ThreadMap.vue'
import { useThreads } from './use-threads'

const settings = useSettings()
const { sayer } = useWords()
const { side, region, typed, picked, found, sizes, reason, measured, points, pitchMm } = useThreads(useRoute().query)
const best = computed(() => found.value?.ranked[0] ?? null)
async function saveCombs() {
  const { combPdf } = await import('#core/thread/comb-pdf')
  download('pitch-combs.pdf', await combPdf(sayer.value), 'application/pdf')
}
const percent = (share: number) => (share > 0.995 ? 'over 99 %' : `${Math.round(100 * share)} %`)
const FIELDS = [
  ['diameter', 'Diameter', 'outside of a bolt, bore of a hole'],
  ['pitch', 'Pitch', 'mm, or threads an inch'],
  ['flank', 'Flank angle', '60, 55 or 47.5°, by comb'],
  ['taper', 'Taper', '0° or 3.6°'],
  ['error', 'Caliper to', 'and wear'],
] as const
</script>

<template>
  <div class="page bench">
    <header>
      <p class="where">Threads</p>
      <h1 v-if="best" data-testid="thread-call">
        <b class="figure">{{ best.designation }}</b>, {{ percent(best.probability) }} sure: {{ best.note }}.
      </h1>
      <h1 v-else>What thread is this?</h1>
      <p v-if="reason" class="wrong" role="alert">{{ reason }}</p>
    </header>
    <section class="readings" aria-label="Measured">
      <v-btn-toggle v-model="side" mandatory aria-label="Side"
        ><v-btn value="male">a bolt</v-btn><v-btn value="female">a hole</v-btn></v-btn-toggle
      >
      <label v-for="[key, label, hint] in FIELDS" :key="key" class="field"
        ><span>{{ label }} <span class="quiet small">{{ hint }}</span></span
        ><input v-model="typed[key]" class="figure" maxlength="20" autocomplete="off" :data-testid="`thread-${key}`"
      /></label>
      <p class="label">Comes from</p>
      <v-btn-toggle v-model="region" mandatory aria-label="Comes from"
        ><v-btn value="any">anywhere</v-btn><v-btn value="metric">metric</v-btn><v-btn value="inch">inch</v-btn
        ><v-btn value="hydraulic">hydraulics</v-btn></v-btn-toggle
      >
      <p v-if="found" class="next">{{ found.next }}</p>
      <button type="button" class="plain-button slight" data-testid="comb" @click="saveCombs()">
        Pitch combs to print, 1:1
      </button>
    </section>
    <section class="piece" aria-label="Map of threads">
      <ThreadMap
        :points="points"
        :diameter-mm="measured?.diameterMm ?? null"
        :pitch-mm="pitchMm"
        :uncertainty-mm="measured?.uncertaintyMm ?? 0.1"
        :picked="picked"
        @pick="picked = $event"
      />
    </section>
    <section class="call" aria-label="Which it may be">
      <template v-if="found">
        <p class="label">It may be</p>
        <ol>
          <li v-for="entry in found.ranked.slice(0, 6)" :key="entry.designation">
            <button
              type="button"
              class="open-figure figure"
              :aria-pressed="entry.designation === picked"
              @click="picked = entry.designation"
            >
              {{ entry.designation }}
            </button>
            {{ percent(entry.probability)
            }}<span class="quiet small">, off by {{ settings.text(entry.diameterErrorMm, 'mm') }}</span>
          </li>
        </ol>
        <p v-if="found.confusable.length" class="look">
          <b>Looks the same:</b> {{ found.confusable.slice(0, 6).join(', ') }}. Try the real mating part before anything
          is drilled.
        </p>
      </template>
      <template v-if="sizes">
        <p class="label sizes">{{ sizes.designation }}</p>
        <table>
          <tbody>
            <tr>
              <th>Major</th>
              <td class="num">{{ settings.text(sizes.majorMm, 'mm') }}</td>
            </tr>
            <tr>
              <th>Pitch</th>
              <td class="num">{{ sizes.pitchMm.toFixed(3) }} mm · {{ sizes.tpi.toFixed(1) }} tpi</td>
            </tr>
            <tr>
              <th>Pitch diameter</th>
              <td class="num">{{ settings.text(sizes.pitchDiameterMm, 'mm') }}</td>
            </tr>
            <tr>
              <th>Minor, inside</th>
              <td class="num">{{ settings.text(sizes.minorInternalMm, 'mm') }}</td>
            </tr>
            <tr v-if="sizes.stressAreaMm2">
              <th>Stress area</th>
              <td class="num">{{ settings.text(sizes.stressAreaMm2, 'mm2') }}</td>
            </tr>
            <tr v-for="drill in sizes.tapDrills.slice(0, 4)" :key="drill.name">
              <th>Drill {{ drill.name }}</th>
              <td class="num">{{ Math.round(drill.threadPct) }} % of thread</td>
            </tr>
          </tbody>
        </table>
      </template>
      <p v-if="!found && !sizes" class="quiet">
        Put in a diameter; a pitch narrows it more than anything else. Tap a point of the map for its sizes.
      </p>
    </section>
  </div>
</template>

<style scoped>
.bench {
  max-width: none;
  display: grid;
  grid-template-columns: 260px minmax(0, 1fr) 290px;
  gap: 0 20px;
}
header {
  grid-column: 1 / -1;
  margin-bottom: 10px;
}
.where {
  margin: 0;
  font-weight: 650;
  color: var(--chestnut);
}
h1 {
  font-size: 1.42rem;
  font-weight: 550;
}
.piece {
  background: var(--sheet);
  border: 1px solid var(--hairline);
  padding: 12px;
}
.field {
  display: grid;
  grid-template-columns: 1fr 96px;
  align-items: center;
  border-bottom: 1px solid var(--hairline);
  min-height: var(--touch);
}
.field input {
  text-align: right;
  font-weight: 700;
  font-size: 1.1rem;
  min-height: var(--touch);
  background: var(--sheet);
  border: 1px solid var(--hairline);
  color: var(--soot);
  width: 100%;
  padding: 0 6px;
}
.next {
  margin-top: 12px;
  font-weight: 550;
}
.label {
  margin-top: 12px;
}
.look {
  color: var(--hazard-text);
}
.wrong {
  color: var(--stop);
}
ol {
  padding-left: 20px;
  margin: 0;
}
li {
  min-height: 30px;
}
@media (max-width: 1099px) {
  .bench {
    grid-template-columns: 250px minmax(0, 1fr);
  }
  .call {
    grid-column: 1 / -1;
  }
}
@media (max-width: 899px) {
  .bench {
    display: block;
  }
  .piece {
    margin: 14px 0;
  }
}
</style>
