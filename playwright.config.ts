import { defineConfig } from '@playwright/test'
import { CHROMIUM, TEST_ARGS } from './e2e/chromium'

const PORT = 4317

export default defineConfig({
  testDir: './e2e',
  // Long enough for a machine that is now and then taken away for a while.
  timeout: 900_000,
  expect: { timeout: 60_000 },
  workers: 2,
  fullyParallel: false,
  // A loaded machine may be slow once; what fails twice is broken.
  retries: process.env.CI ? 1 : 0,
  reporter: [['list'], ['json', { outputFile: 'test-results/e2e.json' }]],
  use: {
    baseURL: `http://127.0.0.1:${PORT}`,
    viewport: { width: 1280, height: 800 },
    launchOptions: { executablePath: CHROMIUM, args: TEST_ARGS },
    acceptDownloads: true,
    // A view stands as it is to stand at once, with nothing sliding or fading before it is read.
    contextOptions: { reducedMotion: 'reduce' },
    // It fetches the whole application for later at every test's start; the test of that lets it (hardening.spec.ts).
    serviceWorkers: 'block',
  },
  webServer: {
    command: 'node .output/server/index.mjs',
    port: PORT,
    reuseExistingServer: false,
    env: {
      PORT: String(PORT),
      HOST: '127.0.0.1',
      NITRO_PORT: String(PORT),
      NITRO_HOST: '127.0.0.1',
      WILD_SPARROW_DEMO: '',
    },
  },
})
