<script setup lang="ts">
import { computed } from 'vue'
import { PROCESSES } from '#core/process/registry'
import { laidWith } from '#core/lay/laid-with'
import { wordsFor } from '#core/mend/registry'
import type { MendRow } from '#core/station/mends/mend-row'
import { minutesOf } from '#core/station/mends/mend-row'
import { wireG } from '#core/job-plan/cost'
import SectionDrawing from '~/drawing/SectionDrawing.vue'
import { useJob } from '~/stores/job'
import { useSettings } from '~/stores/settings'
import { useShop } from '~/stores/shop'
import MendGroove from './MendGroove.vue'
import MendSetUp from './MendSetUp.vue'
import MendThread from './MendThread.vue'
import BossSection from '~/stations/rebuild/BossSection.vue'
import BrazePiece from '~/stations/weld/BrazePiece.vue'
import FlamePiece from '~/stations/weld/FlamePiece.vue'
import FacePiece from '~/stations/rebuild/FacePiece.vue'
import BendPiece from '~/stations/rebuild/BendPiece.vue'
import { useOutlines } from '~/stations/rebuild/use-outlines'
import { useMendSteps } from './use-mend-steps'

/** One mend drawn in section, with its steps, lays and what it takes; in the slot, what comes between. */
const props = defineProps<{ row: MendRow; station: 'open' | 'weld' | 'rebuild' }>()
const emit = defineEmits<{ working: [ref: string] }>()
const store = useJob()
const shop = useShop()
const settings = useSettings()
/** What the flame alone would bring the whole part to. */
const settlesC = computed(() => store.plan?.warm.data.heating?.equilibriumC ?? null)
const planned = computed(() => props.row.planned)
const { saveDxf, saveSvg } = useOutlines()
const { done, tick } = useMendSteps(() => props.row.id)
const steps = computed(
  () =>
    (props.station === 'open' ? planned.value?.opening : props.station === 'rebuild' ? planned.value?.rebuild : []) ??
    [],
)
const say = (code: string) => wordsFor(props.row.kind, code)
</script>

<template>
  <MendGroove v-if="row.groove" :row="row" :groove="row.groove" :along="station !== 'rebuild'" />
  <BossSection v-else-if="station === 'rebuild' && row.back" :back="row.back" />
  <SectionDrawing v-else-if="row.section" :section="row.section" />
  <p v-else class="quiet">It is drawn here to scale once it has {{ row.wants.join(' and ') || 'its readings' }}.</p>
  <slot />
  <div v-if="row.patch && station === 'open'" class="row no-print">
    <button type="button" class="plain-button slight" data-testid="dxf-patch" @click="saveDxf('patch', row.patch)">
      Patch as DXF</button
    ><button type="button" class="plain-button slight" @click="saveSvg('patch', row.patch)">as SVG</button>
  </div>
  <template v-if="planned">
    <template v-if="steps.length">
      <p class="label">{{ station === 'open' ? 'Opening it, in order' : 'Rebuilding it, in order' }}</p>
      <ol class="steps">
        <li v-for="step in steps" :key="step.code">
          <v-checkbox
            :label="say(step.code)"
            :model-value="done.includes(step.code)"
            :data-step="step.code"
            @update:model-value="tick(step.code, $event)"
          />
          <span class="figure small quiet">{{ settings.text(step.handMin + step.machineMin, 'min') }}</span>
        </li>
      </ol>
    </template>
    <template v-if="station === 'weld' && planned.lays.length">
      <p class="label">Lays, in order</p>
      <table data-testid="lays">
        <thead>
          <tr>
            <th>By</th>
            <th>Filler</th>
            <th class="num">Side</th>
            <th class="num">Passes</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="(lay, n) in planned.lays" :key="n">
            <td>{{ PROCESSES[lay.process].name }}</td>
            <td>{{ laidWith(lay.process, lay.filler) }}</td>
            <td class="num">{{ lay.side }}</td>
            <td class="num">{{ lay.passes }}</td>
          </tr>
        </tbody>
      </table>
    </template>
    <template v-if="station === 'weld'">
      <BrazePiece
        v-if="row.flame?.braze"
        :braze="row.flame.braze"
        :settles-c="settlesC"
        @working="emit('working', $event)"
      />
      <FlamePiece v-if="row.flame?.flame" :flame="row.flame.flame" @working="emit('working', $event)" />
      <MendSetUp v-for="setUp in row.setUps" :key="`${setUp.process} ${setUp.filler}`" :set-up="setUp" />
    </template>
    <table class="takes">
      <tbody>
        <tr v-if="planned.depositG > 0">
          <th>Metal laid</th>
          <td class="num">{{ settings.text(planned.depositG, 'g') }}</td>
        </tr>
        <tr v-if="planned.rods">
          <th>Rods</th>
          <td class="num">{{ Math.round(10 * planned.rods) / 10 }}</td>
        </tr>
        <tr v-if="planned.wireM">
          <th>Wire</th>
          <td class="num">{{ settings.text(wireG(planned.wireM, planned.filler), 'g') }}</td>
        </tr>
        <tr v-if="planned.startA !== null">
          <th>Current, and eased to</th>
          <td class="num">
            {{ settings.text(Math.round(planned.startA), 'a') }}, {{ settings.text(Math.round(planned.easedA!), 'a') }}
          </td>
        </tr>
        <tr>
          <th>Hands, arc and machine</th>
          <td class="num">{{ settings.text(minutesOf(planned), 'min') }}</td>
        </tr>
        <tr>
          <th>By itself</th>
          <td class="num" data-testid="mend-price">{{ shop.kit.currency }}{{ planned.price.toFixed(2) }}</td>
        </tr>
      </tbody>
    </table>
    <MendThread v-if="station === 'rebuild' && planned.ways" :row="row" @working="emit('working', $event)" />
    <FacePiece v-if="station === 'rebuild' && row.facing" :facing="row.facing" />
    <BendPiece v-if="station === 'rebuild' && row.bend" :found="row.bend" />
  </template>
</template>

<style scoped>
.steps {
  padding: 0;
  margin: 0 0 12px;
  list-style: none;
}
.steps li {
  display: grid;
  grid-template-columns: minmax(0, 1fr) auto;
  gap: 10px;
  align-items: center;
  border-bottom: 1px solid var(--hairline);
}
.label {
  margin-top: 12px;
}
.takes {
  max-width: 420px;
  margin-top: 12px;
}
</style>
