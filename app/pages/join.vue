<script setup lang="ts">
import JoinView from '~/stations/shelf/JoinView.vue'
</script>

<template>
  <JoinView />
</template>
