<script setup lang="ts">
import { defineAsyncComponent } from 'vue'

const DayView = defineAsyncComponent(() => import('~/stations/day/DayView.vue'))
</script>

<template><DayView /></template>
