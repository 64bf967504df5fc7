<script setup lang="ts">
import { defineAsyncComponent } from 'vue'

const BenchMode = defineAsyncComponent(() => import('~/stations/weld/BenchMode.vue'))
</script>

<template><BenchMode /></template>
