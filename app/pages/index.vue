<script setup lang="ts">
import ShelfView from '~/stations/shelf/ShelfView.vue'
</script>

<template>
  <ShelfView />
</template>
