<script setup lang="ts">
import { computed } from 'vue'
import { useJoin } from './use-join'

/** What another screen's link opens: what to take, and that it is taken. */
const { screens, offer, trouble, reach, one, taking, joined, takeJob, takeOpen, takeShop } = useJoin()
const items = computed(() => (offer.value?.jobs ?? []).map(({ id, title }) => ({ value: id, title })))
</script>

<template>
  <div class="page">
    <h1>Join the other screen</h1>
    <p v-if="trouble" role="alert" class="trouble">Not joined: {{ trouble }}.</p>
    <template v-else-if="joined">
      <p>
        This screen is <b data-testid="pair-state" data-state="joined">joined</b> with
        <span translate="no">{{ offer?.name }}</span>. What is changed on one is on the other.
      </p>
      <p class="row">
        <NuxtLink
          v-if="one && screens.membership?.scope.kind === 'jobs'"
          class="plain-button strong"
          :to="`/job/${one}/take-in`"
          >To the job</NuxtLink
        >
        <NuxtLink class="plain-button" :class="{ strong: screens.membership?.scope.kind !== 'jobs' }" to="/"
          >To the shelf</NuxtLink
        >
      </p>
    </template>
    <p v-else-if="taking" role="status">
      Joining <span translate="no">{{ offer?.name }}</span>…
      <b data-testid="pair-state" data-state="waiting">waiting for the other screen</b>
    </p>
    <template v-else-if="offer">
      <p>
        <b translate="no">{{ offer.name }}</b> lets this screen in. What is to be on it? It can be left again at any
        time, on either screen; what stands here already stays.
      </p>
      <div class="choices">
        <div class="choice">
          <v-select
            v-model="one"
            :items="items"
            label="One job"
            data-testid="pair-job"
            :disabled="!items.length"
            no-data-text="No jobs there yet"
          />
          <button
            type="button"
            class="plain-button"
            :disabled="one === null"
            data-testid="pair-take-job"
            @click="takeJob()"
          >
            Take this job
          </button>
        </div>
        <div class="choice">
          <p>The open jobs: <span class="figure">{{ offer.open }}</span>, and each that is begun later.</p>
          <button type="button" class="plain-button" data-testid="pair-take-open" @click="takeOpen()">
            Take the open jobs
          </button>
        </div>
        <div class="choice">
          <p>
            The whole shop: <span class="figure">{{ offer.all }}</span> jobs, the kit and all that comes. What is taken
            off the shelf on one is off on the other.
          </p>
          <button type="button" class="plain-button strong" data-testid="pair-take-shop" @click="takeShop()">
            Take the whole shop
          </button>
        </div>
      </div>
    </template>
    <p v-else role="status">
      {{
        reach
          ? 'Asking the other screen… it must be on, with its link not older than ten minutes and not taken back.'
          : 'Looking for the server…'
      }}
    </p>
  </div>
</template>

<style scoped>
.trouble {
  color: var(--stop);
}
.choices {
  max-width: 620px;
}
.choice {
  border-top: 1px solid var(--hairline);
  padding: 12px 0;
  display: flex;
  flex-wrap: wrap;
  gap: 10px 18px;
  align-items: center;
}
.choice > :first-child {
  flex: 1 1 280px;
  margin: 0;
}
</style>
