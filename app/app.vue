<script setup lang="ts">
import { computed, onMounted, ref, watch } from 'vue'
import { onKeyStroke, useEventListener } from '@vueuse/core'
import { useTheme } from 'vuetify'
import { STATION_IDS } from '#core/job/stations.table'
import ClockBar from '~/bench/ClockBar.vue'
import MadeUp from '~/bench/MadeUp.vue'
import NotStored from '~/bench/NotStored.vue'
import KeyList from '~/bench/KeyList.vue'
import TopBar from '~/bench/TopBar.vue'
import { useKeptFocus } from '~/composables/kept-focus'
import { typingNow } from '~/composables/typing'
import { speak } from '~/composables/use-words'
import { watchInstall } from '~/composables/use-install'
import { useJob } from '~/stores/job'
import { useScreens } from '~/stores/screens'
import { useSettings } from '~/stores/settings'
import { useShop } from '~/stores/shop'

const settings = useSettings()
const shop = useShop()
const store = useJob()
const screens = useScreens()
const theme = useTheme()
const route = useRoute()
const router = useRouter()
const keysShown = ref(false)
watchInstall()
useKeptFocus()
/** The words of the language asked for did not arrive. */
const wordless = ref(false)
const failure = ref<string | null>(null)
const jobId = computed(() => (typeof route.params.id === 'string' ? route.params.id : null))

watch(
  () => settings.theme,
  name => {
    theme.change(name)
  },
  { immediate: true },
)
watch(
  () => settings.language,
  language => {
    wordless.value = false
    speak(language).catch(() => {
      wordless.value = true
    })
  },
)
watch(
  () => settings.gloves,
  on => document.documentElement.classList.toggle('gloves', on),
  { immediate: true },
)
onMounted(() =>
  shop.open().then(
    () => screens.follow(),
    (error: unknown) => {
      failure.value = error instanceof Error ? error.message : 'the browser will not open its database'
    },
  ),
)
watch(
  () => route.path,
  path => {
    screens.moved(path)
  },
  { immediate: true },
)

useEventListener(window, 'beforeunload', event => {
  if (store.unsafe) event.preventDefault()
})

onKeyStroke(event => {
  if ((event.ctrlKey || event.metaKey) && event.key.toLowerCase() === 'z' && jobId.value) {
    if ((event.target as HTMLElement | null)?.closest('textarea')) return
    event.preventDefault()
    if (event.shiftKey) store.redo()
    else store.undo()
    return
  }
  if (typingNow(event)) return
  const station = STATION_IDS[Number(event.key) - 1]
  if (station && jobId.value) void router.push(`/job/${jobId.value}/${station}`)
  else if (event.key === 'u') settings.swapSystem()
  else if (event.key === '?') keysShown.value = true
  else if (event.key === '/') {
    event.preventDefault()
    void router.push({ path: '/', query: { find: '1' } })
  }
})
</script>

<template>
  <v-app>
    <a href="#main" class="visually-hidden">To the work</a>
    <TopBar :job-id="jobId" @keys="keysShown = true" />
    <MadeUp />
    <main id="main" tabindex="-1" :data-saving="store.saving">
      <p v-if="failure" class="page" role="alert">
        The database could not be opened: {{ failure }}. Nothing was changed. Private windows and full disks do this; a
        reload may help.
      </p>
      <NotStored v-else />
      <p v-if="wordless" class="page" role="alert">
        The words of that language did not arrive: try again when the server answers.
      </p>
      <NuxtPage v-if="shop.ready" />
    </main>
    <ClockBar />
    <KeyList v-model="keysShown" />
  </v-app>
</template>

<style scoped>
main {
  flex: 1;
  padding-bottom: 104px;
  outline: none;
}
</style>
