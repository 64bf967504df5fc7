import { availableParallelism } from 'node:os'
import { fileURLToPath } from 'node:url'
import { defineConfig } from 'vitest/config'

const from = (path: string) => fileURLToPath(new URL(path, import.meta.url))

export default defineConfig({
  resolve: { alias: { '#core': from('./core'), '~': from('./app') } },
  test: {
    projects: [
      {
        extends: true,
        test: {
          name: 'core',
          include: ['core', 'server', 'cli', 'demo', 'tools'].map(room => `${room}/**/*.test.ts`),
          // Nothing of it is put in another's place or kept between tests, so its modules are read once a worker.
          isolate: false,
        },
      },
      { extends: true, test: { name: 'app', include: ['app/**/*.test.ts'] } },
    ],
    testTimeout: 180_000,
    // All of the machine: by itself one processor would be left idle, which of two is half.
    maxWorkers: availableParallelism(),
    // Two busy processors have no third that could optimise and tidy beside them.
    execArgv: ['--single-threaded', '--max-semi-space-size=64', '--min-semi-space-size=32'],
  },
})
