<script setup lang="ts">
import { PICTURE_STAGES } from '#core/job/picture.schema'
import { evenWords } from '#core/photo/even'
import { useJob } from '~/stores/job'
import { useBlue } from './use-blue'

const store = useJob()
const { blued, maps } = useBlue()
const WIDE = 160
const points = (edge: readonly (readonly [number, number])[], highMm: number) =>
  edge.map(([x, y]) => `${(x * WIDE).toFixed(1)},${((highMm - y) * WIDE).toFixed(1)}`).join(' ')
</script>

<template>
  <template v-if="blued.length">
    <p class="label">Blue, counted in pictures</p>
    <div class="maps">
      <figure v-for="{ picture, own, placed } in maps" :key="picture.id">
        <svg
          :viewBox="`-2 -2 ${own.wideMm * WIDE + 4} ${own.highMm * WIDE + 4}`"
          role="img"
          :aria-label="`${picture.name}: where the blue lay, ${picture.blue.patches.length} patches`"
        >
          <polygon :points="points(placed.outlineMm, own.highMm)" class="face" />
          <polygon
            v-for="(patch, n) in placed.patches"
            :key="n"
            :points="points(patch.edgeMm, own.highMm)"
            class="patch"
          />
        </svg>
        <figcaption class="small quiet">
          {{ PICTURE_STAGES[picture.stage] }}: {{ picture.blue.sharePct.toFixed(0) }} % bears
        </figcaption>
      </figure>
    </div>
    <table data-testid="blued-faces">
      <tbody>
        <tr v-for="face in blued" :key="face.id">
          <td>
            <NuxtLink :to="`/job/${store.job!.id}/pictures`">{{ face.name || 'a picture' }}</NuxtLink>
            <span class="quiet small"> {{ PICTURE_STAGES[face.stage] }}</span>
          </td>
          <td class="num">{{ face.blue.sharePct.toFixed(0) }} ± {{ face.blue.uncertaintyPct.toFixed(0) }} % bears</td>
          <td>{{ evenWords(face.blue.even) }}</td>
          <td class="num">{{ face.blue.patches.length }} {{ face.blue.patches.length === 1 ? 'patch' : 'patches' }}</td>
        </tr>
      </tbody>
    </table>
  </template>
</template>

<style scoped>
.maps {
  display: flex;
  flex-wrap: wrap;
  gap: 14px;
  margin-bottom: 8px;
}
figure {
  margin: 0;
  width: 170px;
}
svg {
  width: 100%;
  display: block;
}
.face {
  fill: var(--metal);
  stroke: var(--soot);
}
.patch {
  fill: var(--new-metal-wash);
  stroke: var(--new-metal);
}
</style>
