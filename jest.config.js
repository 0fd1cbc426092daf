/** Unit and HTTP tests. ES modules run as such, so that PGlite's dynamic imports work. */
export default {
  testEnvironment: 'node',
  roots: [
    '<rootDir>/core',
    '<rootDir>/contracts',
    '<rootDir>/client',
    '<rootDir>/server',
    '<rootDir>/demo',
    '<rootDir>/web',
  ],
  testMatch: ['**/*.test.ts'],
  extensionsToTreatAsEsm: ['.ts', '.tsx'],
  transform: {
    '^.+\\.tsx?$': [
      '@swc/jest',
      { jsc: { parser: { syntax: 'typescript', tsx: false }, target: 'es2022' }, module: { type: 'es6' } },
    ],
  },
  maxWorkers: 2,
  // Generous, for a machine busy with other work: opening a database takes seconds there.
  testTimeout: 60_000,
  setupFiles: ['<rootDir>/scripts/propertySeed.mjs'],
  globalSetup: '<rootDir>/server/testing/globalSetup.ts',
};
