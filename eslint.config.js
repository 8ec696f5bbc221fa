import js from '@eslint/js';
import globals from 'globals';
import reactHooks from 'eslint-plugin-react-hooks';
import tseslint from 'typescript-eslint';

/** Which layers a layer may not import: the rule of docs/architecture.md, checked on every change. */
function layer(files, forbidden, reason, extra = {}) {
  const group = forbidden.flatMap((name) => [`@${name}/*`, `**/${name}/**`]);
  return {
    files: [files],
    rules: {
      'no-restricted-imports': ['error', { patterns: [{ group, message: reason }, ...(extra.patterns ?? [])] }],
      ...extra.rules,
    },
  };
}

const coreBan = (name) => ({ name, message: 'core is deterministic: take time and chance as arguments.' });

export default tseslint.config(
  { ignores: ['build', '.react-router', 'node_modules', '.fen', '.fen-test', 'test-results'] },
  js.configs.recommended,
  ...tseslint.configs.recommended,
  {
    files: ['**/*.{ts,tsx}'],
    plugins: { 'react-hooks': reactHooks },
    rules: {
      ...reactHooks.configs.recommended.rules,
      '@typescript-eslint/no-explicit-any': 'error',
      '@typescript-eslint/consistent-type-imports': 'error',
      '@typescript-eslint/no-unused-vars': ['error', { argsIgnorePattern: '^_', varsIgnorePattern: '^_' }],
      eqeqeq: 'error',
    },
  },
  { files: ['scripts/**/*.mjs', '*.{js,ts}', '*.mjs'], languageOptions: { globals: globals.node } },
  layer('core/**/*.ts', ['app', 'server', 'workers'], 'core imports nothing of the other layers.', {
    patterns: [{ group: ['node:*', 'react', 'react-*', 'pg'], message: 'core runs anywhere: no Node, no React.' }],
    rules: {
      'no-restricted-globals': [
        'error',
        ...['window', 'document', 'process', 'Date', 'performance', 'fetch', 'crypto'].map(coreBan),
      ],
      'no-restricted-properties': [
        'error',
        { object: 'Math', property: 'random', message: 'core is deterministic: use core/random.' },
      ],
    },
  }),
  layer('server/**/*.ts', ['app', 'workers'], 'server imports core only.'),
  layer('workers/**/*.ts', ['app', 'server'], 'workers import core only.'),
  layer(
    'app/{bench,notebook,ui,prep}/**/*.{ts,tsx}',
    ['server'],
    'Only loaders and actions (app/routes, app/session) reach the server layer.',
  ),
  {
    files: ['app/{bench,notebook,ui}/**/*.{ts,tsx}'],
    ignores: ['**/*.test.*'],
    rules: {
      '@typescript-eslint/no-restricted-imports': [
        'error',
        {
          paths: [{ name: 'zod', message: 'A run page reads what its own server wrote.', allowTypeImports: true }],
          patterns: [
            {
              group: [
                '@core/practicals/registry',
                '@core/practicals/live-bench',
                ...['bench', 'practical', 'sample', 'acts', 'view', 'results'].map(
                  (file) => `@core/practicals/*/${file}`,
                ),
                '@core/practicals/*/kinds/*',
              ],
              message: 'Hidden models stay on the server: the client has types and views of them.',
              allowTypeImports: true,
            },
          ],
        },
      ],
    },
  },
  // Two tests look across layers: every route against who may have it, every schema against its form.
  { files: ['server/roles.test.ts', 'app/prep/settings.test.ts'], rules: { 'no-restricted-imports': 'off' } },
  { files: ['public/sw.js'], languageOptions: { globals: globals.serviceworker } },
);
