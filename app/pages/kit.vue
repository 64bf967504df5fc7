<script setup lang="ts">
import KitView from '~/stations/kit/KitView.vue'
</script>

<template>
  <KitView />
</template>
