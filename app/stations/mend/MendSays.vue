<script setup lang="ts">
import { computed } from 'vue'
import type { MendRow } from '#core/station/mends/mend-row'
import CautionNote from '~/bench/CautionNote.vue'
import SentenceLine from '~/bench/SentenceLine.vue'
import StartClocks from '~/bench/StartClocks.vue'
import MendVerdict from './MendVerdict.vue'

/** What is decided of one mend of several, why, and what could hurt. */
const props = defineProps<{ row: MendRow; station: 'open' | 'weld' | 'rebuild' }>()
const emit = defineEmits<{ working: [ref: string] }>()
const said = computed(() => props.row.says[props.station])
</script>

<template>
  <section aria-label="The call on this mend">
    <p class="label">The call</p>
    <MendVerdict :row="row" />
    <p v-for="(sentence, n) in said.why" :key="n">
      <SentenceLine :sentence="sentence" @working="emit('working', $event)" />
    </p>
    <StartClocks :clocks="said.clocks" />
    <CautionNote v-for="entry in said.cautions" :key="entry.code" :caution="entry" />
    <div v-if="said.change.length" class="change">
      <strong>Would change this:</strong>
      <p v-for="(sentence, n) in said.change" :key="n"><SentenceLine :sentence="sentence" /></p>
    </div>
  </section>
</template>

<style scoped>
p {
  margin: 0 0 10px;
  font-size: 0.95rem;
}
.change {
  margin-top: 14px;
}
.change p {
  color: var(--slate);
  margin: 4px 0;
}
</style>
