<script setup lang="ts">
import { computed, watch } from 'vue'
import { format } from 'date-fns'
import { onKeyStroke } from '@vueuse/core'
import { mendNamed } from '#core/job/mend-named'
import { SEEN_IN_PUDDLE, type SeenInPuddle } from '#core/job/words.table'
import { firstToLay } from '#core/station/mends/mend-row'
import { capital } from '#core/station/parts'
import { typingNow } from '~/composables/typing'
import { useJob } from '~/stores/job'
import { useAddPictures } from '~/stations/pictures/use-add-pictures'
import { useInstruments } from '~/stores/instruments'
import { useSettings } from '~/stores/settings'
import { useArcClock } from './use-arc-clock'
import { usePuddleLog } from './use-puddle-log'
import { useWhatIsLeft } from './use-what-is-left'

const store = useJob()
const route = useRoute()
const {
  mend,
  row,
  settings: set,
  passes,
  next: pass,
  log,
  move,
  tick,
  saw,
  note,
  pictured,
} = usePuddleLog(
  computed(() => {
    if (typeof route.query.mend === 'string') return route.query.mend
    return (store.plan && firstToLay(store.plan)?.id) ?? null
  }),
)
const interpass = computed(() => row.value?.interpass ?? null)
const named = computed(() => mendNamed(store.job!, mend.value?.id))
const back = computed(() => ({ path: `/job/${store.job!.id}/weld`, query: mend.value ? { mend: mend.value.id } : {} }))
const { running, face, toggle, spans, nowMs, arcMin, slept, wentOn, stopped } = useArcClock()
const at = (ms: number) => format(new Date(ms), 'HH:mm')
const { duty, gas, daylight } = useWhatIsLeft(row, spans, nowMs, arcMin)
const { report, fromInput } = useAddPictures(pictured)
const instruments = useInstruments()
const settings = useSettings()
/** Laid to the last: the arc is off, and what comes next is another mend, or rebuilding. */
const allLaid = computed(() => passes.value.length > 0 && pass.value === null)
const nextMend = computed(() => {
  const row = store.plan && firstToLay(store.plan)
  return row && row.id !== mend.value?.id && row.log.passes.some(each => !each.done) ? row.id : null
})
watch(allLaid, laid => {
  if (laid && running.value) toggle()
})
const KINDS = { root: 'root', fill: 'fill', cap: 'cap' }
const BUTTONS = Object.entries(SEEN_IN_PUDDLE).map(([id, { name }], n) => ({
  id: id as SeenInPuddle,
  name,
  key: 'qertyiopasd'[n]!,
}))
onKeyStroke(
  event => event.key.length === 1 || event.key === 'Enter',
  event => {
    if (typingNow(event) || (event.key === 'Enter' && (event.target as HTMLElement | null)?.closest('button, a')))
      return
    const button = BUTTONS.find(entry => entry.key === event.key)
    if (button) saw(button.id)
    else if (event.key === ' ') toggle()
    else if (event.key === 'Enter' && pass.value) tick(pass.value.number, true)
    else return
    event.preventDefault()
  },
)
</script>

