/** The boundaries of docs/ARCHITECTURE.md, checked by `npm test`. */

module.exports = {
  forbidden: [
    { name: 'no-circles', severity: 'error', from: {}, to: { circular: true } },
    { name: 'resolvable', severity: 'error', from: {}, to: { couldNotResolve: true } },
    {
      name: 'installed-where-it-runs',
      comment:
        'What the application and its demo are made of is there without what checks need: `npm start` and `npm run demo` install no more.',
      severity: 'error',
      from: {
        path: '^(core|contracts|client|companion|server|web|demo)/',
        // Those that make files of the demo are run by hand.
        pathNot: '\\.test\\.tsx?$|/testing/|^demo/lived/\\w+/make\\w+\\.ts$',
      },
      to: {
        dependencyTypes: ['npm-dev'],
        dependencyTypesNot: ['type-only'],
        pathNot: '^node_modules/@types/',
      },
    },
    {
      name: 'core-is-alone',
      comment: 'core imports only core and pure libraries: no React, Express, database or Node module.',
      severity: 'error',
      from: { path: '^core/', pathNot: '^core/testing/|\\.test\\.tsx?$' },
      to: {
        pathNot:
          '^core/|^node_modules/(zod|date-fns|minisearch|docx|re2js|diff|saxes|postal-mime|htmlparser2)/',
      },
    },
    {
      name: 'contracts-know-the-core-only',
      severity: 'error',
      from: { path: '^contracts/' },
      to: { pathNot: '^(core|contracts)/|^node_modules/zod/' },
    },
    {
      name: 'client-has-no-framework',
      comment: 'client imports core, contracts and itself: what it does, any page of ours can use.',
      severity: 'error',
      from: { path: '^client/', pathNot: '^client/testing/|\\.test\\.tsx?$' },
      to: {
        pathNot:
          '^(core|contracts|client)/|^node_modules/(zod|comlink|idb|nspell|docx|fflate|pdfmake|@types/pdfmake|@fontsource/literata)/',
      },
    },
    {
      name: 'server-never-imports-web',
      severity: 'error',
      from: { path: '^server/' },
      to: { path: '^(web|client|companion|e2e|bench)/' },
    },
    {
      name: 'web-never-imports-server',
      severity: 'error',
      from: { path: '^web/' },
      to: { path: '^(server|demo|e2e|bench|companion)/' },
    },
    {
      name: 'companion-knows-no-pages-of-ours',
      comment:
        'The companion stands on core, contracts and client, as the web does; neither imports the other.',
      severity: 'error',
      from: { path: '^companion/', pathNot: '\\.test\\.tsx?$' },
      to: {
        pathNot:
          '^(core|contracts|client|companion)/|^node_modules/(zod|idb|react|react-dom|@types/(react|react-dom|chrome))/',
      },
    },
    {
      name: 'faces-not-insides',
      comment: "Other folders import a core folder's index.ts, not the files behind it.",
      severity: 'error',
      from: { path: '^(contracts|client|companion|server|web|demo|bench)/' },
      to: { path: '^core/[^/]+/', pathNot: '^core/[^/]+/index\\.ts$' },
    },
    {
      name: 'faces-within-the-core',
      severity: 'error',
      from: { path: '^core/([^/]+)/' },
      to: { path: '^core/[^/]+/', pathNot: ['^core/$1/', '^core/[^/]+/index\\.ts$'] },
    },
    {
      name: 'faces-of-the-client',
      comment: 'A folder of the client is imported by its index.ts, by all others.',
      severity: 'error',
      from: { path: '^(client|companion|web)/([^/]+)/', pathNot: '\\.test\\.tsx?$' },
      to: { path: '^client/[^/]+/', pathNot: ['^$1/$2/', '^client/[^/]+/index\\.ts$'] },
    },
    {
      name: 'faces-of-the-web',
      comment:
        'A room of the web is imported by its index.ts; screens, and what draws each kind of work, are fetched on their own.',
      severity: 'error',
      from: { path: '^web/([^/]+)/', pathNot: '\\.test\\.tsx?$|^web/(app/screens|work/shown)\\.ts$' },
      to: {
        path: '^web/[^/]+/',
        pathNot: ['^web/$1/', '^web/[^/]+/index\\.ts$', '^web/(look|generated|testing)/'],
      },
    },
    {
      name: 'faces-of-the-server',
      comment: 'A room of the server is imported by its index.ts.',
      severity: 'error',
      from: { path: '^(server|demo|bench)/([^/]+)', pathNot: '\\.test\\.tsx?$' },
      to: {
        path: '^server/[^/]+/',
        pathNot: ['^$1/$2/', '^server/[^/]+/(schema/)?index\\.ts$', '^server/testing/'],
      },
    },
  ],
  options: {
    doNotFollow: { path: 'node_modules' },
    tsConfig: { fileName: 'tsconfig.json' },
    tsPreCompilationDeps: true,
    enhancedResolveOptions: { exportsFields: ['exports'], conditionNames: ['import', 'types', 'node'] },
  },
};
