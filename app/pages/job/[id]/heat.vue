<script setup lang="ts">
import { defineAsyncComponent } from 'vue'
import StripPage from '~/bench/StripPage.vue'

const HeatStation = defineAsyncComponent(() => import('~/stations/heat/HeatStation.vue'))
</script>

<template>
  <StripPage current="warm"><HeatStation /></StripPage>
</template>
