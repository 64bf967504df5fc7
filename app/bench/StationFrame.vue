<script setup lang="ts">
import { computed, ref } from 'vue'
import { onKeyStroke, useMediaQuery } from '@vueuse/core'
import { STATION_NAMES, type StationId } from '#core/job/stations.table'
import { wantsCall } from '#core/station/parts'
import { useAskedField } from '~/composables/use-asked-field'
import { typingNow } from '~/composables/typing'
import { useJob } from '~/stores/job'
import PartFigure from '~/drawing/PartFigure.vue'
import SentenceLine from './SentenceLine.vue'
import StationHelp from './StationHelp.vue'
import TheCall from './TheCall.vue'
import WorkingDrawer from './WorkingDrawer.vue'

const props = defineProps<{ id: StationId }>()
const store = useJob()
useAskedField()
const plan = computed(() => store.plan?.[props.id])
/** Where a station's own drawing is the nearer one, the whole part stands under it. */
const partFirst = computed(() => ['take-in', 'call', 'warm', 'hand-over'].includes(props.id))
const shown = ref<string | null>(null)
const onPiece = ref(false)
/** Why it cannot be settled yet; a headline that says so itself says it once. */
const isGrey = computed(() => Boolean(plan.value && plan.value.wants.length && props.id !== 'prove'))
const grey = computed(() => {
  if (!plan.value || !isGrey.value || plan.value.settled) return null
  const wanted = wantsCall(plan.value.wants)
  return plan.value.call[0] === wanted[0] ? null : wanted
})
/** On a phone the piece is a window that scrolls, so keys must be able to reach it. */
const narrow = useMediaQuery('(max-width: 899px)')
const firstWorking = computed(() => Object.keys(plan.value?.workings ?? {})[0] ?? null)
onKeyStroke('w', event => {
  if (!typingNow(event)) shown.value = shown.value === null ? (firstWorking.value ?? '') : null
})
/** A sentence that stands inside another, without its full stop. */
const bare = (text: string) => text.replace(/\.$/, '') || 'empty'
</script>

<template>
  <div v-if="plan" class="station" :class="{ 'on-piece': onPiece, 'with-above': $slots.above }">
    <div v-if="$slots.above" class="above"><slot name="above" /></div>
    <header>
      <div class="where">{{ STATION_NAMES[id] }}<StationHelp :id="id" /></div>
      <h1 data-testid="call"><SentenceLine :sentence="plan.call" @working="shown = $event" /></h1>
      <p v-if="plan.held.length" class="held">
        {{
          plan.held.length > 1
            ? 'Held until the stop cautions are acknowledged by name.'
            : 'Held until the stop caution is acknowledged by name.'
        }}
      </p>
      <p v-if="plan.changed.length" class="stale" role="status">
        Settled on something else:
        <template v-for="(change, index) in plan.changed" :key="change.what"
          >{{ index ? '; ' : '' }}{{ change.what }} was <b>{{ bare(change.before) }}</b>, now
          <b>{{ bare(change.after) }}</b></template
        >.
      </p>
    </header>
    <div class="row actions no-print">
      <button
        v-if="!plan.settled || plan.changed.length"
        type="button"
        class="plain-button"
        :disabled="isGrey || plan.held.length > 0"
        data-testid="settle"
        @click="store.settle(id)"
      >
        {{ plan.changed.length ? 'Settle again' : 'Settled' }}
      </button>
      <button v-else type="button" class="plain-button slight" @click="store.unsettle(id)">Open again</button>
      <p v-if="grey" class="small quiet grey" data-testid="grey-because"><SentenceLine :sentence="grey" /></p>
      <button type="button" class="plain-button slight narrow-only" :aria-pressed="onPiece" @click="onPiece = !onPiece">
        {{ onPiece ? 'Readings and call' : 'All of the piece' }}
      </button>
    </div>
    <section class="readings" aria-label="Seen and measured">
      <p class="label">Seen and measured</p>
      <slot name="readings" :plan="plan" />
    </section>
    <section class="piece" aria-label="The piece" :tabindex="narrow ? 0 : undefined">
      <PartFigure v-if="partFirst" :station="id" />
      <slot
        name="piece"
        :plan="plan"
        :working="
          (ref: string) => {
            shown = ref
          }
        "
      />
      <PartFigure v-if="!partFirst" :station="id" />
    </section>
    <div class="call"><slot name="verdict" /><TheCall :plan="plan" @working="shown = $event" /></div>
    <WorkingDrawer :workings="plan.workings" :shown="shown" @close="shown = null" />
  </div>
  <p v-else-if="!store.planError" class="page quiet" role="status">Working it out…</p>
