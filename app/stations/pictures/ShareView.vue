<script setup lang="ts">
import { onBeforeUnmount, onMounted, ref } from 'vue'
import { dropShared, sharedPictures } from '~/screens/shared-pictures'
import { useShop } from '~/stores/shop'

/** Pictures that the gallery shared, and the question of which job they are for. */
const shop = useShop()
const router = useRouter()
const pictures = ref<{ name: string; url: string }[] | null>(null)
let leave: (() => void) | undefined
onMounted(async () => {
  leave = shop.followShelf()
  pictures.value = (await sharedPictures()).map(file => ({ name: file.name, url: URL.createObjectURL(file) }))
})
onBeforeUnmount(() => {
  leave?.()
  for (const { url } of pictures.value ?? []) URL.revokeObjectURL(url)
})
async function drop() {
  await dropShared()
  await router.push('/')
}
</script>

<template>
  <div class="page">
    <h1>Which job are they for?</h1>
    <template v-if="pictures?.length">
      <ul class="pictures" aria-label="Pictures">
        <li v-for="picture in pictures" :key="picture.url"><img :src="picture.url" :alt="picture.name" /></li>
      </ul>
      <ul class="jobs" aria-label="Jobs">
        <li v-for="card in shop.cards.filter(each => each.handedAt === null)" :key="card.id">
          <NuxtLink :to="`/job/${card.id}/pictures?shared=1`" translate="no">{{ card.title }}</NuxtLink>
        </li>
      </ul>
      <p v-if="!shop.cards.some(card => card.handedAt === null)">
        No job is open: take one in at <NuxtLink to="/">the shelf</NuxtLink>; they wait here.
      </p>
      <button type="button" class="plain-button slight" @click="drop()">For none of them</button>
    </template>
    <p v-else-if="pictures">No pictures wait here. <NuxtLink to="/">To the shelf</NuxtLink>.</p>
  </div>
</template>

<style scoped>
.pictures {
  list-style: none;
  padding: 0;
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
}
.pictures img {
  width: 120px;
  height: 90px;
  object-fit: cover;
  border: 1px solid var(--soot);
}
.jobs {
  list-style: none;
  padding: 0;
}
.jobs a {
  display: block;
  padding: 12px 0;
  border-top: 1px solid var(--hairline);
}
</style>
