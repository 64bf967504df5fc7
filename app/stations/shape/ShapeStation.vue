<script setup lang="ts">
import { computed, defineAsyncComponent, ref } from 'vue'
import { VIEWS, type ViewId } from '#core/solid/views'
import PartSheet from '~/drawing/PartSheet.vue'
import { usePartShape } from '~/drawing/use-part-shape'
import { usePartSheet } from '~/drawing/use-part-sheet'
import { useJob } from '~/stores/job'
import { useSettings } from '~/stores/settings'
import MarkFields from './MarkFields.vue'
import PieceFields from './PieceFields.vue'
import { useComesTo } from './use-comes-to'
import { useShape } from './use-shape'
import { useSolidFiles } from './use-solid-files'

const PartTurned = defineAsyncComponent(() => import('~/drawing/PartTurned.vue'))
const store = useJob()
const settings = useSettings()
const shaping = useShape()
const { working, drawn, tap, move, markId } = shaping
const { shape, from, reason } = usePartShape()
const view = ref<ViewId>('plan')
const turned = ref(false)
const cut = ref(false)
const cutShare = ref(0.5)
const looking = computed(() => ({ view: view.value, cutShare: cut.value ? cutShare.value : null }))
const { cutMm } = usePartSheet(shape, looking)
const { measured, body, readOffs } = useComesTo(shape)
const { saveStl, saveDxf, saveSvg, refused } = useSolidFiles(shape, looking, cutMm)
const show = (next: string) => {
  turned.value = next === 'turned'
  if (next in VIEWS) view.value = next as ViewId
}
</script>

<template>
  <div v-if="store.plan" class="side-bench">
    <header>
      <p class="where"><NuxtLink :to="`/job/${store.job!.id}/take-in`">Take in</NuxtLink> · the part's shape</p>
      <h1 data-testid="shape-call">
        <template v-if="measured && body">
          {{ settings.text(measured.sizeMm[0], 'mm') }} × {{ settings.text(measured.sizeMm[1], 'mm') }} ×
          {{ settings.text(measured.sizeMm[2], 'mm') }}, {{ settings.text(body.reckonedKg, 'kg') }} of metal
        </template>
        <template v-else>Put the part together once, and every station draws it</template>
      </h1>
    </header>
    <section class="readings" aria-label="Pieces and marks">
      <v-btn-toggle v-model="working" mandatory aria-label="Working on">
        <v-btn value="pieces">pieces</v-btn>
        <v-btn value="marks" :disabled="!shape" data-testid="to-marks">marks on it</v-btn>
      </v-btn-toggle>
      <PieceFields v-if="working === 'pieces'" :shaping="shaping" />
      <MarkFields v-else :shaping="shaping" />
    </section>
    <section class="piece" aria-label="The piece">
      <div class="row tools">
        <v-btn-toggle
          :model-value="turned ? 'turned' : view"
          mandatory
          aria-label="The part is seen"
          @update:model-value="show"
        >
          <v-btn v-for="(each, id) in VIEWS" :key="id" :value="id">{{ each.name }}</v-btn>
          <v-btn value="turned" data-testid="turn-part">turned</v-btn>
        </v-btn-toggle>
        <v-checkbox v-if="!turned" v-model="cut" label="cut through" />
        <input
          v-if="cut && !turned"
          v-model.number="cutShare"
          type="range"
          min="0.01"
          max="0.99"
          step="0.01"
          aria-label="Where it is cut"
        />
      </div>
      <template v-if="shape">
        <PartTurned
          v-if="turned"
          :shape="shape"
          :marks="drawn"
          :lit="markId"
          :name="store.job!.title"
          @pick="(at, face) => working === 'marks' && shaping.placeMark(at, face)"
        />
        <PartSheet
          v-else
          :shape="shape"
          :looking="looking"
          :marks="drawn"
          :lit="working === 'marks' ? markId : null"
          :name="store.job!.title"
          aim
          @pick="(u, v) => tap(shape!, view, u, v)"
          @move="(id, u, v) => move(view, id, u, v)"
          @light="working === 'marks' && (markId = $event)"
        />
      </template>
      <p v-else class="quiet">
        Begin with a part like it at the left, then put its sizes right: the caliper's readings go in as they are.
      </p>
      <p v-if="reason" class="small wrong" role="status">{{ reason }}. It stays drawn as it last was.</p>
      <p v-if="from === 'sizes'" class="small quiet">A plain block of its sizes over all, not its shape.</p>
      <p v-if="shape && working === 'pieces'" class="small quiet">
        Tap a piece to hold it. Its corner 1 moves it, 2 sizes it: dragged, or with the arrow keys (with shift by ten).
        It lays itself on edges and middles that are near.
      </p>
    </section>
    <div class="call">
      <template v-if="measured && body">
        <p class="label">It comes to</p>
        <table data-testid="comes-to">
          <tbody>
            <tr>
              <th>Metal</th>
              <td class="num">{{ settings.text(measured.volumeMm3, 'mm3') }}</td>
            </tr>
            <tr>
              <th>By the shape</th>
              <td class="num">{{ settings.text(body.reckonedKg, 'kg') }}</td>
            </tr>
            <tr v-if="Math.abs(body.massKg - body.reckonedKg) > 0.0005">
              <th>By the scale</th>
              <td class="num">{{ settings.text(body.massKg, 'kg') }}</td>
            </tr>
            <tr>
              <th>Surface that cools</th>
              <td class="num">{{ settings.text(measured.skinMm2, 'mm2') }}</td>
            </tr>
          </tbody>
        </table>
      </template>
      <template v-if="readOffs.length">
        <p class="label">Read off the shape</p>
        <ul class="offs">
          <li v-for="off in readOffs" :key="off.id">
            {{ off.what }}: <span class="figure">{{ settings.text(off.valueMm, 'mm') }}</span>
            <template v-if="off.saidMm !== null">
              (the job says <span class="figure">{{ settings.text(off.saidMm, 'mm') }}</span>)</template
            >
            <button type="button" class="plain-button slight" :data-take="off.id" @click="off.take()">Take it</button>
          </li>
        </ul>
      </template>
      <template v-if="shape">
        <p class="label">Out of here</p>
        <div class="row wrap">
          <button type="button" class="plain-button slight" data-testid="save-stl" @click="saveStl()">STL</button>
          <button type="button" class="plain-button slight" @click="saveDxf()">
            {{ cut ? 'section' : 'view' }}, DXF
          </button>
          <button type="button" class="plain-button slight" @click="saveSvg()">
            {{ cut ? 'section' : 'view' }}, SVG
          </button>
        </div>
        <p class="small" :class="refused ? 'wrong' : 'quiet'" role="status">
          {{ refused ?? 'At 1:1, in millimetres.' }}
        </p>
      </template>
    </div>
  </div>
  <p v-else class="page quiet" role="status">Working it out…</p>
</template>

<style scoped>
.tools,
.wrap {
  flex-wrap: wrap;
}
.offs {
  list-style: none;
  margin: 0 0 10px;
  padding: 0;
}
.offs li {
  padding: 4px 0;
  border-bottom: 1px solid var(--hairline);
}
</style>
