<script setup lang="ts">
import { computed } from 'vue'
import { BLUE_MM } from '#core/flat/evaluate'
import { lightMm } from '#core/flat/field'
import { count } from '#core/station/parts'
import { useChartLook } from '~/composables/use-chart-look'
import { useSettings } from '~/stores/settings'
import { useBlue } from './use-blue'
import { FACE_VIEWS, useFace } from './use-face'

const emit = defineEmits<{ working: [ref: string] }>()
const settings = useSettings()
const look = useChartLook()
const { view, edgeAngle, edge, data, face, map, box, foretoldPct } = useFace()
const BANDS = 9
const px = computed(() => (map.value ? Math.min(460 / map.value.wideMm, 300 / Math.max(1e-9, map.value.highMm)) : 1))
const cells = computed(() => {
  if (!map.value) return []
  const { across, along, wideMm, highMm, values, low, high } = map.value
  const [w, h] = [(wideMm * px.value) / across, (highMm * px.value) / along]
  return values.flatMap((value, n) =>
    value === null
      ? []
      : [
          {
            x: 20 + (n % across) * w,
            y: 16 + (along - 1 - Math.floor(n / across)) * h,
            w,
            h,
            band:
              view.value === 'blue'
                ? value > -BLUE_MM
                  ? BANDS - 1
                  : 0
                : Math.min(BANDS - 1, Math.floor(((value - low) / Math.max(1e-9, high - low)) * BANDS)),
          },
        ],
  )
})
/** Low is bare metal, high is chestnut: one colour, deeper; the figures stand beside it. */
const shade = (band: number) => ({
  fill: view.value === 'blue' ? look.value.newMetal : look.value.chestnut,
  opacity: 0.06 + (0.9 * band) / (BANDS - 1),
})
const dots = computed(() =>
  face.value
    ? face.value.points.map((point, n) => ({
        x: xOf(point.xMm),
        y: yOf(point.yMm),
        stands: face.value!.flat.contact.includes(n),
      }))
    : [],
)
const { maps, laidId, laid, onFace, turn } = useBlue()
const xOf = (xMm: number) => 20 + (xMm - map.value!.leftMm) * px.value
const yOf = (yMm: number) => 16 + (map.value!.highMm - (yMm - map.value!.bottomMm)) * px.value
const onMap = (edge: readonly (readonly [number, number])[]) =>
  edge.map(([x, y]) => `${xOf(x).toFixed(1)},${yOf(y).toFixed(1)}`).join(' ')
const blue = computed(() => (box.value ? onFace(box.value) : null))
const highPx = computed(() => (map.value ? map.value.highMm * px.value : 0))
const edgeLine = (key: 'heightMm' | 'edgeMm') => {
  if (!edge.value.length) return ''
  const all = edge.value.flatMap(point => [point.heightMm, point.edgeMm])
  const [low, high] = [Math.min(...all), Math.max(...all)]
  const last = edge.value.at(-1)!.alongMm
  return `M${edge.value.map(point => `${(20 + (point.alongMm / last) * 460).toFixed(1)} ${(78 - ((point[key] - low) / Math.max(1e-9, high - low)) * 56).toFixed(1)}`).join('L')}`
}
const light = computed(() => lightMm(edge.value))
</script>