<template>
  <div v-if="store.plan" class="mode">
    <header>
      <NuxtLink class="plain-button slight" :to="back">Back</NuxtLink>
      <p v-if="pass" class="pass">
        <span v-if="mend" translate="no">{{ named }}: </span>Pass <b class="figure">{{ pass.number }}</b> of
        <span class="figure">{{ passes.length }}</span>, side {{ pass.side }}: {{ KINDS[pass.kind] }}
      </p>
      <p v-else class="pass">
        {{ passes.length ? 'All passes laid' : 'No passes yet: the mend wants its readings at Open' }}
      </p>
      <p class="figure set">{{ set }}</p>
    </header>
    <dl class="left">
      <div :class="{ short: instruments.contactC !== null && interpass && instruments.contactC > interpass.mostC }">
        <dt>Part</dt>
        <dd class="figure" data-testid="bench-temperature">
          {{ instruments.contactC === null ? 'no thermometer' : settings.text(instruments.contactC, 'c')
          }}{{ interpass && !allLaid ? `, next under ${settings.text(interpass.mostC, 'c')}` : '' }}
        </dd>
      </div>
      <div v-if="duty" :class="{ short: duty.short }">
        <dt>Duty</dt>
        <dd class="figure">{{ duty.text }}</dd>
      </div>
      <div v-if="gas" :class="{ short: gas.short }">
        <dt>Gas</dt>
        <dd class="figure">{{ gas.text }}</dd>
      </div>
      <div v-if="daylight" :class="{ short: daylight.short }">
        <dt>Daylight</dt>
        <dd class="figure">{{ daylight.text }}</dd>
      </div>
    </dl>
    <section class="next" aria-live="polite" data-testid="bench-next">
      <template v-if="move && log[0]"
        ><p class="seen">
          {{ SEEN_IN_PUDDLE[log[0].saw].name }}{{ move.times > 1 ? `, ${move.times} times on this pass` : '' }}
        </p>
        <h1>{{ capital(move.move) }}</h1>
        <p class="why">{{ move.why }}</p></template
      >
      <template v-else-if="allLaid"
        ><h1>All laid: arc off, and let it cool in still air.</h1>
        <p class="row why">
          <NuxtLink
            v-if="nextMend"
            class="plain-button slight"
            :to="{ query: { mend: nextMend } }"
            data-testid="next-mend"
            >Next: <span translate="no">{{ mendNamed(store.job!, nextMend) }}</span></NuxtLink
          ><NuxtLink v-else class="plain-button slight" :to="`/job/${store.job!.id}/rebuild`" data-testid="to-rebuild"
            >On to Rebuild</NuxtLink
          >
        </p></template
      >
      <h1 v-else-if="pass && pass.number > 1">
        Brush the last bead bright{{ interpass ? `; begin under ${settings.text(interpass.mostC, 'c')}` : '' }}.
      </h1>
      <h1 v-else>Earth proved, part warm, first arc on scrap.</h1>
    </section>
    <div v-if="slept" class="slept" role="alert" data-testid="arc-slept">
      <p>
        This machine slept from {{ at(slept.fromMs) }} to {{ at(slept.toMs) }} while the arc clock ran. Was there an
        arc?
      </p>
      <button type="button" class="big" @click="stopped()">No: it stopped at {{ at(slept.fromMs) }}</button>
      <button type="button" class="big" @click="wentOn()">Yes: it is still on</button>
    </div>
    <div class="hands">
      <button
        type="button"
        class="big clock"
        :class="{ running }"
        :aria-pressed="running"
        data-testid="arc-clock"
        @click="toggle()"
      >
        <span class="figure">{{ face }}</span>{{ running ? 'arc on: stop' : 'arc off: start' }}
      </button>
      <button
        type="button"
        class="big"
        :disabled="!pass"
        data-testid="pass-laid"
        @click="pass && tick(pass.number, true)"
      >
        Pass laid
      </button>
      <button type="button" class="big" :disabled="!store.canUndo" @click="store.undo()">Undo</button>
    </div>
    <div class="buttons" role="group" aria-label="What was seen">
      <button
        v-for="entry in BUTTONS"
        :key="entry.id"
        type="button"
        class="big"
        :class="{ clean: entry.id === 'wets-clean' }"
        :data-saw="entry.id"
        @click="saw(entry.id)"
      >
        {{ entry.name }}<span class="figure key">{{ entry.key }}</span>
      </button>
    </div>
    <div v-if="log[0]" class="row words">
      <input
        class="say"
        type="text"
        maxlength="400"
        aria-label="Note on what was seen last"
        placeholder="a note on it"
        :value="log[0].note"
        @input="note(log[0]!.id, ($event.target as HTMLInputElement).value)"
      />
      <label class="big shot"
        >{{ log[0].picture ? 'picture taken: another' : 'picture'
        }}<input
          type="file"
          accept="image/*"
          capture="environment"
          class="visually-hidden"
          data-testid="log-picture"
          @change="fromInput"
      /></label>
    </div>
    <p v-if="report" role="alert" class="note">{{ report }}</p>
    <p class="small note">
      Every press is stored at once. Space starts and stops the arc clock, Enter marks the pass laid. Ultraviolet and
      hot metal: screens up before you look at this.
    </p>
  </div>
</template>

