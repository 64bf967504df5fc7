<script setup lang="ts">
import PickField from '~/bench/PickField.vue'
import { useJob } from '~/stores/job'
import { useSettings } from '~/stores/settings'
import { useShop } from '~/stores/shop'
import { BOX, useWays } from './use-ways'

/** All the honest ways to mend it side by side: price across, chance up, hours by size. */
const store = useJob()
const shop = useShop()
const settings = useSettings()
const { ways, marks, x, y, picked, pickedId, preferred, isStale, share, reason, look, step, letterOf, stop, take } =
  useWays()
const money = (value: number) => `${shop.kit.currency}${value.toFixed(2)}`
const inHundred = (pct: number) => `${Math.round(pct)} in 100`
</script>

<template>
  <div v-if="store.plan?.mends.decisions.length" data-testid="ways">
    <p class="label gap">Other honest ways to mend it</p>
    <PickField path="call.prefers" />
    <div class="row">
      <v-btn v-if="share === null" data-testid="ways-look" @click="look">{{
        ways ? 'Look again' : 'Look at every way'
      }}</v-btn>
      <template v-else>
        <v-progress-linear :model-value="100 * share" aria-label="Ways worked out" />
        <v-btn variant="text" @click="stop">Stop</v-btn>
      </template>
    </div>
    <p v-if="isStale && share === null" class="quiet" role="status">Readings changed since: look again.</p>
    <p v-if="reason" class="quiet" role="status">{{ reason }}</p>
    <template v-if="ways">
      <p v-if="!ways.ways.length" class="quiet">There is no way to mend it that holds to its limits.</p>
      <template v-else>
        <svg
          class="drawing"
          :viewBox="`0 0 ${BOX.wide} ${BOX.high}`"
          role="group"
          aria-label="Ways by price and chance"
          @keydown.right.prevent="step(1)"
          @keydown.left.prevent="step(-1)"
        >
          <path class="edge" :d="`M${BOX.left} ${BOX.top}V${BOX.high - BOX.bottom}H${BOX.wide - BOX.right}`" />
          <text class="note" :x="BOX.left" :y="BOX.high - 22">{{ money(x.from) }}</text>
          <text class="note" :x="BOX.wide - BOX.right" :y="BOX.high - 22" text-anchor="end">{{ money(x.to) }}</text>
          <text class="note" :x="(BOX.left + BOX.wide) / 2" :y="BOX.high - 6" text-anchor="middle">price</text>
          <text class="note" :x="BOX.left - 6" :y="BOX.top + 8" text-anchor="end">{{ Math.round(y.to) }}</text>
          <text class="note" :x="BOX.left - 6" :y="BOX.high - BOX.bottom" text-anchor="end">
            {{ Math.round(y.from) }}
          </text>
          <text
            class="note"
            x="12"
            :y="BOX.high / 2"
            text-anchor="middle"
            :transform="`rotate(-90 12 ${BOX.high / 2})`"
          >
            chance, in 100
          </text>
          <g
            v-for="mark in marks"
            :key="mark.way.id"
            role="button"
            tabindex="0"
            class="mark"
            :class="{ own: mark.way.isOwn, beaten: mark.way.isBeaten, picked: mark.way.id === pickedId }"
            :aria-pressed="mark.way.id === pickedId"
            :aria-label="`${mark.letter}, ${money(mark.way.price)}, ${inHundred(mark.way.chancePct)}, ${settings.text(mark.way.elapsedMin, 'min')}`"
            @click="pickedId = mark.way.id"
            @keydown.enter.prevent="pickedId = mark.way.id"
            @keydown.space.prevent="pickedId = mark.way.id"
            @focus="pickedId = mark.way.id"
          >
            <circle class="reach" :cx="mark.x" :cy="mark.y" r="22" />
            <circle class="spot" :cx="mark.x" :cy="mark.y" :r="mark.r" />
            <text :x="mark.x" :y="mark.y + 4" text-anchor="middle" translate="no">{{ mark.letter }}</text>
          </g>
        </svg>
        <p class="quiet small">
          The larger the mark, the longer it takes. The plan's own way has a thick rim; dashed, another is better in
          everything.
        </p>
        <div v-if="picked" class="picked" data-testid="way-picked">
          <p>
            <b translate="no">{{ letterOf(picked) }}</b>: <span class="figure">{{ money(picked.price) }}</span>,
            <span class="figure">{{ settings.text(picked.elapsedMin, 'min') }}</span>,
            <span class="figure">{{ inHundred(picked.chancePct) }}</span
            ><template v-if="preferred?.id === picked.id">. What the customer would rather have.</template>
          </p>
          <p v-if="picked.isOwn">It is the plan's own way.</p>
          <table v-else-if="picked.differs.length">
            <thead>
              <tr>
                <th>About</th>
                <th>Planned</th>
                <th>Then</th>
              </tr>
            </thead>
            <tbody>
              <tr v-for="one in picked.differs" :key="one.id">
                <td>
                  {{ one.about
                  }}<template v-if="one.mend"
                    >, <span :translate="one.isNamed ? 'no' : undefined">{{ one.mend }}</span></template
                  >
                </td>
                <td>{{ one.now }}</td>
                <td>
                  <b>{{ one.then }}</b>
                </td>
              </tr>
            </tbody>
          </table>
          <v-btn v-if="!picked.isOwn" data-testid="way-take" @click="take(picked)">Take this way</v-btn>
        </div>
        <details class="gap" data-testid="ways-table">
          <summary>The same as a table</summary>
          <table>
            <thead>
              <tr>
                <th>Way</th>
                <th class="num">Price</th>
                <th class="num">Takes</th>
                <th class="num">Chance</th>
                <th>Best for</th>
              </tr>
            </thead>
            <tbody>
              <tr v-for="{ way, letter } in marks" :key="way.id">
                <td>
                  <button type="button" class="open-figure" translate="no" @click="pickedId = way.id">
                    {{ letter }}
                  </button>
                  <span v-if="way.isOwn" class="quiet small"> planned</span>
                </td>
                <td class="num">{{ money(way.price) }}</td>
                <td class="num">{{ settings.text(way.elapsedMin, 'min') }}</td>
                <td class="num">{{ Math.round(way.chancePct) }}</td>
                <td>
                  <span v-for="(best, n) in way.best" :key="best">{{ n ? ', ' : '' }}<span>{{ best }}</span></span>
                </td>
              </tr>
            </tbody>
          </table>
        </details>
        <p class="quiet small">
          <span class="figure">{{ ways.looked }}</span> plans worked out:
          <span v-if="ways.all">every combination there is.</span>
          <span v-else>a search, since there are too many to try each.</span>
        </p>
      </template>
    </template>
  </div>
</template>

<style scoped>
.gap {
  margin-top: 16px;
}
.row {
  display: flex;
  gap: 12px;
  align-items: center;
  margin: 8px 0;
}
.mark {
  cursor: pointer;
  outline: none;
}
.reach {
  fill: transparent;
}
.spot {
  fill: var(--new-metal-wash);
  stroke: var(--new-metal);
  stroke-width: 1.5;
}
.own .spot {
  stroke-width: 4;
  paint-order: stroke;
  stroke: var(--chestnut);
}
.beaten .spot {
  fill: var(--sheet);
  stroke-dasharray: 4 3;
}
.picked .spot {
  fill: var(--new-metal);
}
.picked text {
  fill: var(--sheet);
}
.mark:focus-visible .reach {
  stroke: var(--soot);
  stroke-width: 2;
}
div.picked {
  border-left: 3px solid var(--new-metal);
  padding-left: 12px;
}
</style>
