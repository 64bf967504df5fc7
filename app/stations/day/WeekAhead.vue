<script setup lang="ts">
import { computed } from 'vue'
import { format } from 'date-fns'
import type { DayAhead } from '#core/station/shop/week'
import type { useBenchHours } from '~/composables/bench-hours'
import { useSettings } from '~/stores/settings'
import HoursField from './HoursField.vue'

/** The week ahead: how full each day is, and the hours of each weekday to be changed in place. */
const props = defineProps<{ ahead: readonly DayAhead[]; bench: ReturnType<typeof useBenchHours> }>()
const settings = useSettings()
const days = computed(() =>
  props.ahead.map((day, n) => {
    const at = props.bench.at(day.startMin)
    const weekday = at.getDay()
    const read = props.bench.weekRead.value[weekday]!
    return {
      ...day,
      today: n === 0,
      weekday,
      name: format(at, 'EEE d MMM'),
      long: format(at, 'EEEE'),
      written: props.bench.week.value[weekday] ?? '',
      wrong: n > 0 && !read.ok ? read.message : null,
      share: day.openMin > 0 ? Math.min(1, day.handsMin / day.openMin) : 0,
    }
  }),
)
const emit = defineEmits<{ write: [weekday: number, text: string] }>()
</script>

<template>
  <section class="week" aria-label="The week ahead">
    <div v-for="day in days" :key="day.startMin" class="day">
      <p class="label">{{ day.today ? 'Today' : day.name }}</p>
      <svg viewBox="0 0 100 12" preserveAspectRatio="none" aria-hidden="true">
        <rect class="open" width="100" height="12" />
        <rect class="full" :width="100 * day.share" height="12" />
      </svg>
      <p class="small">
        <template v-if="day.openMin > 0"
          ><span class="figure">{{ day.handsMin > 0 ? settings.text(day.handsMin, 'min') : 'free' }}</span> of
          <span class="figure">{{ settings.text(day.openMin, 'min') }}</span></template
        ><template v-else>off</template>
      </p>
      <HoursField
        v-if="!day.today"
        :model-value="day.written"
        :label="`Hours on ${day.long}`"
        :wrong="day.wrong"
        @update:model-value="emit('write', day.weekday, $event)"
      />
      <p v-if="day.wrong" class="wrong small" role="alert">{{ day.wrong }}</p>
    </div>
  </section>
</template>

<style scoped>
.week {
  display: grid;
  grid-template-columns: repeat(7, minmax(104px, 1fr));
  gap: 12px;
  overflow-x: auto;
  margin: 14px 0;
}
p {
  margin: 0;
}
svg {
  width: 100%;
  height: 9px;
  display: block;
}
.open {
  fill: var(--sheet);
  stroke: var(--hairline);
}
.full {
  fill: var(--slate);
}
.wrong {
  color: var(--stop);
}
</style>
