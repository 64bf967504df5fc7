<script setup lang="ts">
import { computed, ref } from 'vue'
import type { Caution } from '#core/ask/question'
import { useJob } from '~/stores/job'

const props = defineProps<{ caution: Caution }>()
const store = useJob()
const name = ref('')
const acknowledged = computed(() => store.job?.acknowledged.find(entry => entry.code === props.caution.code))
const heading = computed(
  () =>
    `${props.caution.level === 'stop' ? 'Stop: ' : ''}${props.caution.title ?? { stop: 'read this', caution: 'Before you go on', note: 'Mind' }[props.caution.level]}`,
)

function acknowledge() {
  if (name.value.trim()) store.acknowledge(props.caution.code, name.value)
}
</script>

<template>
  <div class="caution" :class="caution.level" :role="caution.level === 'stop' && !acknowledged ? 'alert' : undefined">
    <strong>{{ heading }}</strong>
    <p>{{ caution.text }}</p>
    <template v-if="caution.level === 'stop'">
      <p v-if="acknowledged" class="small">Read and heeded: {{ acknowledged.name }}.</p>
      <form v-else class="row" @submit.prevent="acknowledge">
        <v-text-field
          v-model="name"
          :aria-label="`Your name, to acknowledge: ${caution.code}`"
          placeholder="Your name"
          maxlength="80"
        />
        <button type="submit" class="plain-button" :disabled="!name.trim()">I have read it</button>
      </form>
    </template>
  </div>
</template>

<style scoped>
.caution {
  border-left: 6px solid var(--hazard);
  padding: 2px 0 2px 12px;
  margin: 12px 0;
}
.caution.stop {
  border-left-color: var(--stop);
}
.caution.note {
  border-left-width: 2px;
  border-left-color: var(--slate);
}
strong {
  color: var(--hazard-text);
  font-size: 0.95rem;
}
.stop strong {
  color: var(--stop);
}
.note strong {
  color: var(--slate);
}
p {
  margin: 2px 0 6px;
  font-size: 0.92rem;
}
form > :first-child {
  min-width: 130px;
  flex: 1;
}
</style>
