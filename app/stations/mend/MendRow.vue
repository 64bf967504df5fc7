<script setup lang="ts">
import { wayName } from '#core/mend/way-name'
import { nextTick, ref } from 'vue'
import { MOST_MENDS } from '#core/job/new-mend'
import { kindOf, type KindId } from '#core/mend/registry'
import { FIRST_READING, focusWhenThere } from '~/composables/kept-focus'
import KindSketch from '~/drawing/KindSketch.vue'
import { useJob } from '~/stores/job'
import { useSettings } from '~/stores/settings'
import { useMends } from './use-mend'

const store = useJob()
const settings = useSettings()
const { all, current, show, add, kinds } = useMends()
const choosing = ref(false)
function pick(kind: KindId) {
  if (add(kind) !== null) return
  choosing.value = false
  void nextTick(() => focusWhenThere(FIRST_READING))
}
const standing = (id: string) => {
  const row = store.plan?.mends.rows.find(each => each.id === id)
  if (!row) return ''
  if (row.wants.length) return `wants ${row.wants[0]}`
  if (!row.planned) return row.reason ?? ''
  return row.planned.depositG > 0
    ? `${settings.text(row.planned.depositG, 'g')} laid`
    : row.planned.way
      ? wayName(row.kind, row.planned.way)
      : 'planned'
}
</script>

<template>
  <nav class="mends no-print" aria-label="Mends of this part">
    <button
      v-if="all.length > 1"
      type="button"
      class="mend"
      :aria-current="current ? undefined : 'true'"
      data-testid="whole-part"
      @click="show(null)"
    >
      <b>The whole part</b><span class="small quiet">what is done for all of them</span>
    </button>
    <button
      v-for="mend in all"
      :key="mend.id"
      type="button"
      class="mend"
      :aria-current="mend.id === current?.id ? 'true' : undefined"
      :data-mend="mend.kind"
      @click="show(mend.id)"
    >
      <KindSketch :kind="mend.kind" />
      <span
        ><b>{{ mend.name || kindOf(mend.kind).name }}</b><span class="small quiet">{{ standing(mend.id) }}</span></span
      >
    </button>
    <button
      type="button"
      class="mend add"
      data-testid="add-mend"
      :disabled="all.length >= MOST_MENDS"
      @click="choosing = true"
    >
      <b>Add a mend</b><span class="small quiet">what else is broken</span>
    </button>
    <v-dialog v-model="choosing" aria-label="What is broken" max-width="640">
      <v-card class="kinds">
        <h2>What is broken?</h2>
        <div class="grid">
          <button
            v-for="kind in kinds"
            :key="kind.id"
            type="button"
            class="plain-button"
            :data-kind="kind.id"
            @click="pick(kind.id)"
          >
            <KindSketch :kind="kind.id" />{{ kind.name }}
          </button>
        </div>
        <button type="button" class="plain-button slight" @click="choosing = false">Leave it</button>
      </v-card>
    </v-dialog>
  </nav>
</template>

<style scoped>
.mends {
  display: flex;
  overflow-x: auto;
  border-top: 1px solid var(--hairline);
  border-bottom: 1px solid var(--hairline);
  background: var(--paper);
}
.mend {
  flex: 0 0 auto;
  max-width: 220px;
  min-height: 54px;
  padding: 6px 16px;
  text-align: left;
  border: 0;
  border-right: 1px solid var(--hairline);
  background: none;
  color: var(--soot);
  font: inherit;
  cursor: pointer;
  display: grid;
  align-content: center;
  line-height: 1.25;
}
.mend b {
  font-weight: 600;
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
}
.mend[data-mend] {
  grid-template-columns: auto minmax(0, 1fr);
  gap: 10px;
  align-items: center;
}
.mend b,
.mend span span {
  display: block;
}
.kinds .plain-button {
  gap: 10px;
}
.mend b::first-letter {
  text-transform: uppercase;
}
.mend[aria-current] {
  background: var(--sheet);
  box-shadow: inset 0 -4px 0 var(--chestnut);
}
.mend:focus-visible {
  outline-offset: -3px;
}
.add b {
  color: var(--chestnut);
}
.kinds {
  padding: 18px 20px;
}
.grid {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(170px, 1fr));
  gap: 8px;
  margin: 12px 0;
}
.grid .plain-button {
  justify-content: flex-start;
}
.grid .plain-button::first-letter {
  text-transform: uppercase;
}
</style>
