<script setup lang="ts">
import type { Card } from '#core/job/card'
import { printLabels } from '~/composables/use-labels'
import { useStorage } from '~/composables/use-storage'
import type { useFiles } from '~/composables/use-files'
import { useShop } from '~/stores/shop'

/** The shop's files: out, in, and how much room there is. */
defineProps<{ found: readonly Card[]; files: ReturnType<typeof useFiles> }>()
const shop = useShop()
const { room, holds } = useStorage()
</script>

<template>
  <section>
    <h2>Files</h2>
    <p class="quiet small">
      All you enter stays in this browser. Take it out as a file to keep a copy or carry it to another bench; the same
      file brought in twice changes nothing.
    </p>
    <div class="row">
      <button
        type="button"
        class="plain-button"
        :disabled="!shop.cards.length"
        data-testid="backup"
        @click="files.saveShop()"
      >
        Take the whole shop out
      </button>
      <button
        type="button"
        class="plain-button slight"
        :disabled="!shop.cards.length"
        data-testid="csv"
        @click="files.saveTables()"
      >
        Jobs and log as CSV
      </button>
      <button
        type="button"
        class="plain-button slight"
        :disabled="!found.some(card => card.handedAt === null)"
        title="A tag for each open job found above; scanning its code opens the job here"
        data-testid="labels"
        @click="printLabels(found)"
      >
        Labels to print
      </button>
      <label class="plain-button"
        >Bring a file in<input
          type="file"
          accept=".json,.zip,application/json,application/zip"
          class="visually-hidden"
          data-testid="import"
          @change="files.bringIn($event)"
      /></label>
    </div>
    <p v-if="room?.nearlyFull" role="alert" class="unread">
      {{ room.words }} A backup now would hold {{ holds.jobs }} jobs and {{ holds.files }} pictures and shapes; then
      take old jobs off.
    </p>
    <p v-else-if="room" class="quiet small" data-testid="room">
      {{ room.words
      }}{{
        room.kept === false
          ? ' The browser has not promised to keep it: take the shop out now and then.'
          : room.kept
            ? ' The browser has promised to keep it.'
            : ''
      }}
      It works with the server gone.
    </p>
    <div v-if="files.report.value" role="status" class="report" :class="{ bad: files.report.value.bad }">
      <p>{{ files.report.value.text }}</p>
      <ul v-if="files.report.value.lines.length">
        <li v-for="line in files.report.value.lines" :key="line">
          <code>{{ line }}</code>
        </li>
      </ul>
    </div>
  </section>
</template>

<style scoped>
h2 {
  margin: 22px 0 4px;
  font-size: 1.1rem;
}
.unread {
  color: var(--stop);
}
.report {
  border-left: 4px solid var(--slate);
  padding: 6px 12px;
  margin-top: 14px;
}
.report.bad {
  border-color: var(--stop);
}
code {
  font-family: var(--figures);
  font-size: 0.8rem;
}
</style>
