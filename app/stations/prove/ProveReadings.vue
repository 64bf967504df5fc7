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
    <ReadingField path="prove.volumeL" unit="l" label="It holds" /><ReadingField
      path="prove.startKPa"
      unit="kPa"
      label="Gauge at the start"
    /><ReadingField path="prove.endKPa" unit="kPa" label="and after" /><ReadingField
      path="prove.leakS"
      unit="s"
      label="Time between"
    />
    <ReadingField path="prove.startC" unit="c" label="Its heat at the start" /><ReadingField
      path="prove.endC"
      unit="c"
      label="and after"
      note="empty: the same"
    /><ReadingField path="prove.leakLimitSccm" unit="sccm" label="May lose" note="cm³ of gas a minute" />
  </details>
  <details :open="wants.has('runout')">
    <summary>Run-out, round a turn</summary>
    <ReadingField path="prove.runOutLimitMm" unit="mm" label="May run out" />
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
    <ReadingField path="prove.addedG" unit="g" label="Put on, or missing" /><ReadingField
      path="prove.radiusMm"
      unit="mm"
      label="at a radius of"
    /><ReadingField path="prove.atRadiusMm" unit="mm" label="Put right at" note="empty: the same radius" /><ReadingField
      path="prove.balanceLimitGmm"
      unit="number"
      label="May be out by, g·mm"
    />
  </details>
</template>

<style scoped>
.row {
  margin: 8px 0;
}
</style>
