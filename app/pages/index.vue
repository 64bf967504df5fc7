<script setup lang="ts">
import { computed, nextTick, onBeforeUnmount, onMounted, ref, watch } from 'vue'
import { format } from 'date-fns'
import { STATION_IDS, STATION_NAMES } from '#core/job/stations.table'
import { findCards, likeCards, type Card } from '#core/job/card'
import { refusalWords } from '~/composables/refusal'
import { useFiles } from '~/composables/use-files'
import { printLabels } from '~/composables/use-labels'
import { useStorage } from '~/composables/use-storage'
import { db } from '~/db/database'
import { useShop } from '~/stores/shop'

const shop = useShop()
const files = useFiles()
const { room, holds } = useStorage()
const route = useRoute()
const router = useRouter()
const find = ref('')
const findField = ref<HTMLElement | null>(null)
const title = ref('')
const customer = ref('')
const trouble = ref<string | null>(null)
/** The job that is about to be taken off. */
const leaving = ref<Card | null>(null)
async function takeOff() {
  if (leaving.value) await shop.takeOff(leaving.value.id)
  leaving.value = null
}
async function takeOut() {
  const job = leaving.value && (await db.jobs.get(leaving.value.id))
  if (job) await files.saveJob(job)
}

/** Rows drawn at first, and as many more at each press. */
const ROWS = 30
const rows = ref(ROWS)
const ORDERS = { updatedAt: 'last touched', takenInAt: 'taken in', dueAt: 'due', title: 'by name' } as const
const order = ref<keyof typeof ORDERS>('updatedAt')
const standing = (card: Card) =>
  card.handedAt ? 'handed over' : card.next ? `at ${STATION_NAMES[card.next]}` : 'all settled'
const STANDS = { all: 'all', open: 'open', handed: 'handed over' } as const
const stands = ref<keyof typeof STANDS>('all')
/** Cards that hold the words; where none does, those with words like them. */
const hits = computed(() => {
  const held = findCards(shop.cards, find.value)
  return held.length ? { cards: held, like: false } : { cards: likeCards(shop.cards, find.value), like: true }
})
const found = computed(() => {
  // The index has them by last touched already; other orders are sorted here.
  const list = hits.value.cards.filter(
    card => stands.value === 'all' || (stands.value === 'open') === (card.handedAt === null),
  )
  if (order.value === 'updatedAt') return list
  const by = order.value
  return list.toSorted((a, b) =>
    by === 'takenInAt'
      ? a.takenInAt < b.takenInAt
        ? 1
        : -1
      : by === 'title'
        ? a.title.localeCompare(b.title)
        : (a.dueAt ?? '~') < (b.dueAt ?? '~')
          ? -1
          : 1,
  )
})
const shown = computed(() => found.value.slice(0, rows.value))
watch([find, order, stands], () => {
  rows.value = ROWS
})
let leave: (() => void) | undefined
onMounted(() => {
  leave = shop.followShelf()
})
onBeforeUnmount(() => leave?.())

