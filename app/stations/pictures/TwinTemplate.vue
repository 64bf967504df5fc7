<script setup lang="ts">
import { computed } from 'vue'
import { useSettings } from '~/stores/settings'
import { useTemplate } from './use-template'

const settings = useSettings()
const { mirror, template, reason, page, twin, savePdf, saveDxf } = useTemplate()
const points = (ring: readonly (readonly [number, number])[]) => ring.map(point => point.join(',')).join(' ')
const box = computed(() => {
  const all = [...(template.value?.soundMm ?? []), ...(template.value?.brokenMm ?? [])]
  const [xs, ys] = [all.map(point => point[0]), all.map(point => point[1])]
  const margin = 4
  return [
    Math.min(...xs) - margin,
    Math.min(...ys) - margin,
    Math.max(...xs) - Math.min(...xs) + 2 * margin,
    Math.max(...ys) - Math.min(...ys) + 2 * margin,
  ].join(' ')
})
</script>

<template>
  <section class="twin" aria-label="Template from the sound twin">
    <p class="label">Template from the sound twin</p>
    <template v-if="twin">
      <v-btn-toggle v-model="mirror" mandatory aria-label="The twin is"
        ><v-btn :value="true">turned over</v-btn><v-btn :value="false">as it is</v-btn></v-btn-toggle
      >
      <template v-if="template">
        <svg
          class="drawing"
          :viewBox="box"
          role="img"
          aria-label="The sound outline laid on the broken one; what is missing in the colour of new metal"
        >
          <polygon class="metal edge" :points="points(template.brokenMm)" stroke-width="0.4" />
          <polygon
            v-for="(ring, n) in template.missingMm"
            :key="n"
            class="new"
            :points="points(ring)"
            stroke-width="0.5"
            style="stroke-width: 0.5"
          />
          <polygon class="thin" :points="points(template.soundMm)" style="stroke-width: 0.3; stroke-dasharray: 1.6 1" />
        </svg>
        <p data-testid="missing">
          Missing: <b class="figure">{{ settings.text(template.areaMm2, 'mm2') }}</b>. The pins miss one another by
          <span class="figure">{{ settings.text(template.misfitMm, 'mm') }}</span>.
        </p>
        <div class="row">
          <v-btn-toggle v-model="page" mandatory aria-label="Paper"
            ><v-btn value="a4">A4</v-btn><v-btn value="a3">A3</v-btn><v-btn value="letter">letter</v-btn></v-btn-toggle
          >
          <button type="button" class="plain-button" data-testid="template-pdf" @click="savePdf()">1:1 on paper</button>
          <button type="button" class="plain-button" data-testid="template-dxf" @click="saveDxf()">DXF</button>
        </div>
        <p class="quiet small">Print at 100 %, and lay a rule on the line at the foot before you cut.</p>
      </template>
      <p v-if="reason" class="small wants" role="status">{{ reason }}.</p>
    </template>
    <p v-else class="quiet small">
      Take a picture of the good one (the other lug, blade or corner), mark it “the sound twin”, trace its outline and
      pin two places that both have.
    </p>
  </section>
</template>

<style scoped>
.twin {
  margin-top: 18px;
  border-top: 1px solid var(--hairline);
  padding-top: 10px;
}
.drawing {
  max-height: 220px;
  margin: 8px 0;
}
.drawing .edge {
  stroke-width: 0.4;
}
.wants {
  color: var(--hazard-text);
}
p {
  margin: 4px 0 8px;
}
</style>
