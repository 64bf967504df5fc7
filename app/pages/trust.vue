<script setup lang="ts">
import TrustView from '~/stations/shelf/TrustView.vue'
</script>

<template>
  <TrustView />
</template>
