import { defineConfig } from 'vitest/config'

/** What is run against each mutant: the gates clause by clause, without the long random passages. */
export default defineConfig({
  test: {
    include: ['core/src/gates/**/*.test.ts'],
    setupFiles: ['core/src/test/seed.ts'],
  },
})
