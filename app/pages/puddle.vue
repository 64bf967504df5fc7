<script setup lang="ts">
import { defineAsyncComponent } from 'vue'

const PuddleTrainer = defineAsyncComponent(() => import('~/stations/puddle/PuddleTrainer.vue'))
const lesson = useRoute().query.lesson
</script>

<template><PuddleTrainer :first="typeof lesson === 'string' ? lesson : undefined" /></template>
