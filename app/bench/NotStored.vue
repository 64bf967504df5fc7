<script setup lang="ts">
import { useNotStored } from '~/composables/use-not-stored'

const { reason, refused, overruled, heard, takeOut, tryAgain, hasJob } = useNotStored()
</script>

<template>
  <div v-if="reason" class="unsaved" role="alert" data-testid="not-stored">
    <p>Not stored: {{ reason }}. What you typed stands on this page, and is tried again.</p>
    <button type="button" class="plain-button" @click="takeOut()">
      {{ hasJob ? 'Take this job out as a file' : 'Take the whole shop out' }}
    </button>
    <button type="button" class="plain-button" @click="tryAgain()">Try now</button>
  </div>
  <div v-if="overruled.length" class="overruled" role="alert" data-testid="overruled">
    <p v-for="({ mine, stands }, n) in overruled" :key="n">
      Something newer stands: <strong translate="no">{{ stands }}</strong>. What was typed here before it,
      <strong translate="no">{{ mine }}</strong>, was not stored.
    </p>
    <button type="button" class="plain-button slight" @click="heard()">Read</button>
  </div>
  <p v-if="refused" class="refused" role="alert" data-testid="refused">
    Not taken: {{ refused }}. What was there before stands.
  </p>
</template>

<style scoped>
.unsaved {
  background: var(--stop);
  color: var(--paper);
  padding: 8px 24px;
  display: flex;
  flex-wrap: wrap;
  gap: 10px;
  align-items: center;
}
.unsaved p {
  margin: 0;
  flex: 1 1 300px;
}
.overruled {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 16px;
  align-items: center;
  border-left: 6px solid var(--stop);
  background: var(--sheet);
  padding: 8px 20px;
}
.overruled p {
  margin: 0;
  flex: 1 1 300px;
}
.refused {
  border-left: 6px solid var(--stop);
  background: var(--sheet);
  padding: 8px 20px;
  margin: 0;
}
</style>
