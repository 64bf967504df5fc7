<script setup lang="ts">
import { computed } from 'vue'
import { isOpenTrace, PICTURE_STAGES, TRACE_KINDS, type Trace } from '#core/job/picture.schema'
import { evenWords } from '#core/photo/even'
import { crackWithBranches } from '#core/station/take-in/pictures'
import PickField from '~/bench/PickField.vue'
import ReadingField from '~/bench/ReadingField.vue'
import WordsField from '~/bench/WordsField.vue'
import { useJob } from '~/stores/job'
import { useSettings } from '~/stores/settings'
import type { Desk } from './use-desk'
import { useCrackLength } from './use-crack-length'
import type { OpenPicture } from './use-picture'
import type { PictureReading } from './use-reading'

const props = defineProps<{ open: OpenPicture; desk: Desk; reading: PictureReading }>()
const store = useJob()
const { takers, take } = useCrackLength()
const settings = useSettings()
const { picture, index, measured, scale } = props.open
const { busy, thread, threadLink } = props.reading
const path = (key: string) => `pictures.${index.value}.${key}`
const others = computed(() => (store.job?.pictures ?? []).filter(other => other.id !== picture.value?.id))
const pairs = computed(() =>
  Object.fromEntries(others.value.map(other => [other.id, other.name || PICTURE_STAGES[other.stage]])),
)
const typed = (mm: number) => ({ typed: `${mm.toFixed(1)} mm`, value: Number(mm.toFixed(1)) })
const whole = (trace: Trace) => crackWithBranches(trace, measured.value)
const isBranch = ({ of }: Trace) => measured.value.some(({ trace }) => trace.id === of)
const takeOff = (n: number) =>
  props.open.edit(
    ['traces'],
    picture.value!.traces.filter((_, other) => other !== n),
  )
</script>

