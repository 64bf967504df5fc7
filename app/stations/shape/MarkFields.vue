<script setup lang="ts">
import { computed } from 'vue'
import { kindOf } from '#core/mend/registry'
import { markName, unmarked } from '#core/station/take-in/on-the-part'
import { MARK_KINDS, type MarkKind } from '#core/solid/stored/marks.table'
import type { StoredMark } from '#core/solid/stored/stored.schema'
import ReadingField from '~/bench/ReadingField.vue'
import WordsField from '~/bench/WordsField.vue'
import { useJob } from '~/stores/job'
import type { Shaping } from './use-shape'

const props = defineProps<{ shaping: Shaping }>()
const store = useJob()
const { solid, mark, markId, placed } = props.shaping
const mends = computed(() => store.job!.mends.map(mend => ({ id: mend.id, name: mend.name || kindOf(mend.kind).name })))
const unplaced = computed(() => mends.value.filter(mend => !solid.value.marks.some(each => each.mend === mend.id)))
const others = (Object.entries(MARK_KINDS) as [MarkKind, { name: string }][]).filter(([kind]) => kind !== 'mend')
const wanted = computed(() => unmarked(store.job!))
const nameOf = (each: StoredMark) => markName(store.job!, each)
const pick = (kind: string | null) => {
  if (kind) props.shaping.addMark(kind as MarkKind)
}
</script>

<template>
  <div>
    <template v-if="unplaced.length">
      <p class="label">Where it is mended</p>
      <div class="row wrap">
        <button
          v-for="mend in unplaced"
          :key="mend.id"
          type="button"
          class="plain-button slight"
          :data-testid="`place-${mend.id}`"
          @click="shaping.addMark('mend', mend.id)"
        >
          Place: {{ mend.name }}
        </button>
      </div>
    </template>
    <v-select
      :model-value="null"
      :items="others.map(([value, { name }]) => ({ value, title: name }))"
      label="Mark something else"
      data-testid="mark-kind"
      @update:model-value="pick"
    />
    <p v-if="wanted.length" class="small quiet">Not marked yet, and may not move: {{ wanted.join(', ') }}.</p>
    <ol class="marks">
      <li v-for="(each, n) in solid.marks" :key="each.id" :class="{ held: markId === each.id }">
        <button type="button" class="plain-button slight" :aria-pressed="markId === each.id" @click="markId = each.id">
          <b class="figure">{{ n + 1 }}</b> {{ nameOf(each) }}
        </button>
        <div v-if="mark && markId === each.id" class="mark-fields">
          <p class="small" role="status">
            <template v-if="!placed">Tap the part where it is.</template>
            <template v-else-if="MARK_KINDS[each.kind].runs"
              >Tap on along it, as it runs; or{{ ' ' }}
              <button type="button" class="plain-button slight" @click="shaping.again()">start it again</button
              >.</template
            >
            <template v-else>Tap elsewhere to put it there, or drag it.</template>
          </p>
          <WordsField :path="`shape.marks.#${each.id}.name`" label="Called" :max="60" />
          <ReadingField
            v-for="axis in ['x', 'y', 'z'] as const"
            :key="axis"
            :path="`shape.marks.#${each.id}.at.${axis}`"
            unit="mm"
            :label="{ x: 'from the left', y: 'from the front', z: 'up' }[axis]"
          />
          <ReadingField
            v-if="MARK_KINDS[each.kind].across"
            :path="`shape.marks.#${each.id}.acrossMm`"
            unit="mm"
            label="Across it"
          />
          <ReadingField
            v-if="each.kind === 'hot'"
            :path="`shape.marks.#${each.id}.hotC`"
            unit="c"
            label="Runs there as hot as"
          />
          <button type="button" class="plain-button slight" @click="shaping.removeMark(each.id)">
            Take the mark away
          </button>
        </div>
      </li>
    </ol>
  </div>
</template>

<style scoped>
.wrap {
  flex-wrap: wrap;
}
.marks {
  list-style: none;
  margin: 8px 0;
  padding: 0;
}
.marks li {
  padding: 3px 0;
}
.held {
  border-left: 3px solid var(--chestnut);
  padding-left: 8px;
}
</style>
