import { sayInTemplate, sayItemsInTemplate, speak } from '~/composables/use-words'
import { useSettings } from '~/stores/settings'

/** The words of every template, and the reader's language before the first page is drawn. */
export default defineNuxtPlugin(async nuxt => {
  nuxt.vueApp.config.globalProperties.$say = sayInTemplate
  nuxt.vueApp.config.globalProperties.$sayItems = sayItemsInTemplate
  const settings = useSettings()
  // Without its words the page is still there, in English.
  await speak(settings.language).catch(() => undefined)
})
