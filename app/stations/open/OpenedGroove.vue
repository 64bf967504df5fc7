<script setup lang="ts">
import { computed } from 'vue'
import { said } from '#core/job/fields/said'
import { write } from '#core/quantity/show'
import GrooveAcross from '~/drawing/GrooveAcross.vue'
import GrooveAlong from '~/drawing/GrooveAlong.vue'
import { useJob } from '~/stores/job'

/** The first opening's groove across and along, its lip and root to take hold of. */
const store = useJob()
const groove = computed(() => store.plan?.open.data.drawn ?? null)
const liveDeg = computed(() => said(store.job!, 'open').includedDeg)
const setAngle = (deg: number) => store.edit(['open', 'includedDeg'], { typed: `${deg} °`, value: deg })
function setLand(mm: number) {
  store.edit(['open', 'keepBreak'], mm > 0)
  store.edit(['open', 'landMm'], { typed: write(mm, 'mm', 'metric'), value: mm })
}
</script>

<template>
  <template v-if="groove">
    <GrooveAcross
      :groove="groove"
      title="Across the crack"
      :live-deg="liveDeg"
      lip
      root
      @angle="setAngle"
      @land="setLand"
    />
    <GrooveAlong :groove="groove" />
  </template>
  <template v-else>
    <p class="label">Across the crack</p>
    <p class="quiet">Put in the crack you can see and the wall: the groove is drawn here to scale with its passes.</p>
  </template>
</template>
