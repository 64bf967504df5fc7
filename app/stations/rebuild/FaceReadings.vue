<script setup lang="ts">
import { ref } from 'vue'
import PickField from '~/bench/PickField.vue'
import ReadingField from '~/bench/ReadingField.vue'
import { useSettings } from '~/stores/settings'
import { useFace } from './use-face'

const { points, trouble, layOut, paste, clear } = useFace()
const settings = useSettings()
const text = ref('')
</script>

<template>
  <ReadingField path="rebuild.face.wideMm" /><ReadingField path="rebuild.face.longMm" />
  <ReadingField path="rebuild.face.thickMm" />
  <ReadingField path="rebuild.face.toMm" />
  <PickField path="rebuild.face.seal" />
  <PickField path="rebuild.face.school" />
  <div class="row grids">
    <button
      v-for="[a, b] in [
        [3, 3],
        [4, 3],
        [5, 4],
      ]"
      :key="`${a}${b}`"
      type="button"
      class="plain-button slight"
      @click="layOut(a!, b!)"
    >
      {{ a }} × {{ b }} places
    </button>
  </div>
  <p v-if="trouble" role="alert" class="wrong small">{{ trouble }}</p>
  <details>
    <summary>Readings anywhere: x, y, height</summary>
    <v-textarea v-model="text" label="One place a line" rows="4" maxlength="60000" data-testid="face-paste" />
    <button type="button" class="plain-button slight" @click="paste(text)">Take them in</button>
  </details>
  <template v-if="points.length">
    <p class="label">Heights, {{ points.length }}</p>
    <ReadingField
      v-for="(point, n) in points.slice(0, 60)"
      :key="n"
      :path="`rebuild.face.points.${n}.z`"
      :label="`${n + 1}: ${settings.text(point.xMm, 'mm')}, ${settings.text(point.yMm, 'mm')}`"
    />
    <p v-if="points.length > 60" class="quiet small">and {{ points.length - 60 }} more, as taken in.</p>
    <button type="button" class="plain-button slight" @click="clear()">Take all readings out</button>
  </template>
</template>

<style scoped>
.grids {
  margin: 10px 0;
}
.wrong {
  color: var(--stop);
}
</style>
