<script setup lang="ts">
import { computed } from 'vue'
import { useJob } from '~/stores/job'
import SentenceLine from './SentenceLine.vue'

/** What the price goes by that nobody has said: each a press from its field. */
const store = useJob()
const assumed = computed(() => store.plan?.['hand-over'].data.assumed ?? [])
const to = ({ at, path }: (typeof assumed.value)[number]) =>
  at === 'kit' ? { path: '/kit', query: { at: path } } : { path: `/job/${store.job!.id}/${at}`, query: { at: path } }
</script>

<template>
  <div v-if="assumed.length" class="assumed" data-testid="assumed">
    <p class="label">Assumed in this price</p>
    <ul>
      <li v-for="entry in assumed" :key="entry.id">
        <NuxtLink :to="to(entry)" :data-assumed="entry.id"><SentenceLine :sentence="entry.words" /></NuxtLink>
      </li>
    </ul>
  </div>
</template>

<style scoped>
.assumed {
  border-left: 4px solid var(--slate);
  padding-left: 10px;
  margin: 12px 0;
}
p {
  margin: 0;
}
ul {
  list-style: none;
  margin: 2px 0 0;
  padding: 0;
}
a {
  display: inline-block;
  padding: 6px 0;
}
</style>
