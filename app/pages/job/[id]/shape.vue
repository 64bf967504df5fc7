<script setup lang="ts">
import { defineAsyncComponent } from 'vue'
import StripPage from '~/bench/StripPage.vue'

const ShapeStation = defineAsyncComponent(() => import('~/stations/shape/ShapeStation.vue'))
</script>

<template>
  <StripPage current="take-in"><ShapeStation /></StripPage>
</template>
