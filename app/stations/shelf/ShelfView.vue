<script setup lang="ts">
import { computed, nextTick, onMounted, ref, watch } from 'vue'
import type { Card } from '#core/job/card'
import { refusalWords } from '~/composables/refusal'
import { useFiles } from '~/composables/use-files'
import { printLabels } from '~/composables/use-labels'
import { db } from '~/db/database'
import { goToShop, WHICH_SHOP } from '~/db/which-shop'
import { useClocks } from '~/stores/clocks'
import { useShop } from '~/stores/shop'
import FirstSteps from './FirstSteps.vue'
import ScreensPiece from './ScreensPiece.vue'
import ShelfRow from './ShelfRow.vue'
import ShopFiles from './ShopFiles.vue'
import { ORDERS, STANDS, useShelf } from './use-shelf'

const shop = useShop()
const files = useFiles()
const route = useRoute()
const router = useRouter()
const { find, order, stands, hits, found, shown, beside, promises, when, turn, left, more } = useShelf()
const newField = ref<HTMLElement | null>(null)
const findField = ref<HTMLElement | null>(null)
const title = ref('')
const customer = ref('')
const trouble = ref<string | null>(null)
/** The job whose other actions are open, and the button they hang on. */
const chosen = ref<{ card: Card; at: HTMLElement } | null>(null)
const clocks = useClocks()
const NO_CLOCKS = new Map<string, (typeof clocks.running)[number][]>()
/** Clocks by their job; a row without one is not drawn anew every second. */
const clocksOf = computed((): ReadonlyMap<string, (typeof clocks.running)[number][]> => {
  if (!clocks.running.length) return NO_CLOCKS
  const by = new Map<string, (typeof clocks.running)[number][]>()
  for (const clock of clocks.running) if (clock.jobId) by.set(clock.jobId, [...(by.get(clock.jobId) ?? []), clock])
  return by
})
/** The job that is about to be taken off. */
const leaving = ref<Card | null>(null)
async function takeOff() {
  const card = leaving.value
  leaving.value = null
  if (card) await shop.takeOff(card.id)
}
async function takeOut(card: Card | null) {
  const job = card && (await db.jobs.get(card.id))
  if (job) await files.saveJob(job)
}

/** A job is on its way: pressed twice, it is taken in once. */
let starting = false
async function start() {
  if (starting || !title.value.trim()) return
  starting = true
  try {
    const id = await shop.startJob(title.value, customer.value)
    trouble.value = null
    await router.push(`/job/${id}/take-in`)
  } catch (error) {
    trouble.value = refusalWords(error)
  } finally {
    starting = false
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

/** Where a shortcut of the device leads: a new job, the one last touched, or its arc. */
async function goWhereAsked() {
  const { go } = route.query
  if (typeof go !== 'string') return
  await router.replace('/')
  if (go === 'new') return void newField.value?.querySelector('input')?.focus()
  const cards = await db.cards.orderBy('updatedAt').reverse().toArray()
  const last = cards.find(card => card.handedAt === null)
  if (last) await router.push(go === 'arc' ? `/job/${last.id}/bench` : `/job/${last.id}/${last.next ?? 'hand-over'}`)
}
onMounted(goWhereAsked)
/** A shop's file that the device opened with this application. */
interface Launched {
  readonly files: readonly { getFile(): Promise<File> }[]
}
onMounted(() => {
  const { launchQueue } = window as { launchQueue?: { setConsumer(take: (launched: Launched) => unknown): void } }
  launchQueue?.setConsumer(async ({ files: opened }) => {
    for (const handle of opened) await files.bringInFile(await handle.getFile())
  })
})
watch(() => route.query.find, focusFind)
</script>

<template>
  <div class="page">
    <h1>Shelf</h1>
    <p v-if="shop.madeUpTrouble" role="alert" class="unread">
      {{ shop.madeUpTrouble }}.
      <button type="button" class="open-figure" @click="goToShop('own')">Back to your own shelf</button>
    </p>
    <div v-if="shop.damaged.length" role="alert" class="unread" data-testid="damaged">
      <p>Damaged, or stored in a shape this version cannot read; left as they are, and holding nothing else back:</p>
      <ul>
        <li v-for="thing in shop.damaged" :key="thing.id">
          <b translate="no">{{ thing.title }}</b>: {{ thing.why }}
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
    <FirstSteps />
    <form ref="newField" class="new row" aria-label="New job" @submit.prevent="start">
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
      <v-select v-model="order" :items="[...ORDERS]" label="In order of" data-testid="order" />
      <v-btn-toggle v-model="stands" mandatory aria-label="Which jobs"
        ><v-btn v-for="(words, id) in STANDS" :key="id" :value="id">{{ words }}</v-btn></v-btn-toggle
      >
    </div>
    <ul v-if="shown.length" class="jobs" aria-label="Jobs">
      <ShelfRow
        v-for="(card, place) in shown"
        :key="place"
        :card="card"
        :beside="beside.get(card.id)"
        :promise="promises.get(card.id)"
        :turn="turn(card)"
        :when="when"
        :clocks="clocksOf.get(card.id)"
        @more="chosen = { card, at: $event }"
      />
    </ul>
    <button v-if="left" type="button" class="plain-button" data-testid="more" @click="more()">{{ left }} more</button>
    <p v-if="hits.like && shown.length" class="quiet small" role="status">
      Nothing holds “{{ find }}”; these are like it.
    </p>
    <p v-if="!shown.length && shop.cards.length" class="empty">Nothing on the shelf answers to “{{ find }}”.</p>
    <p v-else-if="!shop.cards.length" class="empty">
      The shelf is empty. Name a part above to take it in, bring in a file<template v-if="WHICH_SHOP === 'own'"
        >, or
        <button type="button" class="open-figure" @click="goToShop('made-up')">
          look round a made-up shop
        </button></template
      >.
    </p>

    <v-menu
      v-if="chosen"
      :key="chosen.card.id"
      :model-value="true"
      :target="chosen.at"
      location="bottom end"
      @update:model-value="chosen = null"
    >
      <v-list density="compact">
        <v-list-item :to="`/job/${chosen.card.id}/pictures`">Pictures</v-list-item>
        <v-list-item :to="`/job/${chosen.card.id}/shape`">Its shape</v-list-item>
        <v-list-item :to="`/job/${chosen.card.id}/hand-over`">Price and record</v-list-item>
        <v-list-item v-if="!chosen.card.handedAt" @click="printLabels([chosen.card])">A label to print</v-list-item>
        <v-list-item @click="takeOut(chosen.card)">Take it out as a file</v-list-item>
        <v-list-item :aria-label="`Take ${chosen.card.title} off the shelf`" @click="leaving = chosen.card"
          >Off the shelf</v-list-item
        >
      </v-list>
    </v-menu>

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
          <button type="button" class="plain-button" @click="takeOut(leaving)">Take it out as a file</button
          ><button type="button" class="plain-button strong" data-testid="take-off" @click="takeOff()">
            Take it off</button
          ><button type="button" class="plain-button" @click="leaving = null">Leave it</button>
        </div>
      </v-card>
    </v-dialog>
    <ScreensPiece />
    <ShopFiles :found="found" :files="files" />
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
.finding > .v-select {
  flex: 1 1 190px;
}
.new > :not(button) {
  flex: 1 1 220px;
}
.jobs {
  list-style: none;
  padding: 0;
  margin: 14px 0 20px;
  border-top: 1px solid var(--soot);
}
.empty {
  margin: 24px 0;
}
.unread {
  color: var(--stop);
}
.leaving {
  padding: 18px 20px;
}
</style>
