import { fileURLToPath } from 'node:url'
import vuetify from 'vite-plugin-vuetify'
import { pagePieces } from './tools/pieces'
import { sayTransform } from './tools/words/vue-words'

/**
 * What the browser may do with what comes from here: nothing inline, nothing from elsewhere. The theme's style element
 * is let in page by page (server/plugins/no-inline.ts).
 */
const HEADERS = {
  'content-security-policy': [
    "default-src 'none'",
    "script-src 'self' 'wasm-unsafe-eval'",
    "style-src 'self'",
    "img-src 'self' blob: data:",
    "font-src 'self'",
    "connect-src 'self'",
    "worker-src 'self'",
    "manifest-src 'self'",
    "base-uri 'none'",
    "form-action 'none'",
    "frame-ancestors 'none'",
  ].join('; '),
  'x-content-type-options': 'nosniff',
  'x-frame-options': 'DENY',
  'cross-origin-resource-policy': 'same-origin',
  'referrer-policy': 'no-referrer',
  'permissions-policy': 'geolocation=(), microphone=()',
  'cross-origin-opener-policy': 'same-origin',
}

export default defineNuxtConfig({
  compatibilityDate: '2026-11-01',
  ssr: false,
  telemetry: false,
  devtools: { enabled: false },
  modules: [
    '@pinia/nuxt',
    (_options, nuxt) => {
      nuxt.hooks.hook('vite:extendConfig', (config, { isClient }) => {
        const input = config.build?.rollupOptions?.input
        // Without server rendering the development server still looks for a server entry in the client's input; it
        // never loads it.
        if (nuxt.options.dev && isClient && input && typeof input === 'object' && !Array.isArray(input))
          input.server ??= input.entry!
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
      link: [
        { rel: 'icon', type: 'image/svg+xml', href: '/sparrow.svg' },
        { rel: 'apple-touch-icon', href: '/icons/touch-180.png' },
        { rel: 'manifest', href: '/manifest.webmanifest' },
      ],
    },
  },
  experimental: {
    // A page's script is fetched when a hand nears its link, not all of them at first load.
    defaults: { nuxtLink: { prefetchOn: { visibility: false, interaction: true } } },
    // It would stand inline, which the policy above forbids.
    entryImportMap: false,
  },
  vite: {
    // What a template shows is said in the reader's language.
    vue: { template: { compilerOptions: { nodeTransforms: [sayTransform()] } } },
    worker: {
      format: 'es',
      rollupOptions: {
        output: { entryFileNames: '_nuxt/workers/[hash].js', chunkFileNames: '_nuxt/workers/[hash].js' },
      },
    },
    // Named beforehand, so that the development server need not start anew for each as it meets them.
    optimizeDeps: {
      include: [
        '@vueuse/core',
        'chart.js',
        'comlink',
        'd3-contour',
        'date-fns',
        'dexie',
        'fflate',
        'fraction.js',
        'ml-matrix',
        'three',
        'vue-chartjs',
        'zod',
      ],
    },
    build: { chunkSizeWarningLimit: 700 },
    $client: { build: { rollupOptions: { output: { codeSplitting: pagePieces() } } } },
  },
  nitro: {
    // Screens of one shop hear each other through rooms (server/rooms).
    experimental: { websocket: true },
    serverAssets: [
      { baseName: 'demo', dir: '../demo' },
      { baseName: 'offline', dir: './assets/offline' },
    ],
  },
  // Nothing is fetched on the chance of it: the service worker keeps all of it once the page stands.
  hooks: {
    'build:manifest': manifest => {
      for (const entry of Object.values(manifest)) entry.prefetch = false
    },
  },
  $production: { nitro: { routeRules: { '/**': { headers: HEADERS } } } },
  typescript: {
    strict: true,
    tsConfig: {
      compilerOptions: { noUncheckedIndexedAccess: true, noImplicitOverride: true },
      include: [
        '../core/**/*.ts',
        '../cli/**/*.ts',
        '../e2e/**/*.ts',
        '../bench/**/*.ts',
        '../demo/**/*.ts',
        '../tools/**/*.ts',
      ],
      // AssemblyScript, whose types are its own compiler's.
      exclude: ['../core/heat/field/assembly', '../core/puddle/pool/assembly', '../core/warp/assembly'],
    },
  },
})
