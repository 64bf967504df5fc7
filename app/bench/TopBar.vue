<script setup lang="ts">
import { computed, ref } from 'vue'
import { useMediaQuery } from '@vueuse/core'
import { format } from 'date-fns'
import { useInstall } from '~/composables/use-install'
import { useJob } from '~/stores/job'
import ReadingWays from './ReadingWays.vue'

const props = defineProps<{ jobId: string | null }>()
const emit = defineEmits<{ keys: [] }>()
const store = useJob()
const job = computed(() => (props.jobId && store.job?.id === props.jobId ? store.job : null))
/** A phone or a small tablet: one line, and the rest in one menu. */
const narrow = useMediaQuery('(max-width: 899px)')
/** Not a phone, but too narrow for all in one line beside a job's name. */
const tight = useMediaQuery('(max-width: 1199px)')
const menu = ref(false)
const { offer, install } = useInstall()
const ROOMS = [
  ['/', 'Shelf'],
  ['/day', 'Day'],
  ['/threads', 'Threads'],
  ['/kit', 'Kit'],
  ['/lessons', 'Lessons'],
  ['/ask', 'Ask'],
] as const

function keys() {
  menu.value = false
  emit('keys')
}
</script>

<template>
  <header class="top no-print" :class="{ narrow }">
    <NuxtLink to="/" class="mark" aria-label="Wild Sparrow: the shelf"
      ><img src="/sparrow.svg" alt="" width="30" height="30"
    /></NuxtLink>
    <div v-if="job" class="title">
      <strong translate="no">{{ job.title }}</strong>
      <span v-if="!narrow" class="quiet"
        ><template v-if="job.customer">for <span translate="no">{{ job.customer }}</span> · </template>taken in
        {{ format(new Date(job.takenInAt), 'd MMM') }}</span
      >
    </div>
    <strong v-else class="title name">Wild Sparrow</strong>
    <nav v-if="!narrow || !jobId" aria-label="Main" class="links">
      <NuxtLink v-for="[to, name] in ROOMS" :key="to" :to="to">{{ name }}</NuxtLink>
    </nav>
    <div v-if="job" class="row undoing">
      <button
        type="button"
        class="plain-button slight"
        :disabled="!store.canUndo"
        aria-label="Undo"
        title="Undo"
        @click="store.undo()"
      >
        ↶
      </button>
      <button
        type="button"
        class="plain-button slight"
        :disabled="!store.canRedo"
        aria-label="Redo"
        title="Redo"
        @click="store.redo()"
      >
        ↷
      </button>
    </div>
    <ReadingWays v-if="!tight" @keys="keys" />
    <v-menu v-else v-model="menu" :close-on-content-click="false" location="bottom end">
      <template #activator="{ props: opens }">
        <button type="button" class="plain-button slight menu" data-testid="menu" v-bind="opens">menu</button>
      </template>
      <div class="sheet">
        <nav v-if="jobId && narrow" aria-label="Main" class="rooms">
          <NuxtLink v-for="[to, name] in ROOMS" :key="to" :to="to" @click="menu = false">{{ name }}</NuxtLink>
        </nav>
        <ReadingWays stacked @keys="keys" />
        <button v-if="offer" type="button" class="plain-button" @click="install()">Keep it on this device</button>
      </div>
    </v-menu>
  </header>
</template>

<style scoped>
.top {
  display: flex;
  align-items: center;
  gap: 14px;
  padding: 4px 18px;
  border-bottom: 1px solid var(--soot);
  min-height: 52px;
}
.mark {
  display: flex;
  min-width: 34px;
}
.title {
  flex: 1 1 160px;
  min-width: 0;
  font-size: 0.92rem;
  line-height: 1.2;
  overflow-wrap: anywhere;
}
.title > * {
  display: block;
}
.title .quiet {
  font-size: 0.82rem;
}
.name {
  font-size: 1rem;
}
.links {
  display: flex;
  gap: 2px;
}
.links a {
  padding: 10px;
  text-decoration: none;
  color: var(--soot);
  font-weight: 550;
  min-height: var(--touch);
}
.links .router-link-exact-active {
  color: var(--chestnut);
  box-shadow: inset 0 -3px 0 var(--chestnut);
}
.undoing {
  gap: 6px;
  flex-wrap: nowrap;
}
.narrow {
  padding: 4px 12px;
  gap: 8px;
  flex-wrap: wrap;
}
.narrow .title {
  flex-basis: 0;
}
.narrow .links {
  order: 5;
  width: 100%;
  justify-content: space-between;
}
.narrow .links a {
  padding: 10px 4px;
  font-size: 0.95rem;
}
.sheet {
  display: flex;
  flex-direction: column;
  gap: 12px;
  padding: 14px;
  min-width: 250px;
  background: var(--sheet);
  color: var(--soot);
  border: 1px solid var(--soot);
}
.rooms {
  display: grid;
  grid-template-columns: 1fr 1fr;
}
.rooms a {
  padding: 12px 8px;
  min-height: var(--touch);
  text-decoration: none;
  color: var(--soot);
  font-weight: 550;
}
</style>
