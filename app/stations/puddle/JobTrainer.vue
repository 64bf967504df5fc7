<script setup lang="ts">
import { computed } from 'vue'
import { trainerJob } from '#core/station/weld/trainer-job'
import { useJob } from '~/stores/job'
import PuddleTrainer from './PuddleTrainer.vue'

const store = useJob()
const first = useRoute().query.lesson
const job = computed(() => (store.job && store.plan ? trainerJob(store.job, store.plan) : null))
</script>

<template>
  <PuddleTrainer v-if="job" :job="job" :first="typeof first === 'string' ? first : undefined" />
</template>
