<script setup lang="ts">
import { useJob } from '~/stores/job'

const store = useJob()
</script>

<template>
  <div class="choice">
    <p>Reach</p>
    <v-btn-toggle
      :model-value="store.job!.open.sides"
      aria-label="Reach"
      @update:model-value="store.edit(['open', 'sides'], $event)"
    >
      <v-btn :value="1">one side</v-btn><v-btn :value="2">both sides</v-btn>
    </v-btn-toggle>
    <v-checkbox
      label="A ring: no ends"
      :model-value="store.job!.open.closed"
      @update:model-value="store.edit(['open', 'closed'], $event === true)"
    />
  </div>
</template>

<style scoped>
.choice {
  margin: 10px 0 0;
}
p {
  margin: 0 0 4px;
  font-size: 0.97rem;
}
.v-btn-toggle {
  width: 100%;
}
</style>
