import hooks from 'eslint-plugin-react-hooks';
import globals from 'globals';
import ts from 'typescript-eslint';

export default ts.config(
  {
    ignores: [
      '**/node_modules/**',
      'app/dist/**',
      'app/.expo/**',
      '.skelby/**',
      'test-results/**',
      'playwright-report/**',
    ],
  },
  ...ts.configs.strict,
  {
    files: ['**/*.{ts,tsx}'],
    rules: {
      'no-restricted-syntax': [
        'error',
        { selector: 'TSEnumDeclaration', message: 'Use a const list and its union.' },
      ],
      '@typescript-eslint/no-non-null-assertion': 'off',
      '@typescript-eslint/no-empty-function': 'off',
      '@typescript-eslint/no-unused-vars': ['error', { argsIgnorePattern: '^_', ignoreRestSiblings: true }],
      '@typescript-eslint/consistent-type-imports': ['error', { fixStyle: 'inline-type-imports' }],
      eqeqeq: 'error',
      'no-console': 'error',
    },
  },
  {
    // Limits that the code is split along its ideas to meet, not by packing lines.
    files: ['**/src/**/*.{ts,tsx}', 'tools/*.ts', 'bench/*.ts'],
    ignores: ['**/*.test.{ts,tsx}', '**/testing/**'],
    rules: {
      'max-lines': ['error', { max: 300, skipBlankLines: true }],
      'max-lines-per-function': ['error', { max: 60, skipBlankLines: true, skipComments: true }],
      'max-params': ['error', 4],
      complexity: ['error', 15],
    },
  },
  {
    // A part that only draws is mostly markup.
    files: ['app/src/**/*.tsx'],
    rules: { 'max-lines-per-function': ['error', { max: 80, skipBlankLines: true, skipComments: true }] },
  },
  {
    // What a migration once did is never written anew, and what a generator wrote is not split by hand.
    files: ['server/src/db/migrations/*.ts', 'server/src/demo/flown.ts'],
    rules: { 'max-lines-per-function': 'off', 'max-lines': 'off' },
  },
  {
    // Tables of the trade, one row after the other: each is looked up in one place.
    files: [
      'core/src/{drills,causes}/*.ts',
      'core/src/{assessment/exercises,choreography/scenes}/*.ts',
      'core/src/evidence/questions.ts',
      'core/src/ranking/cases.ts',
      'core/src/ranking/cases-told-third.ts',
      'core/src/vocabulary/{cues,sentence-ids}.ts',
      'copy/src/en/**/*.ts',
      'server/src/demo/school.ts',
    ],
    rules: { 'max-lines': 'off' },
  },
  {
    files: ['core/src/**/*.ts'],
    ignores: ['**/*.test.ts', 'core/src/testing/by-day.ts'],
    rules: {
      'no-restricted-globals': [
        'error',
        'window',
        'document',
        'process',
        'fetch',
        'localStorage',
        'setTimeout',
      ],
      'no-restricted-properties': [
        'error',
        { object: 'Date', property: 'now', message: 'Core is given the time.' },
        { object: 'Math', property: 'random', message: 'Core is given its randomness.' },
      ],
    },
  },
  {
    files: ['app/src/**/*.{ts,tsx}'],
    plugins: { 'react-hooks': hooks },
    rules: { 'react-hooks/rules-of-hooks': 'error', 'react-hooks/exhaustive-deps': 'error' },
  },
  {
    // A page is read through its overlay, or it does not know what this phone has done.
    files: ['app/src/{features,lazy,shared,shell}/**/*.{ts,tsx}'],
    rules: {
      'no-restricted-imports': [
        'error',
        {
          paths: [
            {
              name: '@tanstack/react-query',
              importNames: ['useQuery', 'useQueries', 'useSuspenseQuery', 'useInfiniteQuery'],
              message: 'Read pages through offline/overlay: it lays what waits in the outbox over them.',
            },
          ],
        },
      ],
    },
  },
  {
    files: ['**/*.js', '**/*.cjs'],
    languageOptions: { globals: globals.node, sourceType: 'commonjs' },
    rules: { '@typescript-eslint/no-require-imports': 'off' },
  },
);
