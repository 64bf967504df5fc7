import { createVuetify } from 'vuetify'
import { aliases, mdi } from 'vuetify/iconsets/mdi-svg'

const light = {
  background: '#f4efe6',
  surface: '#fcfaf5',
  primary: '#8a4526',
  secondary: '#54606b',
  error: '#a6261d',
  warning: '#7a5400',
}
const dark = {
  background: '#1d1b19',
  surface: '#262321',
  primary: '#d8946a',
  secondary: '#adb7c0',
  error: '#f28b80',
  warning: '#e9b95a',
}

export default defineNuxtPlugin(nuxt => {
  nuxt.vueApp.use(
    createVuetify({
      icons: { defaultSet: 'mdi', aliases, sets: { mdi } },
      theme: {
        cspNonce: document.querySelector<HTMLMetaElement>('meta[property="style-nonce"]')?.content,
        defaultTheme: 'light',
        themes: { light: { dark: false, colors: light }, dark: { dark: true, colors: dark } },
      },
      defaults: {
        global: { ripple: false },
        VBtn: { variant: 'text' },
        VTextField: { variant: 'outlined', density: 'compact', hideDetails: 'auto' },
        VTextarea: { variant: 'outlined', density: 'compact', hideDetails: 'auto', autoGrow: true, rows: 2 },
        VSelect: {
          variant: 'outlined',
          density: 'compact',
          hideDetails: 'auto',
          menuProps: { transition: false, maxHeight: 660 },
        },
        VCheckbox: { density: 'compact', hideDetails: true, color: 'primary' },
        VBtnToggle: { mandatory: true, divided: false },
        VDialog: { maxWidth: 560 },
      },
    }),
  )
})
