<script setup lang="ts">
import { computed } from 'vue'
import { PICTURE_STAGES } from '#core/job/picture.schema'
import { evenWords } from '#core/photo/even'
import { useJob } from '~/stores/job'

const store = useJob()
const blued = computed(() =>
  (store.job?.pictures ?? []).flatMap(({ id, name, stage, blue }) => (blue ? [{ id, name, stage, blue }] : [])),
)
</script>

<template>
  <template v-if="blued.length">
    <p class="label">Blue, counted in pictures</p>
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
