<script setup lang="ts">
import type { PromisedJob } from '#core/station/shop/day'
import { useSettings } from '~/stores/settings'

/** What is promised, and how much room the plan leaves before each promise breaks: the tightest first. */
defineProps<{ promises: readonly PromisedJob[]; when: (minutes: number) => string }>()
const settings = useSettings()
</script>

<template>
  <section data-testid="promises">
    <p class="label">Promised</p>
    <ul>
      <li v-for="job in promises" :key="job.id" :class="{ broken: job.roomMin < 0 }">
        <NuxtLink :to="`/job/${job.id}/take-in`" translate="no">{{ job.title }}</NuxtLink>
        <span
          ><template v-if="job.dueMin > 0">for <span class="figure">{{ when(job.dueMin) }}</span></template
          ><template v-else>for a day that has gone</template>, done
          <span class="figure">{{ when(job.endMin) }}</span></span
        >
        <span v-if="job.roomMin < 0"
          ><b>does not hold</b>, <span class="figure">{{ settings.text(-job.roomMin, 'min') }}</span> late</span
        >
        <span v-else><span class="figure">{{ settings.text(job.roomMin, 'min') }}</span> to spare</span>
      </li>
    </ul>
  </section>
</template>

<style scoped>
section {
  margin: 12px 0;
}
ul {
  list-style: none;
  padding: 0;
  margin: 4px 0 0;
}
li {
  display: grid;
  grid-template-columns: minmax(0, 2fr) minmax(0, 2fr) minmax(0, 1.4fr);
  gap: 2px 14px;
  padding: 5px 0 5px 10px;
  border-left: 4px solid transparent;
  border-bottom: 1px solid var(--hairline);
  overflow-wrap: anywhere;
}
.broken {
  border-left-color: var(--hazard);
}
@media (max-width: 599px) {
  li {
    grid-template-columns: 1fr;
  }
}
</style>
