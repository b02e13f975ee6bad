import { availableParallelism } from 'node:os'
import { defineConfig } from 'vitest/config'

export default defineConfig({
  test: {
    include: [
      'core/src/**/*.test.ts',
      'cli/src/**/*.test.ts',
      'server/src/**/*.test.ts',
      'demo/src/**/*.test.ts',
      'web/src/**/*.test.ts',
    ],
    // All processors: by default one is left free, which is half of a small machine.
    maxWorkers: availableParallelism(),
    testTimeout: 120_000,
    setupFiles: ['core/src/test/seed.ts'],
  },
})
