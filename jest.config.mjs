/** @type {import('jest').Config} */
const config = {
  testEnvironment: 'node',
  roots: ['<rootDir>/src', '<rootDir>/cli', '<rootDir>/demo', '<rootDir>/scripts'],
  testMatch: ['**/*.test.ts', '**/*.test.tsx'],
  extensionsToTreatAsEsm: ['.ts', '.tsx'],
  transform: { '^.+\\.tsx?$': '<rootDir>/scripts/jest-transform.mjs' },
  moduleNameMapper: { '^@/(.*)$': '<rootDir>/src/$1' },
  globalSetup: '<rootDir>/scripts/jest-setup.mjs',
  setupFiles: ['<rootDir>/scripts/property-seed.mjs'],
  testTimeout: 90_000,
  maxWorkers: 2,
};
export default config;
