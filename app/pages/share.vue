<script setup lang="ts">
import ShareView from '~/stations/pictures/ShareView.vue'
</script>

<template>
  <ShareView />
</template>
