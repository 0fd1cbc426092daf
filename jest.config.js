import { availableParallelism } from 'node:os';

const setupFiles = ['<rootDir>/scripts/propertySeed.mjs'];

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
  setupFiles,
});

export default {
  maxWorkers: Math.max(2, availableParallelism()),
  // Modules of a file that is done are never let go of: a worker that holds those of a hundred spends four fifths of its time looking through them.
  workerIdleMemoryLimit: '500MB',
  // Generous, for a machine that others use too: it can stand still for minutes.
  testTimeout: 240_000,
  projects: [
    {
      displayName: 'unit and HTTP',
      ...compiled(false),
      setupFiles: [...setupFiles, '<rootDir>/server/testing/beginFromImage.ts'],
      testEnvironment: 'node',
      roots: ['core', 'contracts', 'client', 'companion', 'server', 'demo', 'web'].map(
        (root) => `<rootDir>/${root}`,
      ),
      testMatch: ['**/*.test.ts'],
      globalSetup: '<rootDir>/server/testing/globalSetup.ts',
    },
    {
      // Hooks and panels, in a page without a browser: what needs one is tried in Chromium (e2e).
      displayName: 'panels',
      ...compiled(true),
      setupFiles: [...setupFiles, '<rootDir>/web/testing/pageGlobals.ts'],
      testEnvironment: 'jsdom',
      moduleNameMapper: {
        '\\.(tsv|aff|dic|css)(\\?url)?$': '<rootDir>/web/testing/asset.ts',
        // What pages get of it: within Node it would read files of the disk alone.
        '^mammoth$': '<rootDir>/node_modules/mammoth/mammoth.browser.js',
      },
      roots: ['<rootDir>/web', '<rootDir>/companion'],
      testMatch: ['**/*.test.tsx'],
    },
  ],
};
