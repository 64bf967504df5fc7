<script setup lang="ts">
import { computed } from 'vue'
import { useJob } from '~/stores/job'
import { useSettings } from '~/stores/settings'

const store = useJob()
const settings = useSettings()
const steps = computed(() => store.plan?.open.data.steps ?? [])
const done = computed(() => store.job?.open.done ?? [])
const tick = (id: string, on: boolean | null) => store.edit(['open', 'done'], on ? [...done.value, id] : done.value.filter(each => each !== id))
</script>

<template>
  <p class="label gap">In this order</p>
  <ol>
    <li v-for="step in steps" :key="step.id" :class="{ done: done.includes(step.id) }">
      <v-checkbox :model-value="done.includes(step.id)" :label="step.text" @update:model-value="tick(step.id, $event)" />
      <p class="quiet small"><span class="figure">{{ settings.text(step.minutes, 'min') }}</span>{{ step.unattended ? ' by itself' : '' }}, {{ step.why }}<template v-if="step.ban">. <b class="ban">{{ step.ban[0]!.toUpperCase() + step.ban.slice(1) }}.</b></template><template v-if="step.hold">{{ step.ban ? ' ' : '. ' }}<b>Hold until: {{ step.hold }}.</b></template></p>
    </li>
  </ol>
</template>

<style scoped>
.ban { color: var(--hazard-text); }
.gap { margin-top: 18px; }
ol { padding-left: 22px; margin: 0; }
li { margin: 4px 0; }
li p { margin: -4px 0 6px 40px; }
.done { color: var(--slate); }
</style>
