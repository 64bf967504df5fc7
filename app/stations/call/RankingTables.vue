<script setup lang="ts">
import { computed } from 'vue'
import { useJob } from '~/stores/job'
import { useSettings } from '~/stores/settings'

const emit = defineEmits<{ working: [ref: string] }>()
const store = useJob()
const settings = useSettings()
const data = computed(() => store.plan?.call.data)
</script>

<template>
  <template v-if="data">
    <p class="label gap">
      Processes <button type="button" class="open-figure" @click="emit('working', 'process')">working</button>
    </p>
    <table>
      <tbody>
        <tr v-for="entry in data.processes" :key="entry.process">
          <td>
            <b>{{ entry.name }}</b>
          </td>
          <td>{{ entry.verdict }}</td>
          <td class="num">{{ entry.verdict === 'never' ? '' : settings.text(entry.minutes, 'min') }}</td>
          <td class="quiet small">{{ entry.reasons.join('; ') }}</td>
        </tr>
      </tbody>
    </table>
    <p class="label gap">
      Fillers <button type="button" class="open-figure" @click="emit('working', 'filler')">working</button>
    </p>
    <table>
      <thead>
        <tr>
          <th>Filler</th>
          <th>Says</th>
          <th class="num">Crack index</th>
          <th class="num">Strength</th>
          <th>Why</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="entry in data.fillers" :key="entry.filler" :class="{ chosen: entry.filler === data.filler }">
          <td class="figure">{{ entry.filler }}</td>
          <td>{{ entry.verdict }}</td>
          <td class="num">{{ entry.crackIndex.toFixed(2) }}</td>
          <td class="num">{{ settings.text(entry.uts_MPa, 'mPa') }}</td>
          <td class="quiet small">{{ entry.reasons.join('; ') }}</td>
        </tr>
      </tbody>
    </table>
  </template>
</template>

<style scoped>
.chosen td:first-child {
  font-weight: 700;
  color: var(--chestnut);
}
.gap {
  margin-top: 18px;
}
</style>
