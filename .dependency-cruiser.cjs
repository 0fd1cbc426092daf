/** The boundaries of docs/ARCHITECTURE.md, checked by `npm test`. */

module.exports = {
  forbidden: [
    { name: 'no-circles', severity: 'error', from: {}, to: { circular: true } },
    { name: 'resolvable', severity: 'error', from: {}, to: { couldNotResolve: true } },
    {
      name: 'core-is-alone',
      comment: 'core imports only core and pure libraries: no React, Express, database or Node module.',
      severity: 'error',
      from: { path: '^core/', pathNot: '^core/testing/|\\.test\\.ts$' },
      to: { pathNot: '^core/|^node_modules/(zod|date-fns|minisearch|docx|re2js|diff)/' },
    },
    {
      name: 'contracts-know-the-core-only',
      severity: 'error',
      from: { path: '^contracts/' },
      to: { pathNot: '^(core|contracts)/|^node_modules/zod/' },
    },
    {
      name: 'server-never-imports-web',
      severity: 'error',
      from: { path: '^server/' },
      to: { path: '^(web|e2e|bench)/' },
    },
    {
      name: 'web-never-imports-server',
      severity: 'error',
      from: { path: '^web/' },
      to: { path: '^(server|demo|e2e|bench)/' },
    },
    {
      name: 'faces-not-insides',
      comment: "Other folders import a core folder's index.ts, not the files behind it.",
      severity: 'error',
      from: { path: '^(contracts|server|web|demo|bench)/' },
      to: { path: '^core/[^/]+/', pathNot: '^core/[^/]+/index\\.ts$' },
    },
    {
      name: 'faces-within-the-core',
      severity: 'error',
      from: { path: '^core/([^/]+)/' },
      to: { path: '^core/[^/]+/', pathNot: ['^core/$1/', '^core/[^/]+/index\\.ts$'] },
    },
  ],
  options: {
    doNotFollow: { path: 'node_modules' },
    tsConfig: { fileName: 'tsconfig.json' },
    tsPreCompilationDeps: true,
    enhancedResolveOptions: { exportsFields: ['exports'], conditionNames: ['import', 'types', 'node'] },
  },
};
