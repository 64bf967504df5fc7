<script setup lang="ts">
import { computed } from 'vue'
import { LIES } from '#core/solid/forms'
import { CUT_NAMES, isCount, SOLIDS, type SolidKind } from '#core/solid/stored/solids.table'
import { STARTERS, type StarterId } from '#core/solid/stored/starters.table'
import PickField from '~/bench/PickField.vue'
import ReadingField from '~/bench/ReadingField.vue'
import { useJob } from '~/stores/job'
import { useFromPicture } from './use-from-picture'
import type { Shaping } from './use-shape'
import { useStl } from './use-stl'

const props = defineProps<{ shaping: Shaping }>()
const store = useJob()
const kinds = (Object.entries(SOLIDS) as [SolidKind, { name: string }][])
  .filter(([value]) => value !== 'outline')
  .map(([value, { name }]) => ({ value, title: name }))
const starters = Object.entries(STARTERS) as [StarterId, { name: string }][]
const { piece, pieceId, solid } = props.shaping
const path = computed(() => `shape.pieces.#${piece.value?.id}`)
const nameOf = (each: { kind: SolidKind; cut: boolean }) => (each.cut && CUT_NAMES[each.kind]) || SOLIDS[each.kind].name
const { bringIn, report, inches, back } = useStl()
const { outlines, take, refused } = useFromPicture(props.shaping)
</script>

<template>
  <div>
    <template v-if="solid.mesh">
      <p>
        The shape comes from a file{{ solid.mesh.name ? `, ${solid.mesh.name}` : '' }}.{{ ' ' }}
        <button type="button" class="plain-button slight" @click="inches()">It was in inches</button>{{ ' ' }}
        <button type="button" class="plain-button slight" @click="back()">Take it away</button>
      </p>
    </template>
    <template v-else>
      <template v-if="!solid.pieces.length">
        <p class="label">Begin with</p>
        <div class="starters">
          <button
            v-for="[id, { name }] in starters"
            :key="id"
            type="button"
            class="plain-button slight"
            :data-testid="`starter-${id}`"
            @click="shaping.begin(id)"
          >
            {{ name }}
          </button>
        </div>
      </template>
      <ol v-else class="pieces" aria-label="Pieces, in order">
        <li v-for="each in solid.pieces" :key="each.id">
          <button
            type="button"
            class="plain-button slight"
            :aria-pressed="pieceId === each.id"
            :data-piece="each.id"
            @click="pieceId = each.id"
          >
            {{ each.cut ? '− ' : '+ ' }}{{ nameOf(each) }}
          </button>
        </li>
      </ol>
      <fieldset v-if="piece" :key="piece.id" class="piece-fields">
        <v-select
          v-if="piece.kind !== 'outline'"
          :model-value="piece.kind"
          :items="kinds"
          label="This piece is a"
          data-testid="piece-kind"
          @update:model-value="shaping.setKind($event)"
        />
        <v-btn-toggle
          v-if="solid.pieces[0]?.id !== piece.id"
          :model-value="piece.cut"
          mandatory
          aria-label="Joined on or cut out"
          @update:model-value="store.edit(['shape', 'pieces', `#${piece.id}`, 'cut'], $event)"
          ><v-btn :value="false">joined on</v-btn><v-btn :value="true">cut out</v-btn></v-btn-toggle
        >
        <ReadingField
          v-for="[key, [label]] in Object.entries(SOLIDS[piece.kind].sizes)"
          :key="`${piece.kind}-${key}`"
          :path="`${path}.size.${key}`"
          :unit="isCount(key) ? 'number' : 'mm'"
          :label="label"
        />
        <ReadingField
          v-for="axis in ['x', 'y', 'z'] as const"
          :key="axis"
          :path="`${path}.at.${axis}`"
          unit="mm"
          :label="{ x: 'from the left', y: 'from the front', z: 'up' }[axis]"
        />
        <PickField :path="`${path}.lies`" label="It lies" :words="LIES" />
        <div class="row">
          <button v-if="piece.outline" type="button" class="plain-button slight" @click="shaping.turnOver()">
            Turn the outline over
          </button>
          <button type="button" class="plain-button slight" @click="shaping.remove()">Take it off</button>
        </div>
      </fieldset>
      <p class="label">Join on, or cut out</p>
      <div class="row adding">
        <button type="button" class="plain-button slight" data-testid="add-piece" @click="shaping.add('disc', false)">
          Boss
        </button>
        <button type="button" class="plain-button slight" @click="shaping.add('box', false)">Block</button>
        <button type="button" class="plain-button slight" @click="shaping.add('fillet', false)">Fillet</button>
        <button
          type="button"
          class="plain-button slight"
          :disabled="!solid.pieces.length"
          data-testid="add-hole"
          @click="shaping.add('disc', true)"
        >
          Hole
        </button>
        <button
          type="button"
          class="plain-button slight"
          :disabled="!solid.pieces.length"
          @click="shaping.add('box', true)"
        >
          Pocket
        </button>
        <button
          type="button"
          class="plain-button slight"
          :disabled="!solid.pieces.length"
          @click="shaping.add('slot', true)"
        >
          Slot
        </button>
      </div>
      <p class="label">Or from</p>
      <div class="row">
        <button
          v-for="picture in outlines"
          :key="picture.id"
          type="button"
          class="plain-button slight"
          data-testid="from-picture"
          @click="take(picture.id)"
        >
          the outline in {{ picture.name || 'the picture' }}
        </button>
        <label class="plain-button slight"
          >an STL file<input class="visually-hidden" type="file" accept=".stl" data-testid="stl" @change="bringIn"
        /></label>
      </div>
      <p v-if="!outlines.length" class="small quiet">
        A picture with a scale and a traced outline also gives a shape:
        <NuxtLink :to="`/job/${store.job!.id}/pictures`">pictures</NuxtLink>.
      </p>
    </template>
    <p v-if="report ?? refused" class="small" role="status">{{ report ?? refused }}</p>
  </div>
</template>

<style scoped>
.starters,
.adding {
  display: flex;
  flex-wrap: wrap;
  gap: 6px;
}
.pieces {
  list-style: none;
  margin: 0 0 8px;
  padding: 0;
  display: flex;
  flex-wrap: wrap;
  gap: 4px;
}
.piece-fields {
  border: 0;
  border-left: 3px solid var(--chestnut);
  padding: 0 0 0 10px;
  margin: 0 0 10px;
}
</style>
