<script setup lang="ts">
import type { StationPlan } from '#core/station/parts'
import type { Standing } from '#core/station/plan-job'
import CautionNote from './CautionNote.vue'
import SentenceLine from './SentenceLine.vue'
import StartClocks from './StartClocks.vue'

defineProps<{ plan: StationPlan & Standing }>()
const emit = defineEmits<{ working: [ref: string] }>()
</script>

<template>
  <section class="why" aria-label="Why">
    <p class="label">Why</p>
    <p v-for="(sentence, index) in plan.why" :key="index">
      <SentenceLine :sentence="sentence" @working="emit('working', $event)" />
    </p>
    <StartClocks :clocks="plan.clocks ?? []" />
    <CautionNote v-for="caution in plan.cautions" :key="caution.code" :caution="caution" />
    <div v-if="plan.hands?.length" class="change" data-testid="hands">
      <strong>At the bench:</strong>
      <p v-for="hand in plan.hands" :key="hand">{{ hand }}</p>
    </div>
    <div v-if="plan.change.length" class="change">
      <strong>Would change this:</strong>
      <p v-for="(sentence, index) in plan.change" :key="index">
        <SentenceLine :sentence="sentence" @working="emit('working', $event)" />
      </p>
    </div>
    <p v-if="Object.keys(plan.workings).length" class="quiet small no-print">
      <b class="figure">w</b> or a dotted figure opens the working.
    </p>
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
