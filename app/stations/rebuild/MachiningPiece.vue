<script setup lang="ts">
import { computed } from 'vue'
import type { MachiningList } from '#core/station/rebuild/machining'
import SentenceLine from '~/bench/SentenceLine.vue'
import { useSettings } from '~/stores/settings'

/** The list at the machine, step by step, with what is done of it. */
const props = defineProps<{ list: MachiningList | null; done: readonly string[] }>()
const emit = defineEmits<{ tick: [id: string, on: boolean] }>()
const settings = useSettings()
const ticked = computed(() => props.list?.steps.filter(step => props.done.includes(step.id)).length ?? 0)
const print = () => window.print()
</script>

<template>
  <template v-if="list">
    <div class="row head">
      <p class="label">At the machine, {{ ticked }} of {{ list.steps.length }}</p>
      <button type="button" class="plain-button slight no-print" @click="print()">Print</button>
    </div>
    <ol class="list" data-testid="machining">
      <li v-for="step in list.steps" :key="step.id" :class="{ done: done.includes(step.id) }">
        <v-checkbox
          :model-value="done.includes(step.id)"
          :aria-label="step.id"
          @update:model-value="emit('tick', step.id, $event === true)"
        />
        <div>
          <SentenceLine :sentence="step.say" />
          <p v-if="step.spindle || step.why" class="quiet small">
            <template v-if="step.spindle"
              >{{ Math.round(step.spindle.rpm / 10) * 10 }} rpm,
              {{ settings.text(step.spindle.feedMmMin / 1000, 'mMin') }}</template
            ><template v-if="step.spindle && step.why">; </template>{{ step.why }}
          </p>
        </div>
      </li>
    </ol>
    <template v-if="list.tapDrills.length">
      <p class="label">Drills there are, by the thread they leave</p>
      <table>
        <thead>
          <tr>
            <th>Drill</th>
            <th class="num">Across</th>
            <th class="num">Thread</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="drill in list.tapDrills.slice(0, 5)" :key="drill.name">
            <td>{{ drill.name }}</td>
            <td class="num">{{ settings.both(drill.mm, 'mm') }}</td>
            <td class="num">{{ Math.round(drill.threadPct) }} %</td>
          </tr>
        </tbody>
      </table>
    </template>
    <p class="quiet small">Speeds for high-speed steel; the machine, the tool's maker and how it sounds come first.</p>
  </template>
  <p v-else class="quiet">
    With the thread, its depth and the boss, the list at the machine stands here, for the way that is chosen.
  </p>
</template>

<style scoped>
.head {
  justify-content: space-between;
}
.list {
  padding: 0;
  list-style: none;
  counter-reset: step;
  margin: 6px 0 14px;
}
li {
  display: grid;
  grid-template-columns: 44px 1fr;
  border-bottom: 1px solid var(--hairline);
  padding: 4px 0;
  align-items: start;
}
li > div {
  padding: 12px 0 9px;
}
li p {
  margin: 0;
}
.done > div {
  color: var(--slate);
  text-decoration: line-through;
}
</style>
