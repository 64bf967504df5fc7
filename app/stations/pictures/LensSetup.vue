<script setup lang="ts">
import { useLens } from './use-lens'

/** The camera's own lens, learnt once from a few pictures of the card. */
const { lenses, straighten, busy, told, learn, forget } = useLens()
</script>

<template>
  <details class="lens">
    <summary>The lens of this camera</summary>
    <p class="small quiet">
      A phone’s lens bends straight lines a little. Print the card, lay it flat, and take it four or five times so that
      it fills the picture, squarely and aslant: what the lens does is learnt from that, once.
    </p>
    <label class="plain-button"
      >{{ busy ? 'Reading…' : 'Pictures of the card'
      }}<input
        type="file"
        accept="image/*"
        multiple
        class="visually-hidden"
        :disabled="busy"
        data-testid="lens-pictures"
        @change="learn($event)"
    /></label>
    <p v-if="told" class="small" role="status" data-testid="lens-told">{{ told }}</p>
    <template v-if="lenses.length">
      <v-checkbox v-model="straighten" label="straighten pictures as they come in" />
      <ul class="small">
        <li v-for="lens in lenses" :key="lens.id">
          {{ lens.name }}
          <button type="button" class="open-figure" @click="forget(lens.id)">forget it</button>
        </li>
      </ul>
    </template>
  </details>
</template>

<style scoped>
.lens {
  margin: 12px 0;
}
p {
  margin: 6px 0;
}
</style>
