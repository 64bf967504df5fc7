<script setup lang="ts">
import { computed } from 'vue'
import { TRACE_KINDS } from '#core/job/picture.schema'
import CardPrint from './CardPrint.vue'
import LineLook from './LineLook.vue'
import type { Desk } from './use-desk'
import type { OpenPicture } from './use-picture'
import type { PictureReading } from './use-reading'

const props = defineProps<{ open: OpenPicture; desk: Desk; reading: PictureReading }>()
const { picture } = props.open
const { busy, told } = props.reading
const { follows, line } = props.desk
const LINE_LOOKS = { dark: 'a dark line on bright metal', bright: 'a line that glows in the dark' } as const
const card = computed(() => picture.value?.scale.card ?? null)
</script>

<template>
  <section v-if="picture" aria-label="Read off the picture">
    <div class="row">
      <button type="button" class="plain-button" :disabled="!!busy" data-testid="find-card" @click="reading.card()">
        Find the scale card
      </button>
      <CardPrint />
      <button
        type="button"
        class="plain-button slight"
        :disabled="!!busy"
        data-testid="find-outline"
        @click="reading.outline()"
      >
        Find the outline
      </button>
      <button
        type="button"
        class="plain-button slight"
        :disabled="!!busy"
        data-testid="read-blue-whole"
        @click="reading.blue(null)"
      >
        Count the blue
      </button>
    </div>
    <div class="row">
      <span class="label">Trace a</span>
      <button
        v-for="(name, kind) in TRACE_KINDS"
        :key="kind"
        type="button"
        class="plain-button slight"
        :data-testid="`new-${kind}`"
        @click="desk.startTrace(kind)"
      >
        {{ name }}
      </button>
      <v-checkbox
        v-model="follows"
        density="compact"
        hide-details
        label="follow its line"
        title="A tap along a crack draws the way of the line to it"
        data-testid="follows"
      />
      <v-btn-toggle v-if="follows" v-model="line" mandatory density="compact" aria-label="The line is"
        ><v-btn
          v-for="(title, look) in LINE_LOOKS"
          :key="look"
          :value="look"
          :aria-label="title"
          :title="title"
          :data-testid="`line-${look}`"
          ><LineLook :line="look" /></v-btn
      ></v-btn-toggle>
    </div>
    <p class="small" role="status" data-testid="reading-told">
      <template v-if="busy">Looking for {{ busy }} …</template>
      <template v-else-if="told">{{ told }}</template>
      <template v-else-if="card"
        >Scaled by card {{ card.name }}, seen {{ Math.round(card.tiltDeg) }}° off square: a length as long as the card
        is good to {{ Math.max(0.1, card.lengthPct).toFixed(1) }} %; what is traced says its own beside it.</template
      >
    </p>
  </section>
</template>

<style scoped>
section {
  border-bottom: 1px solid var(--hairline);
  margin-bottom: 12px;
  padding-bottom: 8px;
}
.row {
  gap: 6px;
  align-items: center;
  margin-bottom: 6px;
}
.label {
  margin: 0 4px 0 0;
}
.row :deep(.v-checkbox) {
  flex: none;
}
p {
  min-height: 1.5em;
  margin: 0;
}
</style>
