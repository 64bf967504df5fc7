<script setup lang="ts">
import { computed } from 'vue'
import { Line } from 'vue-chartjs'
import { slugOutlines } from '#core/station/rebuild/drawings'
import type { ThreadBack } from '#core/station/rebuild/thread-back'
import { COLD } from '#core/fit/cold.table'
import { useChartLook, useLineOptions } from '~/composables/use-chart-look'
import { useSettings } from '~/stores/settings'
import { useOutlines } from './use-outlines'

/** The slug of a boss: the clock of its fit, its sizes, what cools it, and its outlines to cut by. */
const props = defineProps<{ back: ThreadBack }>()
const emit = defineEmits<{ working: [ref: string] }>()
const settings = useSettings()
const look = useChartLook()
const { saveDxf, saveSvg } = useOutlines()
const slug = computed(() => (props.back.slug && 'answer' in props.back.slug ? props.back.slug.answer : null))
const outlines = computed(() => slugOutlines(props.back))
const data = computed(() => ({
  datasets: [
    {
      label: 'gap',
      data: (slug.value?.clock.points ?? []).map(point => ({ x: point.s, y: point.gapMm * 1000 })),
      borderColor: look.value.chestnut,
      borderWidth: 3,
      pointRadius: 0,
    },
  ],
}))
const options = useLineOptions(() => ({ x: 'seconds in the bore', y: 'gap across, µm', fromZero: true }))
</script>

<template>
  <template v-if="slug">
    <p class="label">The clock of the fit: the gap as the slug warms and the body cools</p>
    <div class="chart">
      <Line
        :data="data"
        :options="options"
        role="img"
        aria-label="Gap between slug and bore over the seconds after it is put in"
      />
    </div>
    <table>
      <tbody>
        <tr>
          <th scope="row">Turn the slug to</th>
          <td class="num">
            <button type="button" class="open-figure figure" data-testid="turn-to" @click="emit('working', 'slug')">
              {{ settings.fine(slug.turnToMm) }}
            </button>
          </td>
          <td class="quiet small">
            within {{ settings.fineText(slug.toleranceMm) }}; {{ settings.fineText(slug.interferenceMm) }} over a bore
            of {{ settings.fineText(slug.slugMm) }}
          </td>
        </tr>
        <tr>
          <th scope="row">Wall round it</th>
          <td class="num">{{ settings.text(slug.wallMm, 'mm') }}</td>
          <td class="quiet small">
            hoop {{ settings.text(slug.cold.hubHoopMPa, 'mPa') }}, {{ slug.cold.yieldFactor.toFixed(1) }} times under
            yield{{ slug.hot ? `; hot in service ${slug.hot.yieldFactor.toFixed(1)} times` : '; loose when hot' }}
          </td>
        </tr>
        <tr>
          <th scope="row">Push-out</th>
          <td class="num">{{ settings.text(slug.cold.pushOutN, 'n') }}</td>
          <td class="quiet small">
            {{ slug.hot ? `hot in service ${settings.text(slug.hot.pushOutN, 'n')}` : 'the weld alone when hot' }}
          </td>
        </tr>
        <tr>
          <th scope="row">Until it seizes</th>
          <td class="num">{{ slug.clock.seizesS === null ? 'never' : settings.text(slug.clock.seizesS, 's') }}</td>
          <td class="quiet small">once it is in the bore; half of it where it rubs</td>
        </tr>
        <tr>
          <th scope="row">Weld after facing</th>
          <td class="num">{{ settings.text(slug.groove.deepMm, 'mm') }}</td>
          <td class="quiet small">
            {{ settings.text(slug.groove.wideMm, 'mm') }} across,
            {{ slug.groove.enough ? 'enough' : 'too little: chamfer more' }}
          </td>
        </tr>
      </tbody>
    </table>
    <p class="label gap">How hot the body must be, by what cools the slug</p>
    <table>
      <thead>
        <tr>
          <th>Slug</th>
          <th class="num">at</th>
          <th class="num">Body</th>
          <th>Takes</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="way in slug.ways" :key="way.cold">
          <td>{{ COLD[way.cold].name }}</td>
          <td class="num">{{ settings.text(way.slugC, 'c') }}</td>
          <td class="num">{{ settings.text(Math.ceil(way.hubC), 'c') }}</td>
          <td class="quiet small">{{ COLD[way.cold].wait }}{{ way.softens ? '; softens a tempered body' : '' }}</td>
        </tr>
      </tbody>
    </table>
    <div v-if="outlines" class="row gap">
      <template v-for="(name, what) in { slug: 'Slug', boss: 'Boss' }" :key="what">
        <button
          type="button"
          class="plain-button slight"
          :data-testid="`dxf-${what}`"
          @click="saveDxf(what, outlines[what])"
        >
          {{ name }} as DXF</button
        ><button type="button" class="plain-button slight" @click="saveSvg(what, outlines[what])">as SVG</button>
      </template>
    </div>
  </template>
  <p v-else-if="back.slug && 'reason' in back.slug" class="quiet">No slug: {{ back.slug.reason }}.</p>
</template>

<style scoped>
.chart {
  height: 220px;
  margin-bottom: 12px;
}
.gap {
  margin-top: 14px;
}
th {
  width: 22%;
}
td.num {
  white-space: nowrap;
}
@media (max-width: 480px) {
  td.num,
  td.num .figure {
    white-space: normal;
  }
  td.quiet {
    overflow-wrap: anywhere;
    hyphens: auto;
  }
}
</style>
