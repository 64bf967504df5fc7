<script setup lang="ts">
import { defineAsyncComponent } from 'vue'
import StripPage from '~/bench/StripPage.vue'

const HoldStation = defineAsyncComponent(() => import('~/stations/hold/HoldStation.vue'))
</script>

<template>
  <StripPage current="call"><HoldStation /></StripPage>
</template>