async function start() {
  if (!title.value.trim()) return
  try {
    const id = await shop.startJob(title.value, customer.value)
    trouble.value = null
    await router.push(`/job/${id}/take-in`)
  } catch (error) {
    trouble.value = refusalWords(error)
  }
}
/**
 * `/` leads here with ?find: the cursor goes into the field, and the word out of the address, so that it works again.
 */
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
    <div v-if="shop.damaged.length" role="alert" class="unread" data-testid="damaged">
      <p>Damaged, or stored in a shape this version cannot read; left as they are, and holding nothing else back:</p>
      <ul>
        <li v-for="thing in shop.damaged" :key="thing.id">
          <b>{{ thing.title }}</b>: {{ thing.why }}
          <button type="button" class="open-figure" @click="files.saveDamaged([thing])">take its words out</button>
        </li>
      </ul>
    </div>
    <p v-if="trouble" role="alert" class="unread" data-testid="start-trouble">
      Not taken in: {{ trouble }}. What you typed stands.
    </p>
    <p v-if="shop.takenOff?.job" role="status" class="off">
      {{ shop.takenOff.job.title }} is off the shelf.
      <button type="button" class="open-figure" data-testid="put-back" @click="shop.putItBack()">Put it back</button>
    </p>
    <form class="new row" aria-label="New job" @submit.prevent="start">
      <v-text-field v-model="title" label="What is it" maxlength="120" data-testid="new-title" />
      <v-text-field v-model="customer" label="Who brings it" maxlength="120" />
      <button type="submit" class="plain-button strong" :disabled="!title.trim()">Take it in</button>
    </form>

    <div v-if="shop.cards.length" ref="findField" class="row finding">
      <v-text-field
        :model-value="find"
        label="Find a job"
        type="search"
        clearable
        data-testid="find"
        @update:model-value="find = $event ?? ''"
      />
      <label class="order"
        >Order
        <select v-model="order">
          <option v-for="(words, id) in ORDERS" :key="id" :value="id">{{ words }}</option>
        </select></label
      >
      <v-btn-toggle v-model="stands" mandatory aria-label="Which jobs"
        ><v-btn v-for="(words, id) in STANDS" :key="id" :value="id">{{ words }}</v-btn></v-btn-toggle
      >
    </div>
    <table v-if="shown.length" class="jobs">
      <thead>
        <tr>
          <th>Part</th>
          <th class="wide">For</th>
          <th>Stands</th>
          <th class="wide">Strip</th>
          <th class="wide">Taken in</th>
          <th><span class="visually-hidden">Off the shelf</span></th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="job in shown" :key="job.id">
          <td>
            <NuxtLink :to="`/job/${job.id}/${job.next ?? 'hand-over'}`">{{ job.title }}</NuxtLink>
          </td>
          <td class="wide">{{ job.customer }}</td>
          <td>
            {{ standing(job)
            }}<span v-if="job.dueAt && !job.handedAt" class="quiet small figure"
              >, due {{ format(new Date(job.dueAt), 'd MMM') }}</span
            >
          </td>
          <td class="wide">
            <svg
              class="beads"
              viewBox="0 0 100 12"
              role="img"
              :aria-label="`${job.settled.length} of 9 stations settled`"
            >
              <ellipse
                v-for="(id, n) in STATION_IDS"
                :key="id"
                :cx="6 + n * 11"
                cy="6"
                rx="6.5"
                ry="4.5"
                :class="{ laid: job.settled.includes(id) }"
              />
            </svg>
          </td>
          <td class="wide figure small">{{ format(new Date(job.takenInAt), 'd MMM yyyy') }}</td>
          <td class="end">
            <button
              type="button"
              class="plain-button slight small"
              :aria-label="`Take ${job.title} off the shelf`"
              @click="leaving = job"
            >
              off
            </button>
          </td>
        </tr>
      </tbody>
    </table>
    <button v-if="found.length > rows" type="button" class="plain-button" data-testid="more" @click="rows += ROWS">
      {{ found.length - rows }} more
    </button>
    <p v-if="hits.like && shown.length" class="quiet small" role="status">
      Nothing holds “{{ find }}”; these are like it.
    </p>
    <p v-if="!shown.length && shop.cards.length" class="empty">Nothing on the shelf answers to “{{ find }}”.</p>
    <p v-else-if="!shop.cards.length" class="empty">
      The shelf is empty. Name a part above to take it in, bring in a file, or
      <button type="button" class="open-figure" @click="shop.loadDemo()">look round a made-up shop</button>.
    </p>

    <v-dialog
      :model-value="leaving !== null"
      aria-label="Take a job off the shelf"
      @update:model-value="leaving = null"
    >
      <v-card class="leaving">
        <h2>Take {{ leaving?.title }} off the shelf?</h2>
        <p>
          It goes with its pictures and its log. A file of it keeps a copy; it can be put back until the next one is
          taken off or this page is closed.
        </p>
        <div class="row">
          <button type="button" class="plain-button" @click="takeOut()">Take it out as a file</button
          ><button type="button" class="plain-button strong" data-testid="take-off" @click="takeOff()">
            Take it off</button
          ><button type="button" class="plain-button" @click="leaving = null">Leave it</button>
        </div>
      </v-card>
    </v-dialog>
    <h2>Files</h2>
    <p class="quiet small">
      All you enter stays in this browser. Take it out as a file to keep a copy or carry it to another bench; the same
      file brought in twice changes nothing.
    </p>
    <div class="row">
      <button
        type="button"
        class="plain-button"
        :disabled="!shop.cards.length"
        data-testid="backup"
        @click="files.saveShop()"
      >
        Take the whole shop out
      </button>
      <button
        type="button"
        class="plain-button slight"
        :disabled="!shop.cards.length"
        data-testid="csv"
        @click="files.saveTables()"
      >
        Jobs and log as CSV
      </button>
      <button
        type="button"
        class="plain-button slight"
        :disabled="!found.some(card => card.handedAt === null)"
        title="A tag for each open job found above; scanning its code opens the job here"
        data-testid="labels"
        @click="printLabels(found)"
      >
        Labels to print
      </button>
      <label class="plain-button"
        >Bring a file in<input
          type="file"
          accept=".json,.zip,application/json,application/zip"
          class="visually-hidden"
          data-testid="import"
          @change="files.bringIn($event)"
      /></label>
    </div>
    <p v-if="room?.nearlyFull" role="alert" class="unread">
      The browser is nearly full: {{ Math.round(room.usedMB) }} of {{ Math.round(room.quotaMB) }} MB. A backup now would
      hold {{ holds.jobs }} jobs and {{ holds.files }} pictures and shapes; then take old jobs off.
    </p>
    <p v-else-if="room" class="quiet small">
      {{ Math.round(room.usedMB) }} MB used of {{ Math.round(room.quotaMB) }} MB.{{
        room.kept === false
          ? ' The browser has not promised to keep it: take the shop out now and then.'
          : room.kept
            ? ' The browser has promised to keep it.'
            : ''
      }}
      It works with the server gone.
    </p>
    <div v-if="files.report.value" role="status" class="report" :class="{ bad: files.report.value.bad }">
      <p>{{ files.report.value.text }}</p>
      <ul v-if="files.report.value.lines.length">
        <li v-for="line in files.report.value.lines" :key="line">
          <code>{{ line }}</code>
        </li>
      </ul>
    </div>
  </div>
