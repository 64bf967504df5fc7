<script setup lang="ts">
import { computed } from 'vue'
import { format } from 'date-fns'
import { useJob } from '~/stores/job'
import { useSettings } from '~/stores/settings'

const props = defineProps<{ jobId: string | null }>()
const emit = defineEmits<{ keys: [] }>()
const store = useJob()
const settings = useSettings()
const job = computed(() => (props.jobId && store.job?.id === props.jobId ? store.job : null))
const lights = { auto: 'dark', dark: 'light', light: 'auto' } as const
const lightName = computed(
  () => ({ auto: 'light: as the device', dark: 'dark, for beside the arc', light: 'light' })[settings.light],
)
</script>

<template>
  <header class="top no-print">
    <NuxtLink to="/" class="mark" aria-label="Wild Sparrow: the shelf"
      ><img src="/sparrow.svg" alt="" width="30" height="30"
    /></NuxtLink>
    <div v-if="job" class="title">
      <strong>{{ job.title }}</strong>{{ ' ' }}
      <span class="quiet"
        >{{ job.customer ? `for ${job.customer} · ` : '' }}taken in {{ format(new Date(job.takenInAt), 'd MMM') }}</span
      >
    </div>
    <strong v-else class="title">Wild Sparrow</strong>
    <div class="rest">
      <nav aria-label="Main" class="links">
        <NuxtLink to="/">Shelf</NuxtLink><NuxtLink to="/day">Day</NuxtLink><NuxtLink to="/threads">Threads</NuxtLink
        ><NuxtLink to="/kit">Kit</NuxtLink><NuxtLink to="/lessons">Lessons</NuxtLink><NuxtLink to="/ask">Ask</NuxtLink>
      </nav>
      <div class="row tools">
        <template v-if="job">
          <button
            type="button"
            class="plain-button slight"
            :disabled="!store.canUndo"
            aria-label="Undo"
            title="Undo"
            @click="store.undo()"
          >
            ↶
          </button>
          <button
            type="button"
            class="plain-button slight"
            :disabled="!store.canRedo"
            aria-label="Redo"
            title="Redo"
            @click="store.redo()"
          >
            ↷
          </button>
        </template>
        <v-btn-toggle
          :model-value="settings.system"
          aria-label="Units"
          class="units"
          @update:model-value="settings.system = $event"
        >
          <v-btn value="inch">inch · thou</v-btn><v-btn value="metric">mm</v-btn>
        </v-btn-toggle>
        <button
          type="button"
          class="plain-button slight"
          :aria-label="`Light: now ${lightName}`"
          @click="settings.light = lights[settings.light]"
        >
          {{ { auto: '◐', dark: '●', light: '○' }[settings.light] }}
        </button>
        <button
          type="button"
          class="plain-button slight"
          :aria-pressed="settings.gloves"
          @click="settings.gloves = !settings.gloves"
        >
          gloves
        </button>
        <button type="button" class="plain-button slight keys" @click="emit('keys')">
          <span class="figure">?</span> keys
        </button>
      </div>
    </div>
  </header>
</template>

<style scoped>
.top {
  display: flex;
  align-items: center;
  gap: 14px;
  padding: 4px 18px;
  border-bottom: 1px solid var(--soot);
  min-height: 52px;
  flex-wrap: wrap;
}
.mark {
  display: flex;
  min-width: 34px;
}
.title {
  flex: 1 1 220px;
  min-width: 0;
  font-size: 1rem;
  white-space: nowrap;
  overflow: hidden;
  text-overflow: ellipsis;
}
.links {
  display: flex;
  gap: 2px;
}
.links a {
  padding: 10px;
  text-decoration: none;
  color: var(--soot);
  font-weight: 550;
  min-height: var(--touch);
}
.links .router-link-exact-active {
  color: var(--chestnut);
  box-shadow: inset 0 -3px 0 var(--chestnut);
}
.rest {
  display: flex;
  align-items: center;
  gap: 14px;
}
.tools {
  gap: 6px;
  flex-wrap: nowrap;
}
.units {
  flex-wrap: nowrap;
}
.units :deep(.v-btn) {
  min-height: 38px;
  white-space: nowrap;
}
@media (max-width: 899px) {
  .top {
    padding: 4px 12px;
    gap: 6px;
  }
  .title {
    flex-basis: 70%;
    font-size: 0.92rem;
  }
  .keys {
    display: none;
  }
  .rest {
    width: 100%;
    overflow-x: auto;
    gap: 6px;
  }
  .links a {
    padding: 10px 8px;
  }
}
</style>
