<script setup lang="ts">
import { computed } from 'vue'
import { LANGUAGES, LANGUAGE_IDS } from '#core/words/languages.table'
import { useSettings } from '~/stores/settings'

/**
 * Units, language, light, gloves and the list of keys: how this reader reads. In a row, or one under another in a menu.
 */
defineProps<{ stacked?: boolean }>()
const emit = defineEmits<{ keys: [] }>()
const settings = useSettings()
const LIGHTS = { auto: 'dark', dark: 'light', light: 'auto' } as const
const LIGHT_WORDS = { auto: 'light: as the device', dark: 'dark, for beside the arc', light: 'light' } as const
const LIGHT_SIGNS = { auto: '◐', dark: '●', light: '○' } as const
const next = computed(() => LANGUAGE_IDS[(LANGUAGE_IDS.indexOf(settings.language) + 1) % LANGUAGE_IDS.length]!)
const lightName = computed(() => LIGHT_WORDS[settings.light])
</script>

<template>
  <div class="ways" :class="{ stacked }">
    <v-btn-toggle
      :model-value="settings.system"
      mandatory
      aria-label="Units"
      class="units"
      @update:model-value="settings.system = $event"
    >
      <v-btn value="inch">inch · thou</v-btn><v-btn value="metric">mm</v-btn>
    </v-btn-toggle>
    <button
      type="button"
      class="plain-button slight"
      :aria-label="`Language: ${LANGUAGES[settings.language].name}`"
      data-testid="language"
      @click="settings.language = next"
    >
      <span translate="no">{{ stacked ? LANGUAGES[settings.language].name : settings.language.toUpperCase() }}</span>
    </button>
    <button
      type="button"
      class="plain-button slight"
      :aria-label="`Light: now ${lightName}`"
      @click="settings.light = LIGHTS[settings.light]"
    >
      {{ LIGHT_SIGNS[settings.light] }}<template v-if="stacked">&ensp;{{ lightName }}</template>
    </button>
    <button
      type="button"
      class="plain-button slight"
      :aria-pressed="settings.gloves"
      @click="settings.gloves = !settings.gloves"
    >
      gloves{{ stacked ? (settings.gloves ? ': on, all larger' : ': off') : '' }}
    </button>
    <button type="button" class="plain-button slight only-with-keys" @click="emit('keys')">
      <span class="figure">?</span> keys
    </button>
  </div>
</template>

<style scoped>
.ways {
  display: flex;
  align-items: center;
  gap: 6px;
}
.stacked {
  flex-direction: column;
  align-items: stretch;
}
.units {
  flex-wrap: nowrap;
}
.units :deep(.v-btn) {
  min-height: 38px;
  white-space: nowrap;
}
.stacked .units :deep(.v-btn) {
  min-height: var(--touch);
}
</style>
