<script setup lang="ts">
import { defineAsyncComponent } from 'vue'

const LessonsView = defineAsyncComponent(() => import('~/stations/lessons/LessonsView.vue'))
</script>

<template><LessonsView /></template>
