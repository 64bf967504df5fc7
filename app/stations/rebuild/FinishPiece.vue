<script setup lang="ts">
import { computed } from 'vue'
import { DRESSING } from '#core/face/finish.table'
import { COATINGS } from '#core/job/words.table'
import { useJob } from '~/stores/job'
import { useSettings } from '~/stores/settings'

const store = useJob()
const settings = useSettings()
const data = computed(() => store.plan?.rebuild.data)
const bend = computed(() => (data.value?.bend && 'answer' in data.value.bend ? data.value.bend.answer : null))
const dressing = computed(() => store.job!.rebuild.dressing)
</script>

<template>
  <p class="label">Dressed {{ dressing }}, in this order</p>
  <ol>
    <li v-for="tool in DRESSING[dressing]" :key="tool">{{ tool }}</li>
  </ol>
  <p class="quiet small">
    Leave weld proud wherever nothing sits on it: grinding it off removes the best metal. A knife-fine taper cannot be
    ground into a thin blade without losing section.
  </p>
  <template v-if="data">
    <p class="label gap">Afterwards {{ COATINGS[store.job!.takeIn.finishAfter] }}</p>
    <ul>
      <li v-for="note in data.finish.notes" :key="note">{{ note }}</li>
    </ul>
  </template>
  <template v-if="bend">
    <p class="label gap">Pressing it back</p>
    <table data-testid="bend">
      <thead>
        <tr>
          <th>Press</th>
          <th class="num">past straight by</th>
          <th class="num">then it should stand out</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="(step, n) in bend.steps" :key="n">
          <td>{{ n + 1 }}</td>
          <td class="num">{{ settings.both(step.pressPastMm, 'mm') }}</td>
          <td class="num">{{ settings.both(step.expectMm, 'mm') }}</td>
        </tr>
      </tbody>
    </table>
    <p class="quiet small">
      Less than nothing is short of straight: it springs back {{ settings.text(bend.springMm, 'mm') }}. The bend strains
      it {{ bend.strainPct.toFixed(1) }} %{{
        bend.mayCrack ? ': warm it first, and look with dye after each press' : ''
      }}.
    </p>
  </template>
</template>

<style scoped>
.gap {
  margin-top: 14px;
}
ol,
ul {
  padding-left: 20px;
}
li {
  margin-bottom: 4px;
}
</style>
