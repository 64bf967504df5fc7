<script setup lang="ts">
import { computed, onMounted, ref, watch } from 'vue'
import { MARK_WORDS } from '#core/puddle/trainer/advice'
import { LESSONS } from '#core/puddle/trainer/lessons.table'
import type { TrainedJob } from '#core/job/trained.schema'
import { useSettings } from '~/stores/settings'
import RunChart from './RunChart.vue'
import { useArcHum } from './use-arc-hum'
import { useTrainer } from './use-trainer'

const props = defineProps<{ job?: TrainedJob | { wants: string } | null; first?: string | undefined }>()
const settings = useSettings()
const stage = ref<HTMLElement | null>(null)
const canvas = ref<HTMLCanvasElement | null>(null)
const trainer = useTrainer(stage, canvas)
const { lesson, state, shown, marks, trace, judged, hand, replayed, earlier, showCut, cutCanvas, trouble, notKept } =
  trainer
const { at, arcMm, setA, mostA, nowA, on, dipping } = hand
const chosen = ref(props.first ?? (props.job ? 'this-job' : 'puddle'))
const jobLesson = computed(() => (props.job && !('wants' in props.job) ? props.job : null))
const wants = computed(() => (props.job && 'wants' in props.job ? props.job.wants : null))
const choices = computed(() => [
  ...(jobLesson.value ? [{ value: 'this-job', title: `This job: ${jobLesson.value.title}` }] : []),
  ...LESSONS.map(({ id, title }, n) => ({ value: id, title: `${n + 1}. ${title}` })),
])
const torch = computed(() => replayed.value ?? { ...at.value, a: nowA.value, arcMm: arcMm.value })
const { humOn } = useArcHum(torch)
const bad = computed(() => marks.value.filter(mark => mark.code !== 'wetted' && mark.code !== 'puddle'))
const lastMark = computed(() => marks.value.at(-1) ?? null)
const nextLesson = computed(() => {
  const index = LESSONS.findIndex(({ id }) => id === chosen.value)
  return LESSONS[index + 1]?.id ?? null
})
const goals = computed(
  () => judged.value?.goals ?? lesson.value?.goals.map(goal => ({ ...goal, met: null, got: '' })) ?? [],
)
const passed = computed(() => judged.value?.goals.every(goal => goal.met) ?? false)

async function choose() {
  const job = jobLesson.value
  if (chosen.value === 'this-job' && !job) chosen.value = 'puddle'
  if (job?.mostA) mostA.value = job.mostA
  await trainer.begin(chosen.value === 'this-job' && job ? job : chosen.value)
}
onMounted(choose)
watch(chosen, choose)
/** Keys go to the plate again once the button has done its work. */
function toggleArc() {
  hand.toggle()
  stage.value?.focus({ preventScroll: true })
}
function goOn() {
  chosen.value = nextLesson.value!
}
</script>