<template>
  <div v-if="picture">
    <WordsField :path="path('name')" label="Called" :max="120" />
    <PickField :path="path('stage')" label="It shows the part" :words="PICTURE_STAGES" />
    <PickField v-if="others.length" :path="path('pair')" label="Pair with" :words="pairs" clearable />
    <PickField :path="path('scale.kind')" label="Scale from" :words="{ two: 'two points', four: 'four corners' }" />
    <template v-if="picture.scale.kind === 'two'"
      ><ReadingField
        :path="path('scale.apartMm')"
        unit="mm"
        label="They are apart"
        note="only for a picture taken square on"
    /></template>
    <template v-else>
      <ReadingField :path="path('scale.wideMm')" unit="mm" label="First corner to second" />
      <ReadingField :path="path('scale.highMm')" unit="mm" label="Second to third" note="a bank card is 85.6 × 54 mm" />
    </template>
    <p v-if="'wants' in scale" class="small wants" role="status" data-testid="scale-wants">
      The scale wants {{ scale.wants }}.
    </p>

    <p class="label">Traces</p>
    <p v-if="measured.some(({ measure }) => measure)" class="small quiet" data-testid="what-plus-minus-is">
      ± is how far off it may be with each point put to within a dot of the picture. A line drawn short of the crack’s
      end is short by more.
    </p>
    <div
      v-for="(entry, n) in measured"
      :key="entry.trace.id"
      class="trace"
      :class="{ current: desk.traceId.value === entry.trace.id }"
      :data-testid="`trace-${n}`"
    >
      <label
        ><input
          type="radio"
          name="trace"
          :checked="desk.traceId.value === entry.trace.id"
          @change="desk.chooseTrace(entry.trace.id)"
        />
        {{ TRACE_KINDS[entry.trace.kind] }}<template v-if="isBranch(entry.trace)">, a branch</template></label
      >
      <p v-if="entry.measure">
        {{ isOpenTrace(entry.trace.kind) ? 'long' : 'round it' }}
        <b class="figure">{{ settings.text(entry.measure.lengthMm, 'mm') }}</b>{{ ' ' }}
        <span class="figure small">± {{ settings.text(entry.measure.uncertaintyMm, 'mm') }}</span>
        <template v-if="!isOpenTrace(entry.trace.kind) && entry.measure.areaMm2 > 0"
          ><br />inside <b class="figure">{{ settings.text(entry.measure.areaMm2, 'mm2') }}</b>{{ ' ' }}
          <span class="figure small">± {{ settings.text(entry.measure.areaUncertaintyMm2, 'mm2') }}</span></template
        ><template v-if="whole(entry.trace)?.branches"
          ><br />with its
          {{ whole(entry.trace)!.branches === 1 ? 'branch' : `${whole(entry.trace)!.branches} branches` }}
          <b class="figure" data-testid="with-branches">{{ settings.text(whole(entry.trace)!.lengthMm, 'mm') }}</b
          >{{ ' ' }}
          <span class="figure small">± {{ settings.text(whole(entry.trace)!.uncertaintyMm, 'mm') }}</span>
          <span class="small">; each has a tip to stop</span></template
        >
      </p>
      <p v-else class="quiet small">{{ entry.reason }}</p>
      <dl v-if="thread && threadLink && thread.trace === entry.trace.id" class="figure small" data-testid="thread-seen">
        <dt>pitch</dt>
        <dd>{{ thread.seen.pitchMm.toFixed(3) }} ± {{ thread.seen.uncertaintyMm.toFixed(3) }} mm</dd>
        <template v-if="thread.seen.majorMm !== null"
          ><dt>over the crests</dt>
          <dd>
            {{ settings.text(thread.seen.majorMm, 'mm') }} ± {{ settings.text(thread.seen.majorUncertaintyMm!, 'mm') }}
          </dd></template
        >
        <template v-if="thread.seen.flankDeg !== null"
          ><dt>flanks</dt>
          <dd>{{ thread.seen.flankDeg.toFixed(0) }} ± {{ thread.seen.flankUncertaintyDeg!.toFixed(0) }}°</dd></template
        >
        <dt>turns seen</dt>
        <dd>{{ thread.seen.turns.toFixed(1) }}</dd>
        <dd class="wide"><NuxtLink :to="threadLink">Which thread is it?</NuxtLink></dd>
      </dl>
      <div class="row">
        <template v-if="whole(entry.trace)">
          <button
            v-for="taker in takers.length ? takers : [{ id: null, name: '' }]"
            :key="taker.id ?? 'new'"
            type="button"
            class="plain-button slight"
            data-testid="use-crack"
            @click="take(taker.id, typed(whole(entry.trace)!.lengthMm))"
          >
            This is the {{ taker.name || 'crack' }}
          </button>
          <button
            type="button"
            class="plain-button slight"
            :disabled="!!busy"
            data-testid="find-branches"
            @click="reading.branches(entry.trace)"
          >
            Find its branches
          </button>
          <button
            type="button"
            class="plain-button slight"
            data-testid="new-branch"
            @click="desk.startTrace('crack', entry.trace.id)"
          >
            Trace a branch
          </button>
        </template>
        <button
          v-if="entry.trace.kind === 'outline' && entry.trace.px.length > 2"
          type="button"
          class="plain-button slight"
          :disabled="!!busy"
          data-testid="read-blue"
          @click="reading.blue(entry.trace)"
        >
          Count the blue in it
        </button>
        <NuxtLink
          v-if="entry.measure && entry.trace.kind === 'outline' && entry.trace.px.length > 2"
          :to="`/job/${store.job!.id}/shape?outline=${picture.id}`"
          class="plain-button slight"
          data-testid="outline-to-shape"
          >Into the part’s shape</NuxtLink
        >
        <button
          v-if="entry.measure && entry.trace.kind === 'thread'"
          type="button"
          class="plain-button slight"
          :disabled="!!busy"
          data-testid="read-thread"
          @click="reading.readThread(entry.trace, entry.measure.lengthMm)"
        >
          Read the thread
        </button>
        <button type="button" class="plain-button slight" @click="takeOff(n)">Take it off</button>
      </div>
    </div>
    <template v-if="picture.blue">
      <p class="label">Blue</p>
      <p data-testid="blue-seen">
        <b class="figure">{{ picture.blue.sharePct.toFixed(0) }} %</b> ± {{ picture.blue.uncertaintyPct.toFixed(0) }} of
        the face bears, in {{ picture.blue.patches.length }}
        {{ picture.blue.patches.length === 1 ? 'patch' : 'patches' }}; {{ evenWords(picture.blue.even) }}.
      </p>
    </template>

    <template v-if="picture.pins.length">
      <p class="label pins">Pins</p>
      <div v-for="(pin, n) in picture.pins" :key="pin.id" class="pin">
        <b class="figure">{{ n + 1 }}</b><WordsField :path="path(`pins.${n}.words`)" label="What is here" :max="200" />
      </div>
    </template>
  </div>
</template>

<style scoped>
.trace {
  border-left: 3px solid var(--hairline);
  padding: 2px 0 6px 10px;
  margin-bottom: 8px;
}
.trace.current {
  border-color: var(--chestnut);
}
.trace p {
  margin: 2px 0 6px;
}
.trace label {
  display: flex;
  gap: 8px;
  min-height: 32px;
  align-items: center;
  font-weight: 600;
}
.row {
  gap: 6px;
}
dl {
  display: grid;
  grid-template-columns: auto 1fr;
  gap: 2px 12px;
  margin: 4px 0 8px;
}
.wide {
  grid-column: 1 / -1;
}
.label {
  margin-top: 14px;
}
.wants {
  color: var(--hazard-text);
}
.pin {
  display: grid;
  grid-template-columns: 24px 1fr;
  align-items: center;
}
</style>
