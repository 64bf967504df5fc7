import { availableParallelism } from 'node:os'
import { fileURLToPath } from 'node:url'
import { defineConfig } from 'vitest/config'

const from = (path: string) => fileURLToPath(new URL(path, import.meta.url))

export default defineConfig({
  resolve: { alias: { '#core': from('./core'), '~': from('./app') } },
  test: {
    include: [
      'core/**/*.test.ts',
      'server/**/*.test.ts',
      'cli/**/*.test.ts',
      'demo/**/*.test.ts',
      'app/**/*.test.ts',
      'tools/**/*.test.ts',
    ],
    testTimeout: 180_000,
    // All of the machine: by itself one processor would be left idle, which of two is half.
    maxWorkers: availableParallelism(),
  },
})
