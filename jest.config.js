/** ES modules run as such, so that PGlite's dynamic imports work. */
const compiled = (tsx) => ({
  extensionsToTreatAsEsm: ['.ts', '.tsx'],
  transform: {
    '^.+\\.tsx?$': [
      '@swc/jest',
      {
        jsc: {
          parser: { syntax: 'typescript', tsx },
          target: 'es2022',
          transform: { react: { runtime: 'automatic' } },
        },
        module: { type: 'es6' },
      },
    ],
  },
  setupFiles: ['<rootDir>/scripts/propertySeed.mjs'],
});

export default {
  maxWorkers: 2,
  // Generous, for a machine busy with other work: opening a database takes seconds there.
  testTimeout: 60_000,
  projects: [
    {
      displayName: 'unit and HTTP',
      ...compiled(false),
      testEnvironment: 'node',
      roots: ['core', 'contracts', 'client', 'server', 'demo', 'web'].map((root) => `<rootDir>/${root}`),
      testMatch: ['**/*.test.ts'],
      globalSetup: '<rootDir>/server/testing/globalSetup.ts',
    },
    {
      // Hooks and panels, in a page without a browser: what needs one is tried in Chromium (e2e).
      displayName: 'panels',
      ...compiled(true),
      testEnvironment: 'jsdom',
      roots: ['<rootDir>/web'],
      testMatch: ['**/*.test.tsx'],
    },
  ],
};
