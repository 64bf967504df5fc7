<script setup lang="ts">
import { onBeforeUnmount, watch } from 'vue'
import { useFiles } from '~/composables/use-files'
import { useJob } from '~/stores/job'

const route = useRoute()
const store = useJob()
const files = useFiles()
let opened = ''
watch(
  () => route.params.id,
  id => {
    if (typeof id === 'string') void store.open((opened = id))
  },
  { immediate: true },
)
onBeforeUnmount(() => store.close(opened))
</script>

<template>
  <div v-if="store.missing" class="page">
    <h1>There is no such job on this shelf</h1>
    <p>
      It may have been taken away in another tab, or live on another bench.
      <NuxtLink to="/">Back to the shelf</NuxtLink>.
    </p>
  </div>
  <div v-else-if="store.damaged" class="page">
    <h1>{{ store.damaged.title }} is damaged</h1>
    <p>
      It is stored in a shape this version cannot read, and was left as it is: {{ store.damaged.why }}. The other jobs
      are not touched by it.
    </p>
    <div class="row">
      <button type="button" class="plain-button strong" @click="files.saveDamaged([store.damaged])">
        Take its words out</button
      ><NuxtLink class="plain-button" to="/">Back to the shelf</NuxtLink>
    </div>
  </div>
  <template v-else-if="store.job">
    <p v-if="store.gone" class="gone" role="alert" data-testid="gone">
      This job was taken off the shelf in another tab or on another screen. What stands here is not stored.
      <button type="button" class="plain-button slight" data-testid="gone-put-back" @click="store.putBack()">
        Put it back as it stands here
      </button>
    </p>
    <p v-if="store.planError" class="gone no-print" role="alert" data-testid="plan-trouble">
      {{
        store.plan
          ? `What stands here is from before the last change; with it, it could not be worked out: ${store.planError}.`
          : `This could not be worked out: ${store.planError}.`
      }}
      What you entered is stored; it is tried again, or undo the last change.
      <button type="button" class="plain-button slight" @click="store.planAgain()">Try now</button>
    </p>
    <NuxtPage />
  </template>
</template>

<style scoped>
.gone {
  display: flex;
  flex-wrap: wrap;
  gap: 10px;
  align-items: center;
  margin: 0;
  padding: 8px 24px;
  background: var(--stop);
  color: var(--paper);
}
.gone .plain-button {
  background: var(--paper);
  color: var(--soot);
}
</style>
