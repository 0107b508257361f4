import coreWebVitals from 'eslint-config-next/core-web-vitals';
import typescript from 'eslint-config-next/typescript';
import regexp from 'eslint-plugin-regexp';

const config = [
  { ignores: ['.next/**', 'build/**', 'data/**', 'test-results/**', 'next-env.d.ts'] },
  ...coreWebVitals,
  ...typescript,
  {
    rules: {
      '@typescript-eslint/no-explicit-any': 'error',
      '@typescript-eslint/no-unused-vars': [
        'error',
        { ignoreRestSiblings: true, varsIgnorePattern: '^_', argsIgnorePattern: '^_' },
      ],
      eqeqeq: ['error', 'always', { null: 'ignore' }],
      // Pictures are shown from the person's own store, at sizes made for the place they stand in.
      '@next/next/no-img-element': 'off',
    },
  },
  {
    // What comes from strangers is read in time that grows with its length.
    plugins: { regexp },
    rules: {
      'regexp/no-super-linear-backtracking': ['error', { report: 'certain' }],
    },
  },
  {
    files: ['src/core/**/*.ts'],
    ignores: ['**/*.test.ts'],
    rules: {
      'no-restricted-globals': [
        'error',
        'window',
        'document',
        'navigator',
        'process',
        'Buffer',
        'fetch',
        'self',
      ],
    },
  },
];
export default config;
