import { fileURLToPath } from 'node:url'
import vuetify from 'vite-plugin-vuetify'

export default defineNuxtConfig({
  compatibilityDate: '2026-11-01',
  ssr: false,
  telemetry: false,
  devtools: { enabled: false },
  modules: [
    '@pinia/nuxt',
    (_options, nuxt) => {
      nuxt.hooks.hook('vite:extendConfig', (config) => {
        // The plugin loads only those controls that a template names.
        config.plugins?.push(vuetify({ autoImport: true }))
      })
    },
  ],
  alias: { '#core': fileURLToPath(new URL('./core', import.meta.url)) },
  build: { transpile: ['vuetify'] },
  components: { dirs: [] },
  imports: { autoImport: true, scan: false },
  css: [
    '@fontsource-variable/archivo/index.css',
    '@fontsource/b612/400.css',
    '@fontsource/b612/700.css',
    'vuetify/styles/core',
    '~/assets/tokens.css',
    '~/assets/bench.css',
  ],
  app: {
    head: {
      title: 'Wild Sparrow',
      htmlAttrs: { lang: 'en' },
      meta: [
        { name: 'viewport', content: 'width=device-width, initial-scale=1' },
        { name: 'description', content: 'Works out, schedules and records the repair of aluminium parts' },
      ],
      link: [{ rel: 'icon', type: 'image/svg+xml', href: '/sparrow.svg' }],
    },
  },
  // A page's script is fetched when a hand nears its link, not all of them at first load.
  experimental: { defaults: { nuxtLink: { prefetchOn: { visibility: false, interaction: true } } } },
  vite: {
    worker: { format: 'es' },
    build: { chunkSizeWarningLimit: 700 },
  },
  nitro: {
    serverAssets: [{ baseName: 'demo', dir: '../demo' }],
  },
  typescript: {
    strict: true,
    tsConfig: {
      compilerOptions: { noUncheckedIndexedAccess: true, noImplicitOverride: true },
      include: ['../core/**/*.ts', '../cli/**/*.ts', '../e2e/**/*.ts', '../bench/**/*.ts', '../demo/**/*.ts', '../tools/**/*.ts'],
    },
  },
})
