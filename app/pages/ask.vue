<script setup lang="ts">
import AskView from '~/stations/ask/AskView.vue'
</script>

<template>
  <AskView />
</template>
