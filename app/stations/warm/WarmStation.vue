<script setup lang="ts">
import { computed } from 'vue'
import PickField from '~/bench/PickField.vue'
import ReadingField from '~/bench/ReadingField.vue'
import StationFrame from '~/bench/StationFrame.vue'
import { useJob } from '~/stores/job'
import { useSettings } from '~/stores/settings'
import { useShop } from '~/stores/shop'
import HeatingCurve from './HeatingCurve.vue'

const shop = useShop()
const store = useJob()
const settings = useSettings()
const route = useRoute()
const decided = computed(() => {
  const warmth = store.plan?.warm.data.warmth
  if (store.job?.warm.targetC.value != null) return 'clear it to have it decided'
  if (!warmth) return 'empty: decided by what lies on the bench'
  return warmth.need === 'none'
    ? 'empty: decided, and it wants none'
    : `empty: decided, ${settings.text(warmth.toC, 'c')}`
})
const torches = computed(() => Object.fromEntries(shop.kit.torches.map(torch => [torch.id, torch.name])))
</script>

<template>
  <StationFrame id="warm">
    <template #readings>
      <PickField v-if="shop.kit.torches.length" path="warm.torch" :words="torches" />
      <p v-else>No torch in the kit yet. <NuxtLink to="/kit">Put one in</NuxtLink>.</p>
      <PickField path="warm.school" />
      <ReadingField path="warm.targetC" :note="decided" />
      <ReadingField path="warm.startC" />
      <ReadingField path="warm.massG" />
      <ReadingField path="takeIn.lengthMm" />
      <ReadingField path="takeIn.widthMm" />
      <ReadingField path="takeIn.heightMm" />
      <ReadingField path="takeIn.wallMm" />
    </template>
    <template #piece="{ working }">
      <HeatingCurve @working="working" />
      <NuxtLink class="plain-button" :to="`/job/${route.params.id}/heat`" data-testid="to-heat-bench"
        >Heat bench: where the heat goes, and which seal lives</NuxtLink
      >
    </template>
  </StationFrame>
</template>
