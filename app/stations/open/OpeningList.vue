<script setup lang="ts">
import { computed } from 'vue'
import type { SharedStep } from '#core/station/open/shared-steps'
import { capital } from '#core/station/parts'
import { useJob } from '~/stores/job'
import { useSettings } from '~/stores/settings'

/** What is done once for the whole part, before its mends are opened or after. */
const props = defineProps<{ when: SharedStep['when'] }>()
const store = useJob()
const settings = useSettings()
const steps = computed(() => (store.plan?.open.data.steps ?? []).filter(step => step.when === props.when))
const done = computed(() => store.job?.open.done ?? [])
const tick = (id: string, on: boolean | null) =>
  store.edit(['open', 'done'], on ? [...done.value, id] : done.value.filter(each => each !== id))
</script>

<template>
  <p v-if="steps.length" class="label gap">
    {{ when === 'before' ? 'First, for the whole part' : 'Then, before the heat' }}
  </p>
  <ol>
    <li v-for="step in steps" :key="step.id" :class="{ done: done.includes(step.id) }">
      <v-checkbox
        :model-value="done.includes(step.id)"
        :label="step.text"
        @update:model-value="tick(step.id, $event)"
      />
      <p class="quiet small">
        <template v-if="step.minutes !== null"
          ><span class="figure">{{ settings.text(step.minutes, 'min') }}</span
          >{{ step.unattended ? ' unattended' : '' }}, </template
        >{{ step.why }}<template v-if="step.ban">. <b class="ban">{{ capital(step.ban) }}.</b></template
        ><template v-if="step.hold">{{ step.ban ? ' ' : '. ' }}<b>Hold until: {{ step.hold }}.</b></template>
      </p>
    </li>
  </ol>
</template>

<style scoped>
.ban {
  color: var(--hazard-text);
}
.gap {
  margin-top: 18px;
}
ol {
  padding: 0;
  margin: 0;
  list-style: none;
  counter-reset: step;
}
li {
  margin: 4px 0;
  display: grid;
  grid-template-columns: 22px minmax(0, 1fr);
}
li::before {
  counter-increment: step;
  content: counter(step) '.';
  color: var(--slate);
  text-align: right;
  padding-top: 3px;
  font-size: 0.95rem;
  line-height: 1.25;
}
li :deep(.v-selection-control) {
  align-items: flex-start;
}
li :deep(.v-label) {
  padding-top: 3px;
  line-height: 1.25;
}
li p {
  grid-column: 2;
  margin: 0 0 6px 40px;
}
.done {
  color: var(--slate);
}
</style>
