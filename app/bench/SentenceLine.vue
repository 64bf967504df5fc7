<script setup lang="ts">
import type { Sentence } from '#core/plan/parts'
import { useSettings } from '~/stores/settings'

defineProps<{ sentence: Sentence }>()
const emit = defineEmits<{ working: [ref: string] }>()
const settings = useSettings()
/** A word joiner before a stop or comma keeps it on the line of the figure it follows. */
const held = (words: string) => words.replace(/^(?=[.,;:)])/, '\u2060')
</script>

<template>
  <span><template v-for="(part, index) in sentence" :key="index"><template v-if="typeof part === 'string'">{{ held(part) }}</template><button v-else-if="part.ref" type="button" class="open-figure figure" @click="emit('working', part.ref)">{{ 'words' in part ? part.words : settings.text(part.figure, part.unit) }}</button><span v-else-if="'figure' in part" class="figure">{{ settings.text(part.figure, part.unit) }}</span></template></span>
</template>
