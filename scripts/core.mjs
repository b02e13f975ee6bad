import { ensureModules } from './ensure.mjs'

ensureModules()
const { tsImport } = await import('tsx/esm/api')
await tsImport('../cli/src/bin.ts', import.meta.url)
