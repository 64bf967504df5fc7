<script setup lang="ts">
import { computed, ref } from 'vue'
import { format } from 'date-fns'
import { onKeyStroke } from '@vueuse/core'
import { SEEN_IN_PUDDLE, type SeenInPuddle } from '#core/job/words.table'
import { typingNow } from '~/composables/typing'
import { useJob } from '~/stores/job'

const KINDS = { root: 'root: hottest, first', fill: 'fill', cap: 'flow the top over' }
const store = useJob()
const weld = computed(() => store.plan?.weld.data)
const passes = computed(() => weld.value?.passes ?? [])
const current = computed(() => passes.value.find(pass => !pass.done)?.number ?? passes.value.length)
const log = computed(() => [...store.job!.weld.log].reverse())
const logButtons = ref<HTMLElement | null>(null)

const tick = (pass: number, on: boolean | null) => store.edit(['weld', 'passesDone'], on ? [...store.job!.weld.passesDone, pass].sort((a, b) => a - b) : store.job!.weld.passesDone.filter(each => each !== pass))
function saw(what: SeenInPuddle) {
  const { setA, enPct, frequencyHz } = weld.value!
  store.edit(['weld', 'log'], [...store.job!.weld.log, { id: crypto.randomUUID(), at: new Date().toISOString(), pass: current.value, saw: what, note: '', settings: `${Math.round(setA)} A, EN ${Math.round(enPct)} %, ${Math.round(frequencyHz)} Hz` }])
}
const note = (id: string, text: string) => store.edit(['weld', 'log'], store.job!.weld.log.map(entry => entry.id === id ? { ...entry, note: text.slice(0, 400) } : entry))
onKeyStroke('l', (event) => {
  if (typingNow(event)) return
  event.preventDefault()
  logButtons.value?.querySelector('button')?.focus()
})
</script>

<template>
  <template v-if="passes.length">
    <p class="label">Passes, in order</p>
    <ol class="passes">
      <li v-for="pass in passes" :key="pass.number" :class="{ current: pass.number === current && !pass.done }">
        <v-checkbox :model-value="pass.done" :label="`${pass.number}, side ${pass.side}: ${KINDS[pass.kind]}${pass.log.length ? ` (${pass.log.map(entry => SEEN_IN_PUDDLE[entry.saw].name).join(', ')})` : ''}`" @update:model-value="tick(pass.number, $event)" />
      </li>
    </ol>
    <p class="label">What pass {{ current }} did <span class="figure">(l)</span></p>
    <div ref="logButtons" class="row" role="group" aria-label="What the puddle did">
      <button v-for="(entry, id) in SEEN_IN_PUDDLE" :key="id" type="button" class="plain-button" :data-saw="id" @click="saw(id)">{{ entry.name }}</button>
    </div>
    <p v-if="weld?.nextMove" role="status" class="move">Next move: <b>{{ weld.nextMove }}</b>.</p>
    <table v-if="log.length">
      <thead><tr><th>At</th><th>Pass</th><th>Saw</th><th>Settings</th><th>Note</th></tr></thead>
      <tbody><tr v-for="entry in log" :key="entry.id"><td class="figure small">{{ format(new Date(entry.at), 'HH:mm:ss') }}</td><td class="num">{{ entry.pass }}</td><td>{{ SEEN_IN_PUDDLE[entry.saw].name }}</td><td class="figure small">{{ entry.settings }}</td><td><v-text-field :model-value="entry.note" :aria-label="`Note on pass ${entry.pass}`" maxlength="400" @update:model-value="note(entry.id, $event ?? '')" /></td></tr></tbody>
    </table>
  </template>
</template>

<style scoped>
.passes { list-style: none; padding: 0; margin: 0 0 12px; display: grid; grid-template-columns: repeat(auto-fill, minmax(230px, 1fr)); column-gap: 12px; }
.current { box-shadow: inset 4px 0 0 var(--chestnut); padding-left: 6px; }
.move { margin: 12px 0; }
td { vertical-align: middle; }
</style>
