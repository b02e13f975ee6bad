import { ensureBuilt, ensureModules } from './ensure.mjs'

ensureModules()
ensureBuilt()
const { tsImport } = await import('tsx/esm/api')
await tsImport('../server/src/bin.ts', import.meta.url)
