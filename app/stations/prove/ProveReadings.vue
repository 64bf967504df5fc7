<script setup lang="ts">
import { computed } from 'vue'
import ReadingField from '~/bench/ReadingField.vue'
import ComparedFields from './ComparedFields.vue'
import { useJob } from '~/stores/job'

const store = useJob()
const wants = computed(() => new Set((store.plan?.prove.data.checks ?? []).map(check => check.id)))
const round = (count: number) =>
  store.edit(
    ['prove', 'runOut'],
    Array.from({ length: count }, (_, n) => store.job!.prove.runOut[n] ?? { typed: '', value: null }),
  )
</script>

<template>
  <ComparedFields />
  <details :open="wants.has('leak')">
    <summary>Leak, from pressure</summary>
    <ReadingField path="prove.volumeL" /><ReadingField path="prove.startKPa" /><ReadingField
      path="prove.endKPa"
    /><ReadingField path="prove.leakS" /> <ReadingField path="prove.startC" /><ReadingField
      path="prove.endC"
    /><ReadingField path="prove.leakLimitSccm" />
  </details>
  <details :open="wants.has('runout')">
    <summary>Run-out, round a turn</summary>
    <ReadingField path="prove.runOutLimitMm" />
    <div class="row">
      <button
        v-for="count in [8, 12, 24]"
        :key="count"
        type="button"
        class="plain-button slight"
        :data-round="count"
        @click="round(count)"
      >
        {{ count }} places
      </button>
    </div>
    <ReadingField
      v-for="(_, n) in store.job!.prove.runOut"
      :key="n"
      :path="`prove.runOut.${n}`"
      unit="mm"
      :label="`at ${Math.round((360 * n) / store.job!.prove.runOut.length)}°`"
    />
    <button
      v-if="store.job!.prove.runOut.length"
      type="button"
      class="plain-button slight"
      @click="store.edit(['prove', 'runOut'], [])"
    >
      Take them out
    </button>
  </details>
  <details :open="wants.has('balance')">
    <summary>Balance</summary>
    <ReadingField path="prove.addedG" /><ReadingField path="prove.radiusMm" /><ReadingField
      path="prove.atRadiusMm"
    /><ReadingField path="prove.balanceLimitGmm" />
  </details>
</template>

<style scoped>
.row {
  margin: 8px 0;
}
</style>
