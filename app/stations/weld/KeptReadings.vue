<script setup lang="ts">
import { computed } from 'vue'
import { format } from 'date-fns'
import { toCsv } from '#core/instrument/lines'
import { download, fileName } from '~/composables/use-files'
import { useJob } from '~/stores/job'
import { useSettings } from '~/stores/settings'

const SHOWN = 12
const store = useJob()
const settings = useSettings()
const readings = computed(() => store.job?.readings ?? [])
const newest = computed(() => readings.value.slice(-SHOWN).reverse())
const drop = (id: string) =>
  store.edit(
    ['readings'],
    readings.value.filter(entry => entry.id !== id),
  )
const save = () =>
  download(
    `${fileName(store.job!.title)}.readings.csv`,
    toCsv(
      readings.value.map(({ at, instrument, channel, value, unit }, n) => ({
        at,
        n,
        instrument,
        channel,
        value,
        unit,
      })),
    ),
    'text/csv',
  )
</script>

<template>
  <template v-if="readings.length">
    <p class="label gap">Readings kept, {{ readings.length }}</p>
    <table data-testid="kept-readings">
      <thead>
        <tr>
          <th>At</th>
          <th>Instrument</th>
          <th class="num">Read</th>
          <th />
        </tr>
      </thead>
      <tbody>
        <tr v-for="entry in newest" :key="entry.id">
          <td class="figure small">{{ format(new Date(entry.at), 'd MMM HH:mm:ss') }}</td>
          <td>{{ entry.instrument }} {{ entry.channel }}</td>
          <td class="num">{{ settings.text(entry.value, entry.unit) }}</td>
          <td>
            <button
              type="button"
              class="open-figure"
              :aria-label="`Take the reading of ${entry.instrument} out`"
              @click="drop(entry.id)"
            >
              out
            </button>
          </td>
        </tr>
      </tbody>
    </table>
    <p v-if="readings.length > SHOWN" class="quiet small">The newest {{ SHOWN }} stand here; all are in the file.</p>
    <button type="button" class="plain-button slight" @click="save">Readings as CSV</button>
  </template>
</template>

<style scoped>
.gap {
  margin-top: 18px;
}
</style>
