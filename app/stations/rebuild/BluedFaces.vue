<script setup lang="ts">
import { computed } from 'vue'
import { PICTURE_STAGES } from '#core/job/picture.schema'
import { blueMap } from '#core/plan/pictures'
import { evenWords } from '#core/photo/even'
import { useJob } from '~/stores/job'

const store = useJob()
const blued = computed(() =>
  (store.job?.pictures ?? []).flatMap(picture =>
    picture.blue ? [{ ...picture, blue: picture.blue, map: blueMap(picture) }] : [],
  ),
)
</script>

<template>
  <template v-if="blued.length">
    <p class="label">Blue, counted in pictures</p>
    <div class="maps">
      <figure v-for="face in blued.filter(each => each.map)" :key="face.id">
        <svg
          :viewBox="`-2 -2 ${face.map!.wide + 4} ${face.map!.high + 4}`"
          role="img"
          :aria-label="`${face.name}: where the blue lay, ${face.blue.patches.length} patches`"
        >
          <polygon :points="face.map!.outline.map(point => point.join(',')).join(' ')" class="face" />
          <circle
            v-for="(patch, n) in face.map!.patches"
            :key="n"
            :cx="patch.at[0]"
            :cy="patch.at[1]"
            :r="patch.r"
            class="patch"
          />
        </svg>
        <figcaption class="small quiet">
          {{ PICTURE_STAGES[face.stage] }}: {{ face.blue.sharePct.toFixed(0) }} % bears
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
