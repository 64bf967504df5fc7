<script setup lang="ts">
import { defineAsyncComponent } from 'vue'

const ThreadBench = defineAsyncComponent(() => import('~/stations/threads/ThreadBench.vue'))
</script>

<template><ThreadBench /></template>
