<script setup lang="ts">
import StripSheet from '~/stations/shelf/StripSheet.vue'
</script>

<template>
  <StripSheet />
</template>
