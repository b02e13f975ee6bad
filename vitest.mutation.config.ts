import { defineConfig } from 'vitest/config'

/** What is run against each mutant: gates, log and lineage clause by clause, without the long random passages. */
export default defineConfig({
  test: { include: ['core/src/test/mutation.suite.ts'], setupFiles: ['core/src/test/seed.ts'], testTimeout: 60_000 },
})
