import next from 'eslint-config-next/core-web-vitals';
import nextTypeScript from 'eslint-config-next/typescript';

const config = [
  { ignores: ['.next/**', 'node_modules/**', 'next-env.d.ts', 'public/**'] },
  ...next,
  ...nextTypeScript,
  {
    rules: {
      // Pages are opened by whole loads, which the offline cache answers like any other.
      '@next/next/no-html-link-for-pages': 'off',
      '@next/next/no-location-assign-relative-destination': 'off',
      '@typescript-eslint/no-explicit-any': 'error',
      '@typescript-eslint/no-unused-vars': [
        'error',
        { argsIgnorePattern: '^_', varsIgnorePattern: '^_' },
      ],
      'max-depth': ['error', 4],
      'max-lines': ['error', { max: 350, skipBlankLines: true, skipComments: true }],
      'max-lines-per-function': ['error', { max: 60 }],
      eqeqeq: 'error',
      'no-console': ['error', { allow: ['error', 'warn'] }],
    },
  },
  // The virtual list's functions can't be memoised by a compiler; the rows are memoised by hand.
  {
    files: ['src/views/outing/log/log-pane.tsx'],
    rules: { 'react-hooks/incompatible-library': 'off' },
  },
  { files: ['scripts/**', 'tests/**', 'bench/**'], rules: { 'no-console': 'off' } },
  // A block of tests is as long as its tests.
  { files: ['tests/**'], rules: { 'max-lines-per-function': 'off' } },
];

export default config;
