<script setup lang="ts">
import { useMends } from './use-mend'

/** Where a mend stands in the row, and taking it off. */
const { all, current, remove, move } = useMends()
</script>

<template>
  <div v-if="current" class="row no-print">
    <template v-if="all.length > 1">
      <button type="button" class="plain-button slight" aria-label="Earlier in the row" @click="move(current.id, -1)">
        ←
      </button>
      <button type="button" class="plain-button slight" aria-label="Later in the row" @click="move(current.id, 1)">
        →
      </button>
    </template>
    <button type="button" class="plain-button slight" data-testid="drop-mend" @click="remove(current.id)">
      Take it off
    </button>
  </div>
</template>
