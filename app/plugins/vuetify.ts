import { createVuetify } from 'vuetify'
import { aliases, mdi } from 'vuetify/iconsets/mdi-svg'

export default defineNuxtPlugin((nuxt) => {
  nuxt.vueApp.use(createVuetify({ icons: { defaultSet: 'mdi', aliases, sets: { mdi } } }))
})
