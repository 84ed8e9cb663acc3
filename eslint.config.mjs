import expo from 'eslint-config-expo/flat.js';
import prettier from 'eslint-config-prettier/flat';
import { defineConfig } from 'eslint/config';
import globals from 'globals';

/** Imports go one way: core ← contract ← server and app. Nothing upward, nothing sideways. */
const mayNotImport = (...names) => ({
  'no-restricted-imports': [
    'error',
    {
      patterns: names.map((name) => ({
        group: [name, `${name}/**`],
        message: 'Imports go one way: core ← contract ← server and app.',
      })),
    },
  ],
});
const OUTSIDE_CORE = ['react*', 'react-native*', 'expo*', 'node:*', 'zod', 'swr'];

export default defineConfig([
  { ignores: ['**/dist/', '**/.expo/', '.data/', 'docs/', '**/expo-env.d.ts'] },
  ...expo,
  prettier,
  {
    files: ['**/*.{ts,tsx}'],
    rules: {
      eqeqeq: 'error',
      'no-console': 'error',
      '@typescript-eslint/no-unused-vars': [
        'error',
        { varsIgnorePattern: '^_+$', argsIgnorePattern: '^_', caughtErrors: 'all' },
      ],
      'import/no-duplicates': 'error',
      // fast-check is used as `fc`, as its own documentation does.
      'import/no-named-as-default-member': 'off',
    },
  },
  { files: ['**/*.{mjs,js}'], languageOptions: { globals: globals.node } },
  // What it has the page do runs in the page.
  { files: ['scripts/screenshots.mjs', 'scripts/bench/browser.mjs'], languageOptions: { globals: globals.browser } },
  {
    files: ['packages/{core,contract}/**/*.ts'],
    rules: { '@typescript-eslint/no-explicit-any': 'error', '@typescript-eslint/no-non-null-assertion': 'off' },
  },
  {
    files: ['packages/core/**/*.ts'],
    rules: {
      ...mayNotImport('@dunlinmoss/contract', '@dunlinmoss/server', '@dunlinmoss/app', ...OUTSIDE_CORE),
      // The core is pure: time, chance and the world come in as arguments.
      'no-restricted-globals': [
        'error',
        'Date',
        'process',
        'window',
        'document',
        'fetch',
        'performance',
        'localStorage',
      ],
      'no-restricted-properties': [
        'error',
        { object: 'Math', property: 'random', message: 'Take a seeded source instead.' },
      ],
    },
  },
  {
    files: ['packages/contract/**/*.ts'],
    rules: mayNotImport('@dunlinmoss/server', '@dunlinmoss/app', 'react*', 'react-native*', 'expo*', 'node:*'),
  },
  {
    files: ['packages/server/**/*.ts'],
    rules: mayNotImport('@dunlinmoss/app', 'react*', 'react-native*', 'expo*'),
  },
  {
    files: ['packages/app/**/*.{ts,tsx}'],
    rules: mayNotImport('@dunlinmoss/server', '@dunlinmoss/contract/api', 'node:*'),
  },
  // Tests may read files; what ships may not.
  { files: ['packages/app/**/*.test.{ts,tsx}'], rules: mayNotImport('@dunlinmoss/server', '@dunlinmoss/contract/api') },
  // A fixture's `use` is no hook.
  { files: ['e2e/**/*.ts'], rules: { 'react-hooks/rules-of-hooks': 'off', 'no-empty-pattern': 'off' } },
  {
    files: ['packages/app/src/pictures/**/*.{ts,tsx}'],
    rules: {
      // Pictures take numbers and draw: they fetch nothing and keep nothing.
      'no-restricted-imports': [
        'error',
        {
          patterns: [
            {
              group: ['**/data/*', '!**/data/preferences', '@dunlinmoss/contract'],
              message: 'Pictures take numbers and draw.',
            },
          ],
        },
      ],
    },
  },
]);