<template>
  <div class="trainer">
    <header>
      <h1>The puddle</h1>
      <v-select
        v-model="chosen"
        :items="choices"
        label="Lesson"
        density="compact"
        hide-details
        class="choose"
        data-testid="lesson"
      />
      <p v-if="wants" class="small quiet">To train on this job it wants {{ wants }}.</p>
    </header>
    <p v-if="trouble" role="alert" class="wrong">The lesson broke off: {{ trouble }}. Begin it once more.</p>
    <p v-if="notKept" role="alert" class="wrong">This run is not kept: {{ notKept }}.</p>
    <section v-if="lesson" class="words" aria-label="The lesson">
      <ol>
        <li v-for="words in lesson.look" :key="words">{{ words }}</li>
      </ol>
      <p class="label">It is passed with</p>
      <ul class="goals">
        <li
          v-for="goal in goals"
          :key="goal.id"
          :class="goal.met === null ? '' : goal.met ? 'met' : 'missed'"
          :data-testid="`goal-${goal.id}`"
        >
          {{ goal.words }}
          <b v-if="goal.met !== null" class="figure">{{ goal.met ? '✓' : '✗' }} {{ goal.got }}</b>
        </li>
      </ul>
      <p v-if="judged" class="advice" role="status" data-testid="advice">
        {{ judged.advice ?? 'Passed.' }}
      </p>
      <table v-if="earlier.length" class="small" data-testid="earlier">
        <caption>
          Runs before
        </caption>
        <tbody>
          <tr v-for="run in earlier" :key="run.id">
            <td>{{ run.at.slice(0, 10) }}</td>
            <td class="num">{{ run.met }} of {{ run.of }}</td>
            <td class="num">{{ run.seconds.toFixed(0) }} s</td>
            <td>{{ run.dips ? `${run.wetted} of ${run.dips} dips` : '' }}</td>
            <td>{{ run.specks ? `${run.specks} specks` : '' }}</td>
            <td>
              <button
                v-if="run.hand && state !== 'running'"
                type="button"
                class="plain-button slight"
                :aria-label="`Play the run of ${run.at.slice(0, 16).replace('T', ' ')} again`"
                data-testid="play-earlier"
                @click="trainer.playEarlier(run)"
              >
                Play
              </button>
            </td>
          </tr>
        </tbody>
      </table>
    </section>
    <section v-if="lesson" class="bench" aria-label="The plate">
      <div
        ref="stage"
        class="stage"
        tabindex="0"
        role="application"
        :style="{ aspectRatio: `${lesson.wideMm} / ${lesson.deepMm}` }"
        aria-label="The plate seen through the glass. Arrow keys move the torch, Enter lights and puts out the arc, Space dips the rod, S lets the pedal up, plus and minus the current, Q and E the arc’s length."
        data-testid="stage"
        @pointerdown.prevent="hand.down"
        @pointermove="hand.move"
        @pointerup="hand.up"
        @pointercancel="hand.up"
        @wheel.prevent="hand.wheel"
        @contextmenu.prevent
      >
        <canvas ref="canvas" />
        <svg :viewBox="`0 0 ${lesson.wideMm} ${lesson.deepMm}`" aria-hidden="true">
          <defs>
            <radialGradient id="arc-light">
              <stop offset="0" stop-color="#fff" stop-opacity="0.95" />
              <stop offset="0.25" stop-color="#cfe3ff" stop-opacity="0.55" />
              <stop offset="1" stop-color="#9fc4ff" stop-opacity="0" />
            </radialGradient>
          </defs>
          <polyline class="way" :points="lesson.way.map(point => point.join(',')).join(' ')" />
          <polyline v-if="state === 'judged'" class="trace" :points="trace.map(point => point.join(',')).join(' ')" />
          <g v-if="state === 'judged'">
            <circle v-for="(mark, n) in bad" :key="n" class="mark" :cx="mark.xMm" :cy="mark.yMm" r="1.1" />
          </g>
          <line
            v-if="dipping > 0"
            class="rod"
            :x1="torch.xMm + 22"
            :y1="torch.yMm + 11"
            :x2="torch.xMm + 2.4"
            :y2="torch.yMm + 1.2"
          />
          <circle
            v-if="torch.a > 0"
            :cx="torch.xMm"
            :cy="torch.yMm"
            :r="1.6 + torch.arcMm * 0.6"
            fill="url(#arc-light)"
          />
          <g class="cross" :transform="`translate(${torch.xMm} ${torch.yMm})`">
            <circle r="3.2" />
            <path d="M-4.6 0H-2M2 0H4.6M0 -4.6V-2M0 2V4.6" />
          </g>
        </svg>
        <p v-if="state === 'ready'" class="over">Begin, then hold the button down on the plate (or press Enter).</p>
        <p v-else-if="lastMark && state !== 'judged'" class="over said" data-testid="said">
          {{ MARK_WORDS[lastMark.code] }}
        </p>
      </div>
      <div v-show="showCut" class="cut">
        <canvas ref="cutCanvas" role="img" aria-label="The plate cut along the way under the torch" />
      </div>
      <dl v-if="shown" class="readings figure" data-testid="live">
        <div>
          <dt>time</dt>
          <dd>{{ shown.s.toFixed(1) }} s</dd>
        </div>
        <div>
          <dt>current</dt>
          <dd>{{ Math.round(torch.a) }} A</dd>
        </div>
        <div>
          <dt>pedal</dt>
          <dd>{{ Math.round(setA) }} A</dd>
        </div>
        <div>
          <dt>puddle</dt>
          <dd>{{ shown.widthMm ? settings.text(shown.widthMm, 'mm') : 'none' }}</dd>
        </div>
        <div>
          <dt>deep</dt>
          <dd>{{ shown.depthMm ? settings.text(shown.depthMm, 'mm') : '–' }}</dd>
        </div>
        <div>
          <dt>far corner</dt>
          <dd>{{ settings.text(shown.partC, 'c') }}</dd>
        </div>
      </dl>
      <div class="row go">
        <button
          v-if="state !== 'running'"
          type="button"
          class="plain-button strong"
          data-testid="start"
          @click="trainer.start()"
        >
          {{ state === 'judged' ? 'Again' : 'Begin' }}
        </button>
        <button v-else type="button" class="plain-button strong" data-testid="finish" @click="trainer.finish()">
          Done: judge it
        </button>
        <button
          v-if="state === 'judged'"
          type="button"
          class="plain-button"
          data-testid="replay"
          @click="trainer.playAgain()"
        >
          Play it again
        </button>
        <button v-if="passed && nextLesson" type="button" class="plain-button" @click="goOn()">Next lesson</button>
      </div>
      <div class="row hands">
        <label class="pedal">
          <span class="small">pedal gives</span>
          <input v-model.number="setA" type="range" min="10" :max="mostA" step="5" data-testid="pedal" />
          <b class="figure">{{ Math.round(setA) }} A</b>
        </label>
        <label class="pedal">
          <span class="small">arc</span>
          <input v-model.number="arcMm" type="range" min="0.5" max="18" step="0.5" data-testid="arc" />
          <b class="figure">{{ settings.text(arcMm, 'mm') }}</b>
        </label>
        <button type="button" class="plain-button" data-testid="dip" @click="hand.dip()">Dip the rod</button>
        <button type="button" class="plain-button" :aria-pressed="on" data-testid="arc-on" @click="toggleArc()">
          {{ on ? 'Arc off' : 'Arc on' }}
        </button>
        <button type="button" class="plain-button slight" data-testid="let-up" @click="hand.letUp()">
          Let up slowly
        </button>
        <span class="row">
          <v-checkbox v-model="showCut" label="cut" density="compact" hide-details />
          <v-checkbox v-model="humOn" label="sound" density="compact" hide-details data-testid="hum" />
        </span>
      </div>
      <ul class="keys only-with-keys small" aria-label="Keys at the plate" data-testid="trainer-keys">
        <li><kbd>↑ ↓ ← →</kbd> move the torch; with <kbd>Shift</kbd> slowly</li>
        <li><kbd>Enter</kbd> arc on and off</li>
        <li><kbd>Space</kbd> dip the rod</li>
        <li><kbd>+</kbd> <kbd>−</kbd> or the wheel: current</li>
        <li><kbd>q</kbd> <kbd>e</kbd> or Shift and the wheel: arc shorter, longer</li>
        <li><kbd>s</kbd> let the pedal up slowly</li>
      </ul>
      <RunChart v-if="judged" :judged="judged" />
      <p class="small quiet caution">
        A trainer for the eye and the order of things. It replaces no instruction, no helmet and no licensed practice;
        local rules and the maker’s come first.
      </p>
    </section>
  </div>