<style scoped>
.mode {
  position: fixed;
  inset: 0;
  z-index: 900;
  background: #14120f;
  color: #efe7da;
  padding: 14px 18px 120px;
  overflow-y: auto;
  display: flex;
  flex-direction: column;
  gap: 12px;
}
header {
  display: flex;
  gap: 20px;
  align-items: center;
  flex-wrap: wrap;
}
header .plain-button {
  color: #efe7da;
  border-color: #5a5148;
}
.pass {
  font-size: 1.4rem;
  margin: 0;
  flex: 1;
}
.set {
  margin: 0;
  font-size: 1.1rem;
  color: #adb7c0;
}
.left {
  display: flex;
  gap: 8px 28px;
  flex-wrap: wrap;
  margin: 0;
}
.left div {
  display: flex;
  gap: 8px;
  align-items: baseline;
}
dt {
  color: #adb7c0;
}
dd {
  margin: 0;
  font-size: 1.15rem;
}
.short dd {
  color: #e9b95a;
  text-decoration: underline;
}
.words {
  flex-wrap: nowrap;
}
.say {
  flex: 1;
  min-height: 60px;
  background: #262321;
  color: #efe7da;
  border: 1px solid #5a5148;
  font: inherit;
  font-size: 1.1rem;
  padding: 0 12px;
  min-width: 0;
}
.shot {
  min-height: 60px;
  flex: 0 0 auto;
  margin: 0;
}
.next {
  min-height: 120px;
  flex: none;
}
.seen {
  margin: 0;
  color: #d8946a;
  font-weight: 650;
  font-size: 1.1rem;
}
h1 {
  font-size: clamp(1.5rem, 3.4vw, 2.5rem);
  line-height: 1.2;
  font-weight: 600;
}
.why .plain-button {
  color: #efe7da;
  border-color: #5a5148;
}
.why {
  font-size: 1.1rem;
  color: #adb7c0;
  margin: 4px 0 0;
}
.slept {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 8px;
  margin-top: 12px;
}
.slept p {
  grid-column: 1 / -1;
  margin: 0;
  font-size: 1.1rem;
}
.hands {
  display: grid;
  grid-template-columns: 2fr 1fr 1fr;
  gap: 10px;
}
.buttons {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(210px, 1fr));
  gap: 10px;
  flex: 1;
  align-content: start;
}
.big {
  min-height: 84px;
  border: 1px solid #5a5148;
  background: #262321;
  color: #efe7da;
  font: inherit;
  font-size: 1.2rem;
  font-weight: 600;
  border-radius: 2px;
  cursor: pointer;
  padding: 8px 12px;
  display: flex;
  justify-content: space-between;
  align-items: center;
  text-align: left;
  gap: 10px;
}
.big:active,
.big:hover {
  background: #3a342e;
}
.big:disabled {
  color: #7d7468;
}
.big:focus-visible {
  outline: 3px solid #d8946a;
}
.clean {
  border-color: #74bcd8;
}
.clock .figure {
  font-size: 2.4rem;
  font-weight: 700;
}
.running {
  border: 3px solid #d8946a;
}
.key {
  color: #a49b90;
  font-size: 0.9rem;
}
.note {
  color: #adb7c0;
  margin: 0;
}
/* All that can be seen and what to do about it in one view of a phone, in gloves too. */
@media (max-width: 599px) {
  .mode {
    padding: 8px 12px 76px;
    gap: 8px;
  }
  header {
    gap: 2px 12px;
  }
  .pass {
    font-size: 1.1rem;
  }
  .set {
    flex: 1 1 100%;
    font-size: 0.9rem;
    white-space: normal;
  }
  .left {
    gap: 0 16px;
  }
  dd {
    font-size: 0.95rem;
  }
  .next {
    min-height: 0;
  }
  h1 {
    font-size: 1.2rem;
  }
  .seen,
  .why {
    font-size: 0.95rem;
  }
  .hands,
  .buttons {
    grid-template-columns: repeat(3, 1fr);
    gap: 8px;
  }
  .clock {
    flex-direction: column;
    align-items: flex-start;
    gap: 0;
  }
  .clock .figure {
    font-size: 1.25rem;
  }
  .big {
    font-size: 0.9rem;
    line-height: 1.2;
    min-height: 62px;
    padding: 4px 8px;
    overflow-wrap: anywhere;
  }
  .key {
    display: none;
  }
}
</style>
