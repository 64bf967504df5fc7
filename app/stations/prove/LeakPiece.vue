<script setup lang="ts">
import { computed } from 'vue'
import { useJob } from '~/stores/job'
import { useSettings } from '~/stores/settings'
import { useLiveLeak } from './use-live-leak'

const emit = defineEmits<{ working: [ref: string] }>()
const store = useJob()
const settings = useSettings()
const { gauge, now, live, began, begin, keep, text } = useLiveLeak()
const found = computed(() => store.plan?.prove.data.leak ?? null)
const leak = computed(() => (found.value && 'answer' in found.value ? found.value : null))
</script>

<template>
  <p class="label gap">Leak</p>
  <div v-if="gauge" class="row">
    <span class="figure big">{{ now ? settings.text(now.value, 'kPa') : '–' }}</span>
    <button type="button" class="plain-button" data-testid="leak-begin" :disabled="!now" @click="begin()">
      {{ began ? 'Begin again' : 'Begin the watch' }}
    </button>
    <span v-if="live" class="figure" role="status">{{ settings.text(live.seconds, 's') }}: {{ text(live.sccm) }}</span>
    <button v-if="live" type="button" class="plain-button" data-testid="leak-keep" @click="keep()">Keep it</button>
  </div>
  <p v-else class="quiet small">
    With the pressure gauge on the wire<span class="only-with-keys"> (<span class="figure">m</span>)</span>, the leak is
    worked out as it is watched; or put the readings in.
  </p>
  <p v-if="leak">
    {{ text(leak.answer.sccm) }}, put right for its temperature:
    <button type="button" class="open-figure figure" data-testid="leak" @click="emit('working', 'leak')">
      {{ leak.answer.kPaMin.toFixed(3) }} kPa a minute</button
    >. Stored in it: {{ settings.text(leak.answer.storedJ, 'j') }}.
  </p>
</template>

<style scoped>
.gap {
  margin-top: 16px;
}
.big {
  font-size: 1.6rem;
}
</style>
