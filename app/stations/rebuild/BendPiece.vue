<script setup lang="ts">
import { computed } from 'vue'
import type { MendRow } from '#core/station/mends/mend-row'
import { useSettings } from '~/stores/settings'

/** A bend pressed back: how far past straight each time, and what it should then read. */
const props = defineProps<{ found: MendRow['bend'] }>()
const settings = useSettings()
const bend = computed(() => (props.found && 'answer' in props.found ? props.found.answer : null))
</script>

<template>
  <template v-if="bend">
    <p class="label">Pressing it back</p>
    <table data-testid="bend">
      <thead>
        <tr>
          <th>Press</th>
          <th class="num">past straight by</th>
          <th class="num">then it should stand out</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="(step, n) in bend.steps" :key="n">
          <td>{{ n + 1 }}</td>
          <td class="num">{{ settings.both(step.pressPastMm, 'mm') }}</td>
          <td class="num">{{ settings.both(step.expectMm, 'mm') }}</td>
        </tr>
      </tbody>
    </table>
    <p class="quiet small">
      Less than nothing is short of straight: it springs back {{ settings.text(bend.springMm, 'mm') }}. The bend strains
      it {{ bend.strainPct.toFixed(1) }} %{{
        bend.mayCrack ? ': warm it first, and look with dye after each press' : ''
      }}.
    </p>
  </template>
</template>