</template>

<style scoped>
.new {
  margin: 14px 0 22px;
  align-items: stretch;
}
.finding {
  flex-wrap: wrap;
  align-items: stretch;
}
.finding > :first-child {
  flex: 3 1 240px;
}
.order {
  flex: 1 1 170px;
  display: flex;
  align-items: center;
  gap: 8px;
}
.order select {
  flex: 1;
  min-height: var(--touch);
  border: 1px solid var(--hairline);
  background: var(--sheet);
  color: var(--soot);
  font: inherit;
  padding: 0 8px;
  border-radius: 2px;
}
.new > :not(button) {
  flex: 1 1 220px;
}
.jobs {
  margin: 14px 0 26px;
}
.jobs td {
  padding: 10px 8px 10px 0;
}
.jobs a {
  font-weight: 600;
  display: inline-block;
  min-height: 30px;
}
.beads {
  width: 120px;
  height: 14px;
  fill: none;
  stroke: var(--hairline);
}
.beads .laid {
  fill: var(--slate);
  stroke: var(--paper);
}
.empty {
  margin: 24px 0;
}
h2 {
  margin: 22px 0 4px;
  font-size: 1.1rem;
}
.unread {
  color: var(--stop);
}
.leaving {
  padding: 18px 20px;
}
.end {
  text-align: right;
}
.jobs td.end {
  padding: 4px 0;
}
.end button {
  padding: 4px 12px;
}
.report {
  border-left: 4px solid var(--slate);
  padding: 6px 12px;
  margin-top: 14px;
}
.report.bad {
  border-color: var(--stop);
}
code {
  font-family: var(--figures);
  font-size: 0.8rem;
}
@media (max-width: 699px) {
  .wide {
    display: none;
  }
}
</style>
