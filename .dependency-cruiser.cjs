/** The walls between the workspaces; `npm run lint` fails when one is crossed. */
module.exports = {
  forbidden: [
    { name: 'no-circular', severity: 'error', from: {}, to: { circular: true, dependencyTypesNot: ['type-only'] } },
    {
      name: 'core-stands-alone',
      comment:
        'The core sees no other workspace, no Node module, and of packages only Joi, for looking plants up MiniSearch, and ml-matrix for linear algebra.',
      severity: 'error',
      from: { path: '^core/src', pathNot: '\\.test\\.ts$|^core/src/test' },
      to: { pathNot: '^core/src|node_modules/(joi|minisearch|ml-matrix)' },
    },
    {
      name: 'joi-only-at-the-edge',
      severity: 'error',
      from: { path: '^core/src', pathNot: '^core/src/exchange' },
      to: { path: 'node_modules/joi' },
    },
    {
      name: 'only-the-cores-public-entry',
      severity: 'error',
      from: { path: '^(web|server|cli|demo)/src' },
      to: { path: '^core/src/', pathNot: '^core/src/(index|engines)\\.ts$' },
    },
    { name: 'web-stands-apart', severity: 'error', from: { path: '^web/src' }, to: { path: '^(server|cli)/' } },
    {
      name: 'server-stands-apart',
      severity: 'error',
      from: { path: '^server/src' },
      to: { path: '^(web|cli|demo)/' },
    },
    { name: 'cli-stands-apart', severity: 'error', from: { path: '^cli/src' }, to: { path: '^(web|server|demo)/' } },
    { name: 'demo-stands-apart', severity: 'error', from: { path: '^demo/src' }, to: { path: '^(web|server|cli)/' } },
  ],
  options: {
    doNotFollow: { path: 'node_modules' },
    tsPreCompilationDeps: true,
    tsConfig: { fileName: 'tsconfig.base.json' },
    enhancedResolveOptions: { exportsFields: ['exports'], conditionNames: ['import', 'default'] },
  },
}
