<script setup lang="ts">
import { inTurn } from '#core/station/mends/mend-row'
import { mendCall } from '#core/station/mends/mend-words'
import { computed } from 'vue'
import SentenceLine from '~/bench/SentenceLine.vue'
import SectionDrawing from '~/drawing/SectionDrawing.vue'
import { useJob } from '~/stores/job'
import { useMends } from './use-mend'

/** Every mend of the part at a glance, in the order they are taken on: its section, and what a station says of it. */
defineProps<{ station: 'open' | 'weld' | 'rebuild' }>()
const store = useJob()
const { to } = useMends()
const rows = computed(() => inTurn(store.plan?.mends.rows ?? []))
</script>

<template>
  <ol class="mends" aria-label="The mends, in the order they are taken on">
    <li v-for="row in rows" :key="row.id">
      <NuxtLink :to="to(row.id)" :data-at-once="row.kind">
        <SectionDrawing v-if="row.section" :section="row.section" plain />
        <span v-else class="none quiet small">not drawn yet</span>
        <span class="say"><SentenceLine :sentence="mendCall(row, station)" /></span>
      </NuxtLink>
    </li>
  </ol>
</template>

<style scoped>
.mends {
  list-style: none;
  margin: 0 0 14px;
  padding: 0;
}
li {
  border-bottom: 1px solid var(--hairline);
}
a {
  display: grid;
  grid-template-columns: 168px minmax(0, 1fr);
  gap: 16px;
  align-items: center;
  min-height: 76px;
  padding: 6px 0;
  color: inherit;
  text-decoration: none;
}
a:hover .say {
  text-decoration: underline;
}
a :deep(svg) {
  max-height: 96px;
}
.none {
  text-align: center;
}
@media (max-width: 520px) {
  a {
    grid-template-columns: 108px minmax(0, 1fr);
    gap: 10px;
  }
}
</style>