</template>

<style scoped>
.station {
  display: grid;
  grid-template-columns: 280px minmax(0, 1fr) 296px;
  grid-template-rows: auto 1fr;
  gap: 0;
  min-height: 100%;
}
.with-above {
  grid-template-rows: auto auto 1fr;
}
.above {
  grid-column: 1 / -1;
  min-width: 0;
}
header {
  grid-column: 1 / -1;
  grid-row: 1;
  padding: 10px 200px 12px 24px;
}
.where {
  margin: 0;
  font-weight: 650;
  color: var(--chestnut);
  font-size: 0.95rem;
}
h1 {
  font-size: 1.42rem;
  line-height: 1.3;
  font-weight: 550;
}
h1 :deep(.figure) {
  font-weight: 700;
}
.held {
  color: var(--stop);
  margin: 6px 0 0;
  font-weight: 550;
}
.stale {
  color: var(--hazard-text);
  margin: 6px 0 0;
}
/* Beside the call on a bench; on a phone it stays under the thumb. */
.actions {
  grid-column: 1 / -1;
  grid-row: 1;
  justify-self: end;
  align-self: start;
  padding: 10px 24px 0 0;
  max-width: 200px;
  flex-wrap: wrap;
  justify-content: flex-end;
}
.grey {
  margin: 0;
  flex-basis: 100%;
  text-align: right;
  line-height: 1.25;
}
.with-above header,
.with-above .actions {
  grid-row: 2;
}
.above {
  grid-row: 1;
}
.readings {
  padding: 6px 18px 90px 24px;
}
.piece {
  background: var(--sheet);
  border-left: 1px solid var(--hairline);
  border-right: 1px solid var(--hairline);
  border-top: 1px solid var(--hairline);
  padding: 12px 20px 90px;
}
.call {
  padding: 6px 22px 90px 18px;
}
.narrow-only {
  display: none;
}
@media (max-width: 1179px) {
  .station {
    grid-template-columns: minmax(240px, 300px) minmax(0, 1fr);
  }
  .call {
    grid-column: 1 / -1;
    padding-left: 24px;
  }
  .readings,
  .piece {
    padding-bottom: 20px;
  }
}
@media (max-width: 899px) {
  .station {
    display: flex;
    flex-direction: column;
  }
  header {
    padding: 10px 16px;
  }
  .actions {
    order: 5;
  }
  h1 {
    font-size: 1.22rem;
  }
  .actions {
    align-self: stretch;
    position: sticky;
    bottom: 53px;
    z-index: 5;
    padding: 6px 16px;
    background: var(--paper);
    border-top: 1px solid var(--hairline);
    max-width: none;
  }
  .actions > * {
    flex: 1;
  }
  /* Over both buttons, which share a line. */
  .actions > .grey {
    order: -1;
    flex-basis: 100%;
    text-align: left;
  }
  .readings,
  .call {
    padding: 6px 16px 12px;
  }
  /* The piece stands on top, as much of it as leaves the readings in reach; all of it at a press. */
  .piece {
    order: 0;
    max-height: 30vh;
    overflow: auto;
    padding: 8px 12px;
    border-left: 0;
    border-right: 0;
    border-bottom: 1px solid var(--hairline);
  }
  .readings {
    order: 2;
  }
  .call {
    order: 3;
  }
  .on-piece .piece {
    max-height: none;
  }
  .on-piece .readings,
  .on-piece .call {
    display: none;
  }
  .narrow-only {
    display: inline-flex;
  }
}
</style>
