import { defineConfig } from 'vitest/config'

/** What is run against each mutant: gates, log and lineage clause by clause, without the long random passages. */
export default defineConfig({
  test: {
    include: [
      'core/src/gates/**/*.test.ts',
      'core/src/log/{log,propose,describe,amendments}.test.ts',
      'core/src/lot/lineage.test.ts',
      'core/src/lot/lot.test.ts',
    ],
    setupFiles: ['core/src/test/seed.ts'],
  },
})
