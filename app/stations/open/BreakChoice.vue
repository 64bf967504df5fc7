<script setup lang="ts">
import { useJob } from '~/stores/job'

const store = useJob()
</script>

<template>
  <div class="choice">
    <p>The break itself</p>
    <v-btn-toggle
      :model-value="store.job!.open.keepBreak"
      aria-label="The break itself"
      @update:model-value="store.edit(['open', 'keepBreak'], $event)"
    >
      <v-btn :value="true">keep as locator</v-btn><v-btn :value="false">cut right out</v-btn>
    </v-btn-toggle>
    <p class="quiet small">
      {{
        store.job!.open.keepBreak
          ? 'The middle of the fracture is the jigsaw that holds it in line; the back is ground out to sound weld afterwards.'
          : 'Full penetration; locate it by jig. Where a bore must stay true, leave the last bit unwelded.'
      }}
    </p>
  </div>
</template>

<style scoped>
.choice {
  margin: 14px 0 6px;
}
p {
  margin: 0 0 4px;
  font-size: 0.97rem;
}
.small {
  margin-top: 6px;
  font-size: 0.86rem;
}
.v-btn-toggle {
  width: 100%;
}
</style>
