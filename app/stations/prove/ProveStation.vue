<script setup lang="ts">
import { computed } from 'vue'
import { useJob } from '~/stores/job'
import StationFrame from '~/bench/StationFrame.vue'
import WordsField from '~/bench/WordsField.vue'
import { RESULTS } from '#core/station/prove/result-words'
import { STATION_NAMES } from '#core/job/stations.table'
import LeakPiece from './LeakPiece.vue'
import ProveReadings from './ProveReadings.vue'
import RunOutPiece from './RunOutPiece.vue'
import WhereProved from './WhereProved.vue'

const store = useJob()
const checks = computed(() => store.plan?.prove.data.checks ?? [])
const put = (id: string, result: keyof typeof RESULTS | null) =>
  store.edit(
    ['prove', 'results', id],
    result ? { result, note: store.job!.prove.results[id]?.note ?? '', at: new Date().toISOString() } : undefined,
  )
const note = (id: string, text: string) => store.edit(['prove', 'results', id, 'note'], text.slice(0, 400))
</script>

<template>
  <StationFrame id="prove">
    <template #readings>
      <div v-for="check in checks" :key="check.id" class="check" :data-check="check.id">
        <p class="name">{{ check.name }}</p>
        <v-btn-toggle
          :model-value="check.result"
          :mandatory="false"
          :aria-label="check.name"
          @update:model-value="put(check.id, $event ?? null)"
          ><v-btn v-for="(name, id) in RESULTS" :key="id" :value="id">{{ name }}</v-btn></v-btn-toggle
        >
        <p v-if="check.within !== null" class="small" :class="check.within ? 'quiet' : 'over'">
          The readings say {{ check.within ? 'within its limit' : 'over its limit' }}.
        </p>
        <NuxtLink
          v-if="check.result === 'fail'"
          class="plain-button slight back"
          :to="`/job/${store.job!.id}/${check.back}`"
          :data-back="check.id"
          >Back to {{ STATION_NAMES[check.back] }}</NuxtLink
        >
        <v-text-field
          v-if="check.result"
          :model-value="check.note"
          :label="
            check.result === 'left-out'
              ? `Why it is left out: ${check.name.toLowerCase()}`
              : `What was seen: ${check.name.toLowerCase()}`
          "
          maxlength="400"
          @update:model-value="note(check.id, $event ?? '')"
        />
      </div>
      <ProveReadings />
      <WordsField path="handOver.notPerfect" />
    </template>
    <template #piece="{ working }"
      ><WhereProved /><LeakPiece v-if="checks.some(check => check.id === 'leak')" @working="working" /><RunOutPiece
        @working="working"
    /></template>
  </StationFrame>
</template>

<style scoped>
.check {
  margin: 12px 0;
}

.over {
  color: var(--stop);
  font-weight: 600;
}
.back {
  margin-top: 6px;
}
.name {
  margin: 0 0 4px;
  font-weight: 600;
}
.v-btn-toggle {
  width: 100%;
}
.v-text-field {
  margin-top: 8px;
}
</style>
