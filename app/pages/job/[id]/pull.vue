<script setup lang="ts">
import { defineAsyncComponent } from 'vue'
import StripPage from '~/bench/StripPage.vue'

const PullStation = defineAsyncComponent(() => import('~/stations/pull/PullStation.vue'))
</script>

<template>
  <StripPage current="weld"><PullStation /></StripPage>
</template>
