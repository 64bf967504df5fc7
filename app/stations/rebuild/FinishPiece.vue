<script setup lang="ts">
import { computed } from 'vue'
import { DRESSING } from '#core/face/finish.table'
import { COATINGS } from '#core/job/words.table'
import { useJob } from '~/stores/job'

const store = useJob()
const data = computed(() => store.plan?.rebuild.data)
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
