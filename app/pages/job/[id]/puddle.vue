<script setup lang="ts">
import { defineAsyncComponent } from 'vue'
import StripPage from '~/bench/StripPage.vue'

const JobTrainer = defineAsyncComponent(() => import('~/stations/puddle/JobTrainer.vue'))
</script>

<template>
  <StripPage current="weld"><JobTrainer /></StripPage>
</template>
