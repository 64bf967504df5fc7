<script setup lang="ts">
import { computed } from 'vue'
import { MUST_NOT_MOVE, PROTECTS } from '#core/job/words.table'
import { useJob } from '~/stores/job'
import { useSettings } from '~/stores/settings'

const emit = defineEmits<{ working: [] }>()
const store = useJob()
const settings = useSettings()
const body = computed(() => store.plan?.['take-in'].data.body)
</script>

<template>
  <p v-if="body">
    {{ body.from === 'shape' ? 'By its shape' : 'Reckoned as a tray of even wall' }}:
    <button type="button" class="open-figure figure" @click="emit('working')">
      {{ settings.text(body.massKg, 'kg') }}</button
    >, <span class="figure">{{ settings.text(body.areaMm2, 'mm2') }}</span> of surface.
  </p>
  <ul v-if="store.job!.takeIn.mustNotMove.length || store.job!.takeIn.protect.length" class="guards">
    <li v-for="id in store.job!.takeIn.mustNotMove" :key="id"><b>Fixed</b> {{ MUST_NOT_MOVE[id] }}</li>
    <li v-for="id in store.job!.takeIn.protect" :key="id"><b>Guarded</b> {{ PROTECTS[id].name }}</li>
  </ul>
</template>

<style scoped>
.guards {
  list-style: none;
  padding: 0;
}
.guards b {
  display: inline-block;
  min-width: 76px;
  color: var(--slate);
}
</style>
