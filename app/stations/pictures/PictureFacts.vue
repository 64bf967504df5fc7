<script setup lang="ts">
import { computed } from 'vue'
import { PICTURE_STAGES, TRACE_KINDS } from '#core/job/picture.schema'
import PickField from '~/bench/PickField.vue'
import ReadingField from '~/bench/ReadingField.vue'
import WordsField from '~/bench/WordsField.vue'
import { useJob } from '~/stores/job'
import { useSettings } from '~/stores/settings'
import type { Desk } from './use-desk'
import type { OpenPicture } from './use-picture'

const props = defineProps<{ open: OpenPicture; desk: Desk }>()
const store = useJob()
const settings = useSettings()
const { picture, index, measured, scale } = props.open
const path = (key: string) => `pictures.${index.value}.${key}`
const others = computed(() => (store.job?.pictures ?? []).filter(other => other.id !== picture.value?.id))
const pairs = computed(() =>
  Object.fromEntries(others.value.map(other => [other.id, other.name || PICTURE_STAGES[other.stage]])),
)
const typed = (mm: number) => ({ typed: `${mm.toFixed(1)} mm`, value: Number(mm.toFixed(1)) })
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
        {{ TRACE_KINDS[entry.trace.kind] }}</label
      >
      <p v-if="entry.measure">
        <b class="figure">{{ settings.text(entry.measure.lengthMm, 'mm') }}</b>{{ ' ' }}
        <span class="figure small">± {{ settings.text(entry.measure.uncertaintyMm, 'mm') }}</span>
        <template v-if="entry.trace.kind !== 'crack' && entry.measure.areaMm2 > 0"
          ><br />inside <b class="figure">{{ settings.text(entry.measure.areaMm2, 'mm2') }}</b>{{ ' ' }}
          <span class="figure small">± {{ settings.text(entry.measure.areaUncertaintyMm2, 'mm2') }}</span></template
        >
      </p>
      <p v-else class="quiet small">{{ entry.reason }}</p>
      <div class="row">
        <button
          v-if="entry.measure && entry.trace.kind === 'crack'"
          type="button"
          class="plain-button slight"
          data-testid="use-crack"
          @click="store.edit(['open', 'crackMm'], typed(entry.measure.lengthMm))"
        >
          This is the crack
        </button>
        <button type="button" class="plain-button slight" @click="takeOff(n)">Take it off</button>
      </div>
    </div>
    <div class="row">
      <button
        v-for="(name, kind) in TRACE_KINDS"
        :key="kind"
        type="button"
        class="plain-button slight"
        :data-testid="`new-${kind}`"
        @click="desk.startTrace(kind)"
      >
        + {{ name }}
      </button>
    </div>

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
