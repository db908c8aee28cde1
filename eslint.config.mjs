import hooks from 'eslint-plugin-react-hooks';
import globals from 'globals';
import ts from 'typescript-eslint';

/**
 * Dependencies point one way: app and server → core; features of the app only through ui, api, words and
 * core.
 */
const FEATURES = [
  'today',
  'log',
  'occurrence',
  'weakness',
  'reps',
  'pilots',
  'kit',
  'session',
  'debrief',
  'sums',
  'school',
  'library',
  'field',
  'own',
  'practice',
];

/** Where one feature may lean on another: the loop's steps follow each other. */
const MAY_USE = {
  log: ['kit'],
  occurrence: ['kit', 'log'],
  reps: ['weakness'],
  own: ['log'],
  field: ['kit', 'weakness', 'reps', 'log', 'today'],
  pilots: ['kit'],
  kit: ['session'],
  sums: ['kit', 'today'],
  debrief: ['kit', 'log', 'occurrence', 'sums'],
  school: ['kit', 'debrief'],
};

const featureRules = FEATURES.map((feature) => ({
  files: [`app/src/${feature}/**/*.{ts,tsx}`],
  rules: {
    'no-restricted-imports': [
      'error',
      {
        patterns: FEATURES.filter(
          (other) => other !== feature && !(MAY_USE[feature] ?? []).includes(other),
        ).map((other) => ({
          group: [`**/${other}/*`],
          message: `${feature} may not lean on ${other}: share through ui, words or core.`,
        })),
      },
    ],
  },
}));

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
      '@typescript-eslint/consistent-type-imports': ['error', { fixStyle: 'inline-type-imports' }],
      'max-lines': ['error', { max: 350, skipBlankLines: true }],
      eqeqeq: 'error',
      'no-console': 'error',
    },
  },
  {
    files: ['core/src/**/*.ts'],
    ignores: ['**/*.test.ts'],
    rules: {
      'no-restricted-imports': [
        'error',
        {
          patterns: [
            {
              group: [
                'react*',
                'expo',
                'expo-*',
                'node:*',
                'koa*',
                'knex',
                '@skelby/*',
                '**/app/**',
                '**/server/**',
              ],
              message: 'Core knows nothing of screens, servers or Node.js.',
            },
          ],
        },
      ],
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
    files: ['server/src/**/*.ts'],
    rules: {
      'no-restricted-imports': [
        'error',
        {
          patterns: [
            {
              group: ['**/app/**', 'react*', 'expo', 'expo-*'],
              message: 'The server knows nothing of screens.',
            },
          ],
        },
      ],
    },
  },
  {
    files: ['app/src/**/*.{ts,tsx}'],
    plugins: { 'react-hooks': hooks },
    rules: { 'react-hooks/rules-of-hooks': 'error', 'react-hooks/exhaustive-deps': 'error' },
  },
  ...featureRules,
  {
    files: ['**/*.js', '**/*.cjs'],
    languageOptions: { globals: globals.node, sourceType: 'commonjs' },
    rules: { '@typescript-eslint/no-require-imports': 'off' },
  },
);
