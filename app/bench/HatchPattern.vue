<script setup lang="ts">
defineProps<{ id: string }>()
</script>

<template>
  <pattern :id="id" width="12" height="12" patternUnits="userSpaceOnUse" patternTransform="rotate(45)"
    ><rect width="12" height="12" fill="var(--metal)" /><line
      x1="0"
      y1="0"
      x2="0"
      y2="12"
      stroke="var(--hatch)"
      stroke-width="1.2"
  /></pattern>
</template>
