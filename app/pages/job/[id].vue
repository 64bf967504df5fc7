<script setup lang="ts">
import { onBeforeUnmount, watch } from 'vue'
import { useJob } from '~/stores/job'

const route = useRoute()
const store = useJob()
watch(() => route.params.id, (id) => { if (typeof id === 'string') void store.open(id) }, { immediate: true })
onBeforeUnmount(() => store.close())
</script>

<template>
  <div v-if="store.missing" class="page">
    <h1>There is no such job on this shelf</h1>
    <p>It may have been taken away in another tab, or live on another bench. <NuxtLink to="/">Back to the shelf</NuxtLink>.</p>
  </div>
  <NuxtPage v-else-if="store.job" />
</template>