</template>

<style scoped>
.trainer {
  display: grid;
  grid-template-columns: 320px minmax(0, 1fr);
  gap: 0 24px;
  padding: 12px 24px 90px;
  max-width: 1400px;
}
header {
  grid-column: 1 / -1;
  display: flex;
  gap: 24px;
  align-items: center;
  flex-wrap: wrap;
  margin-bottom: 12px;
}
h1 {
  font-size: 1.3rem;
  margin: 0;
}
.choose {
  max-width: 420px;
}
ol {
  padding-left: 20px;
  margin: 0 0 12px;
}
ol li {
  margin-bottom: 6px;
}
.goals {
  list-style: none;
  padding: 0;
}
.goals li {
  border-left: 3px solid var(--hairline);
  padding: 3px 10px;
  margin-bottom: 4px;
}
.goals .met {
  border-color: var(--new-metal);
}
.goals .missed {
  border-color: var(--stop);
}
.goals b {
  display: block;
}
.advice {
  font-weight: 600;
  margin: 10px 0;
}
.row {
  gap: 8px;
  align-items: center;
}
table {
  margin-top: 14px;
}
caption {
  text-align: left;
  font-weight: 600;
}
.stage {
  position: relative;
  width: 100%;
  max-width: calc(46vh * 1.5);
  background: #0b0b0d;
  touch-action: none;
  cursor: none;
  overflow: hidden;
  margin: 0 auto;
}
.stage canvas,
.stage svg {
  position: absolute;
  inset: 0;
  width: 100%;
  height: 100%;
}
.way {
  fill: none;
  stroke: #e8c9a0;
  stroke-opacity: 0.35;
  stroke-width: 0.3;
  stroke-dasharray: 1.2 1;
}
.trace {
  fill: none;
  stroke: #74bcd8;
  stroke-width: 0.35;
  stroke-opacity: 0.8;
}
.mark {
  fill: none;
  stroke: #f28b80;
  stroke-width: 0.4;
}
.rod {
  stroke: #c9cdd1;
  stroke-width: 1.4;
  stroke-linecap: round;
}
.cross {
  fill: none;
  stroke: #e8dccb;
  stroke-width: 0.22;
  stroke-opacity: 0.75;
}
.over {
  position: absolute;
  left: 12px;
  bottom: 8px;
  margin: 0;
  color: #efe7da;
  text-shadow: 0 0 4px #000;
}
.said {
  font-weight: 650;
}
.cut {
  background: #0b0b0d;
  max-width: calc(46vh * 1.5);
  margin: 4px auto 0;
}
.cut canvas {
  width: 100%;
  display: block;
}
.go {
  margin-top: 10px;
}
.hands {
  flex-wrap: wrap;
  margin: 10px 0;
}
.keys {
  list-style: none;
  display: flex;
  flex-wrap: wrap;
  gap: 2px 16px;
  padding: 0;
  margin: 8px 0;
}
.keys kbd {
  font-family: var(--figures);
  border: 1px solid var(--slate);
  padding: 0 5px;
}
.pedal {
  display: flex;
  gap: 8px;
  align-items: center;
  min-height: var(--touch);
}
.pedal input {
  width: 110px;
  accent-color: var(--chestnut);
}
.readings {
  display: flex;
  flex-wrap: wrap;
  gap: 2px 18px;
  margin: 6px 0;
}
.readings dt {
  font-family: var(--words);
  font-size: 0.85rem;
  color: var(--slate);
}
.readings dd {
  font-weight: 700;
  margin: 0;
  min-width: 4.5em;
}
@media (max-width: 899px) {
  .trainer {
    display: flex;
    flex-direction: column;
    padding: 8px 12px 90px;
  }
  .bench {
    order: 1;
  }
  .words {
    order: 2;
  }
  .pedal input {
    width: 110px;
  }
}
</style>
