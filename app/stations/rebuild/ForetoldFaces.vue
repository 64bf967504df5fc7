<script setup lang="ts">
import { MUCH_LOCKED } from '#core/flat/decide'
import { useSettings } from '~/stores/settings'
import { useForetold } from './use-foretold'

/** What the pull bench foretold of each face, to stand beside what is measured on it. */
const settings = useSettings()
const faces = useForetold()
</script>

<template>
  <section v-if="faces.length" data-testid="foretold-faces">
    <p class="label">Foretold of the pull</p>
    <figure v-for="face in faces" :key="face.name">
      <svg
        :viewBox="`0 0 ${face.map.wide} ${face.map.high}`"
        role="img"
        :aria-label="`${face.name} as foretold: ${(face.zoneMm * 1000).toFixed(0)} thousandths of a millimetre out of flat`"
      >
        <rect
          v-for="(cell, n) in face.map.cells"
          :key="n"
          shape-rendering="crispEdges"
          class="cell"
          :x="cell.x"
          :y="cell.y"
          :width="face.map.cell"
          :height="face.map.cell"
          :opacity="cell.deep"
        />
        <rect class="rim" :width="face.map.wide" :height="face.map.high" />
      </svg>
      <figcaption>
        <b>{{ face.name }}</b>: out of flat by <span class="figure">{{ settings.fineText(face.zoneMm) }}</span>, deep is
        high. Leave <span class="figure">{{ settings.text(face.overBuildMm, 'mm') }}</span> on it before the weld and it
        cleans up flat; lapped instead, <span class="figure">{{ settings.fineText(face.lap.removeMm) }}</span> come off
        in some <span class="figure">{{ settings.text(Math.max(0, face.lap.minutes), 'min') }}</span> by hand.
        <template v-if="face.bolted"
          >Bolted down as it lies it locks in
          <span class="figure">{{ settings.text(face.bolted.stressMPa, 'mPa') }}</span>,
          {{ Math.round(100 * face.bolted.ofProof) }} % of its proof{{
            face.bolted.ofProof > MUCH_LOCKED ? ': too much, it tends to crack beside the weld' : ''
          }}.</template
        >
      </figcaption>
    </figure>
  </section>
</template>

<style scoped>
figure {
  display: grid;
  grid-template-columns: 220px minmax(0, 1fr);
  gap: 16px;
  align-items: start;
  margin: 0 0 14px;
}
svg {
  width: 100%;
  display: block;
}
.cell {
  fill: var(--chestnut);
}
.rim {
  fill: none;
  stroke: var(--soot);
}
@media (max-width: 699px) {
  figure {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
