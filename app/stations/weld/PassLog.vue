<script setup lang="ts">
import { computed, ref, toRef } from 'vue'
import { format } from 'date-fns'
import { onKeyStroke } from '@vueuse/core'
import { SEEN_IN_PUDDLE } from '#core/job/words.table'
import { LESSON_FOR } from '#core/puddle/trainer/lesson-for.table'
import { typingNow } from '~/composables/typing'
import { useSettings } from '~/stores/settings'
import { usePuddleLog } from './use-puddle-log'

/** Passes of one mend, and what each did. */
const props = defineProps<{ mend: string }>()
const KINDS = { root: 'root: hottest, first', fill: 'fill', cap: 'flow the top over' }
/** The current of a pass, where it is not the same all along. */
const amps = ({ ease }: { ease: { fromA: number; toA: number } | null }) => {
  if (!ease) return ''
  const [from, to] = [Math.round(ease.fromA), Math.round(ease.toA)]
  return from === to ? `, ${from} A` : `, ${from} to ${to} A`
}
const route = useRoute()
const settings = useSettings()
const { passes, current, log, move, tick, saw, note } = usePuddleLog(toRef(props, 'mend'))
/** So many rows stand on the page; the rest at a press. */
const SHOWN = 12
const all = ref(false)
const shown = computed(() => (all.value ? log.value : log.value.slice(0, SHOWN)))
const logButtons = ref<HTMLElement | null>(null)
onKeyStroke('l', event => {
  if (typingNow(event)) return
  event.preventDefault()
  logButtons.value?.querySelector('button')?.focus()
})
</script>

<template>
  <template v-if="passes.length">
    <NuxtLink
      class="plain-button bench-link"
      :to="{ path: `/job/${route.params.id}/bench`, query: { mend } }"
      data-testid="to-bench"
      >Full screen, for gloves at the arc</NuxtLink
    >
    <p class="label">Passes, in order</p>
    <ol class="passes">
      <li v-for="pass in passes" :key="pass.number" :class="{ current: pass.number === current && !pass.done }">
        <v-checkbox
          :model-value="pass.done"
          :label="`${pass.number}, side ${pass.side}: ${KINDS[pass.kind]}, ${pass.by}${amps(pass)}${pass.log.length ? ` (${pass.log.map(entry => SEEN_IN_PUDDLE[entry.saw].name).join(', ')})` : ''}`"
          @update:model-value="tick(pass.number, $event)"
        />
      </li>
    </ol>
    <p class="label">What pass {{ current }} did <span class="figure">(l)</span></p>
    <div ref="logButtons" class="row" role="group" aria-label="What the puddle did">
      <button
        v-for="(entry, id) in SEEN_IN_PUDDLE"
        :key="id"
        type="button"
        class="plain-button"
        :data-saw="id"
        @click="saw(id)"
      >
        {{ entry.name }}
      </button>
    </div>
    <p v-if="move" role="status" class="move">Next move: <b>{{ move.move }}</b>.</p>
    <table v-if="log.length">
      <thead>
        <tr>
          <th>At</th>
          <th>Pass</th>
          <th>Saw</th>
          <th class="note">Note</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="entry in shown" :key="entry.id">
          <td class="figure small">{{ format(new Date(entry.at), 'HH:mm:ss') }}</td>
          <td class="num">{{ entry.pass }}</td>
          <td>
            {{ SEEN_IN_PUDDLE[entry.saw].name }}
            <NuxtLink
              v-if="LESSON_FOR[entry.saw]"
              class="small"
              :to="{ path: `/job/${route.params.id}/puddle`, query: { lesson: LESSON_FOR[entry.saw] } }"
              >its lesson</NuxtLink
            ><br /><span class="figure small quiet"
              >{{ entry.settings
              }}{{ entry.temperatureC === undefined ? '' : `, ${settings.text(entry.temperatureC, 'c')}`
              }}{{ entry.picture ? ', picture' : '' }}</span
            >
          </td>
          <td>
            <v-text-field
              :model-value="entry.note"
              :aria-label="`Note on pass ${entry.pass}`"
              maxlength="400"
              @update:model-value="note(entry.id, $event ?? '')"
            />
          </td>
        </tr>
      </tbody>
    </table>
    <button v-if="log.length > SHOWN" type="button" class="plain-button slight" @click="all = !all">
      {{ all ? 'Only the newest' : `All ${log.length}` }}
    </button>
  </template>
</template>

<style scoped>
.passes {
  list-style: none;
  padding: 0;
  margin: 0 0 12px;
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(230px, 1fr));
  column-gap: 12px;
}
.current {
  box-shadow: inset 4px 0 0 var(--chestnut);
  padding-left: 6px;
}
.move {
  margin: 12px 0;
}
td {
  vertical-align: middle;
}
.note {
  width: 42%;
}
.bench-link {
  margin: 14px 0;
}
</style>
