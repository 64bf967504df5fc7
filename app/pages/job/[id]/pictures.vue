<script setup lang="ts">
import { defineAsyncComponent } from 'vue'
import StripPage from '~/bench/StripPage.vue'

const PicturesStation = defineAsyncComponent(() => import('~/stations/pictures/PicturesStation.vue'))
</script>

<template>
  <StripPage current="open"><PicturesStation /></StripPage>
</template>
