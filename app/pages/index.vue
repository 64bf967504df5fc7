<script setup lang="ts">
import { computed, nextTick, onMounted, ref, watch } from 'vue'
import { format } from 'date-fns'
import Fuse from 'fuse.js'
import { STATION_IDS, STATION_NAMES } from '#core/job/stations.table'
import type { Job } from '#core/job/job.schema'
import { useFiles } from '~/composables/use-files'
import { useShop } from '~/stores/shop'

const shop = useShop()
const files = useFiles()
const route = useRoute()
const router = useRouter()
const find = ref('')
const findField = ref<HTMLElement | null>(null)
const title = ref('')
const customer = ref('')

const index = computed(() => new Fuse(shop.jobs, { keys: ['title', 'customer', 'takeIn.damage', 'handOver.limits'], threshold: 0.35, ignoreLocation: true }))
const shown = computed(() => find.value.trim() ? index.value.search(find.value.trim()).map(hit => hit.item) : shop.jobs)
const standing = (job: Job) => {
  if (job.handOver.handedAt) return 'handed over'
  const next = STATION_IDS.find(id => !job.settled[id])
  return next ? `at ${STATION_NAMES[next]}` : 'all settled'
}
const settledCount = (job: Job) => STATION_IDS.filter(id => job.settled[id]).length

async function start() {
  if (!title.value.trim()) return
  const id = await shop.startJob(title.value, customer.value)
  await router.push(`/job/${id}/take-in`)
}
/** `/` leads here with ?find: the cursor goes into the field, and the word out of the address, so that it works again. */
async function focusFind() {
  if (!route.query.find) return
  await nextTick()
  findField.value?.querySelector('input')?.focus()
  await router.replace('/')
}
onMounted(focusFind)
watch(() => route.query.find, focusFind)
</script>

<template>
  <div class="page">
    <h1>Shelf</h1>
    <form class="new row" aria-label="New job" @submit.prevent="start">
      <v-text-field v-model="title" label="What is it" maxlength="120" data-testid="new-title" />
      <v-text-field v-model="customer" label="Who brings it" maxlength="120" />
      <button type="submit" class="plain-button strong" :disabled="!title.trim()">Take it in</button>
    </form>

    <div v-if="shop.jobs.length" ref="findField"><v-text-field v-model="find" label="Find a job" type="search" clearable data-testid="find" /></div>
    <table v-if="shown.length" class="jobs">
      <thead><tr><th>Part</th><th class="wide">For</th><th>Stands</th><th class="wide">Strip</th><th class="wide">Taken in</th></tr></thead>
      <tbody>
        <tr v-for="job in shown" :key="job.id">
          <td><NuxtLink :to="`/job/${job.id}/${STATION_IDS.find(id => !job.settled[id]) ?? 'hand-over'}`">{{ job.title }}</NuxtLink></td>
          <td class="wide">{{ job.customer }}</td>
          <td>{{ standing(job) }}</td>
          <td class="wide"><svg class="beads" viewBox="0 0 100 12" role="img" :aria-label="`${settledCount(job)} of 9 stations settled`"><ellipse v-for="(id, n) in STATION_IDS" :key="id" :cx="6 + n * 11" cy="6" rx="6.5" ry="4.5" :class="{ laid: job.settled[id] }" /></svg></td>
          <td class="wide figure small">{{ format(new Date(job.takenInAt), 'd MMM yyyy') }}</td>
        </tr>
      </tbody>
    </table>
    <p v-else-if="shop.jobs.length" class="empty">Nothing on the shelf answers to “{{ find }}”.</p>
    <p v-else class="empty">The shelf is empty. Name a part above to take it in, bring in a file, or <button type="button" class="open-figure" @click="shop.loadDemo()">look round a made-up shop</button>.</p>

    <h2>Files</h2>
    <p class="quiet small">All you enter stays in this browser. Take it out as a file to keep a copy or carry it to another bench; the same file brought in twice changes nothing.</p>
    <div class="row">
      <button type="button" class="plain-button" :disabled="!shop.jobs.length" @click="files.saveShop()">Take the whole shop out</button>
      <label class="plain-button">Bring a file in<input type="file" accept=".json,.zip,application/json,application/zip" class="visually-hidden" data-testid="import" @change="files.bringIn($event)"></label>
    </div>
    <div v-if="files.report.value" role="status" class="report" :class="{ bad: files.report.value.bad }">
      <p>{{ files.report.value.text }}</p>
      <ul v-if="files.report.value.lines.length"><li v-for="line in files.report.value.lines" :key="line"><code>{{ line }}</code></li></ul>
    </div>
  </div>
</template>

<style scoped>
.new { margin: 14px 0 22px; align-items: stretch; }
.new > :not(button) { flex: 1 1 220px; }
.jobs { margin: 14px 0 26px; }
.jobs td { padding: 10px 8px 10px 0; }
.jobs a { font-weight: 600; display: inline-block; min-height: 30px; }
.beads { width: 120px; height: 14px; fill: none; stroke: var(--hairline); }
.beads .laid { fill: var(--slate); stroke: var(--paper); }
.empty { margin: 24px 0; }
h2 { margin: 22px 0 4px; font-size: 1.1rem; }
.report { border-left: 4px solid var(--slate); padding: 6px 12px; margin-top: 14px; }
.report.bad { border-color: var(--stop); }
code { font-family: var(--figures); font-size: 0.8rem; }
@media (max-width: 699px) { .wide { display: none; } }
</style>