<template>
  <template v-if="face && map">
    <v-btn-toggle v-model="view" mandatory aria-label="What the map shows" class="views"
      ><v-btn v-for="(words, id) in FACE_VIEWS" :key="id" :value="id">{{ words }}</v-btn></v-btn-toggle
    >
    <div v-if="maps.length" class="row laid">
      <span class="label">Lay on it the blue of</span>
      <button
        v-for="{ picture } in maps"
        :key="picture.id"
        type="button"
        class="plain-button slight"
        :aria-pressed="laidId === picture.id"
        data-testid="lay-blue"
        @click="laidId = laidId === picture.id ? null : picture.id"
      >
        {{ picture.words }}
      </button>
      <button v-if="laid" type="button" class="plain-button slight" data-testid="turn-blue" @click="turn()">
        Turn it a quarter
      </button>
    </div>
    <svg
      class="drawing"
      :viewBox="`0 0 520 ${highPx + 50}`"
      role="img"
      :aria-label="`Map of the face, ${FACE_VIEWS[view]}: ${(face.flat.minimumZoneMm * 1000).toFixed(0)} thousandths of a millimetre out of flat, ${face.flat.shape}`"
    >
      <rect
        v-for="(cell, n) in cells"
        :key="n"
        shape-rendering="crispEdges"
        :x="cell.x"
        :y="cell.y"
        :width="cell.w"
        :height="cell.h"
        v-bind="shade(cell.band)"
      />
      <g v-if="blue" data-testid="laid-blue">
        <polygon :points="onMap(blue.outlineMm)" class="laid-edge" />
        <polygon v-for="(patch, n) in blue.patches" :key="`b${n}`" :points="onMap(patch.edgeMm)" class="laid-patch" />
      </g>
      <rect class="thin" x="20" y="16" :width="map.wideMm * px" :height="highPx" fill="none" />
      <g v-for="(dot, n) in dots" :key="`p${n}`">
        <circle :cx="dot.x" :cy="dot.y" :r="dot.stands ? 6 : 2.5" :class="dot.stands ? 'stands' : 'read'" />
      </g>
      <text class="note" x="20" :y="highPx + 40">
        {{ view === 'blue' ? 'marked by the blue' : 'deep is high' }}; ringed: what it stands on{{
          blue ? '; outlined: where blue lay' : ''
        }}
      </text>
      <text x="480" :y="highPx + 40" text-anchor="end">
        {{ view === 'blue' ? '' : settings.fineText(map.high - map.low) }}
      </text>
    </svg>
    <p v-if="laid" class="small quiet" data-testid="laid-told">
      {{ laid.blue.sharePct.toFixed(0) }} % of the face bears in that picture; the readings foretell that
      {{ foretoldPct.toFixed(0) }} % would mark.
    </p>
    <table>
      <tbody>
        <tr>
          <th scope="row">Minimum zone</th>
          <td class="num">
            <button type="button" class="open-figure figure" data-testid="zone" @click="emit('working', 'flat')">
              {{ settings.fine(face.flat.minimumZoneMm) }}
            </button>
          </td>
          <td class="quiet small">
            {{ face.flat.shape }}; by least squares {{ settings.fineText(face.flat.leastSquaresMm) }}
          </td>
        </tr>
        <tr>
          <th scope="row">To lap off</th>
          <td class="num">
            <button type="button" class="open-figure figure" @click="emit('working', 'lap')">
              {{ settings.fine(face.lap.removeMm) }}
            </button>
          </td>
          <td class="quiet small">
            {{ settings.text(Math.max(0, face.lap.minutes), 'min') }} by hand,
            {{ count(face.decision.sheets, 'sheet') }}; half way it is
            {{ settings.fineText(face.lap.half.minimumZoneMm) }} out, then
            {{ settings.fineText(face.lap.after.minimumZoneMm) }}
          </td>
        </tr>
        <tr v-if="face.bolted">
          <th scope="row">Bolted flat, locked in</th>
          <td class="num">
            <button type="button" class="open-figure figure" @click="emit('working', 'bolted')">
              {{ settings.text(face.bolted.stressMPa, 'mPa') }}
            </button>
          </td>
          <td class="quiet small">{{ Math.round(face.bolted.ofProof * 100) }} % of its yield</td>
        </tr>
      </tbody>
    </table>
    <p class="label gap">A straightedge laid on it: light of {{ settings.fineText(light) }} at most</p>
    <v-btn-toggle v-model="edgeAngle" mandatory aria-label="How the straightedge lies"
      ><v-btn value="across">across</v-btn><v-btn value="along">along</v-btn
      ><v-btn value="diagonal">corner to corner</v-btn></v-btn-toggle
    >
    <svg class="drawing" viewBox="0 0 520 92" role="img" aria-label="The face under a straightedge, heights enlarged">
      <path class="edge" :d="edgeLine('heightMm')" />
      <path class="new-line" :d="edgeLine('edgeMm')" />
    </svg>
  </template>
  <p v-else class="quiet">
    {{ data && 'reason' in data ? `No map: ${data.reason}.` : 'With four readings or more, the face is mapped here.' }}
  </p>
</template>

<style scoped>
.laid {
  gap: 6px;
  align-items: center;
  margin-bottom: 6px;
}
.laid-edge {
  fill: none;
  stroke: var(--soot);
  stroke-dasharray: 6 4;
}
.laid-patch {
  fill: var(--new-metal-wash);
  fill-opacity: 0.55;
  stroke: var(--new-metal);
  stroke-width: 2;
}
.views {
  margin-bottom: 8px;
}
.read {
  fill: var(--soot);
}
.stands {
  fill: none;
  stroke: var(--new-metal);
  stroke-width: 2.5;
}
.gap {
  margin-top: 14px;
}
th {
  width: 26%;
}
td.num {
  white-space: nowrap;
}
</style>
