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
    testTimeout: 120_000,
    setupFiles: ['core/src/test/seed.ts'],
  },
})
