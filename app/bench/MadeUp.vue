<script setup lang="ts">
import { WHICH_SHOP } from '~/db/which-shop'
import { useShop } from '~/stores/shop'

/** Says that this is the made-up shop, and leads out of it. */
const shop = useShop()
</script>

<template>
  <p v-if="WHICH_SHOP === 'made-up'" class="made-up no-print" role="status" data-testid="made-up">
    A made-up shop, to look round in; your own shelf is kept apart.
    <button type="button" class="open-figure" @click="shop.leaveMadeUp()">Put it away and go to your own</button>
  </p>
</template>

<style scoped>
.made-up {
  margin: 0;
  padding: 6px 24px;
  font-size: 0.88rem;
  background: var(--new-metal-wash);
}
</style>
