<script setup lang="ts">
import { computed } from 'vue'
import type { Part, Sentence } from '#core/station/parts'
import { useWords } from '~/composables/use-words'
import { useSettings } from '~/stores/settings'

const props = defineProps<{ sentence: Sentence }>()
const emit = defineEmits<{ working: [ref: string] }>()
const settings = useSettings()
const { parts: said } = useWords()
const STOPS = /^[.,;:)]/
/** Each part with the stop or comma that follows a figure, which stays on the figure's line. */
const parts = computed(() => {
  const sentence = said(props.sentence as readonly Part[])
  return sentence.map((part, n) => {
    const [before, next] = [sentence[n - 1], sentence[n + 1]]
    if (typeof part === 'string')
      return { part: before !== undefined && typeof before !== 'string' ? part.replace(STOPS, '') : part, stop: '' }
    return { part, stop: typeof next === 'string' ? (STOPS.exec(next)?.[0] ?? '') : '' }
  })
})
const shown = (part: Exclude<Part, string>) => ('words' in part ? part.words : settings.text(part.figure, part.unit))
</script>

<template>
  <span
    ><template v-for="({ part, stop }, index) in parts" :key="index"
      ><template v-if="typeof part === 'string'" translate="no">{{ part }}</template
      ><span v-else class="held"
        ><button v-if="part.ref" type="button" class="open-figure figure" @click="emit('working', part.ref)">
          {{ shown(part) }}</button
        ><span v-else class="figure">{{ shown(part) }}</span>{{ stop }}</span
      ></template
    ></span
  >
</template>

<style scoped>
.held {
  white-space: nowrap;
}
</style>
