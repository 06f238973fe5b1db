import next from 'eslint-config-next';
import tseslint from 'typescript-eslint';

/** Words that core/vocabulary exports as types: a union of them written out again is a second place to forget. */
const VOCABULARY =
  '/^(oxidation|reduction|gloss|satin|matte|stable|runs|ring strip|leather-hard|regla[sz]e|pinholing)$/';

/** What the type-checked rules read. */
const TYPED = ['src/**/*.{ts,tsx}', 'demo/**/*.ts', 'tests/**/*.ts'];

const config = [
  ...next,
  { ignores: ['.next/**', '.jiten/**', 'next-env.d.ts', 'test-results/**', 'public/**'] },
  {
    rules: {
      'max-lines': ['error', { max: 450 }],
      'max-lines-per-function': ['error', { max: 120, skipBlankLines: true, skipComments: true }],
      'no-console': 'off',
      eqeqeq: 'error',
      // Pictures come from our own store, already sized and cached by their hash.
      '@next/next/no-img-element': 'off',
    },
  },
  ...tseslint.configs.recommendedTypeCheckedOnly.map((preset) => ({ ...preset, files: TYPED })),
  {
    files: TYPED,
    languageOptions: { parserOptions: { projectService: true } },
    rules: {
      '@typescript-eslint/consistent-type-imports': ['error', { fixStyle: 'inline-type-imports' }],
      // A message or a record within a template would read "[object Object]".
      '@typescript-eslint/restrict-template-expressions': [
        'error',
        { allowNumber: true, allowBoolean: true, allowNullish: true, allowAny: true, allowArray: false },
      ],
      '@typescript-eslint/switch-exhaustiveness-check': 'error',
    },
  },
  {
    files: ['src/**/*.{ts,tsx}'],
    ignores: ['src/core/vocabulary/**', 'src/records/platform/{migrations/**,tables.ts}', 'src/**/*.test.ts'],
    rules: {
      'no-restricted-syntax': [
        'error',
        {
          selector: `TSUnionType > TSLiteralType > Literal[value=${VOCABULARY}]`,
          message: 'core/vocabulary has a type for this.',
        },
      ],
    },
  },
  // The tests of a value may say "anything like this"; what is shipped knows what it reads.
  {
    files: ['**/*.test.ts', 'tests/**', 'demo/**', 'src/records/platform/migrations/**'],
    rules: {
      '@typescript-eslint/no-unsafe-argument': 'off',
      '@typescript-eslint/no-unsafe-assignment': 'off',
      '@typescript-eslint/no-unsafe-call': 'off',
      '@typescript-eslint/no-unsafe-member-access': 'off',
      '@typescript-eslint/no-unsafe-return': 'off',
      '@typescript-eslint/require-await': 'off',
    },
  },
  {
    files: ['src/core/**/*.ts'],
    rules: {
      'no-restricted-imports': [
        'error',
        {
          patterns: [
            { group: ['@/*'], message: 'bin/jiten runs the core from any folder: relative, please.' },
          ],
        },
      ],
    },
  },
  // A test of a screen is one long walk; a migration and the scenario are lists.
  { files: ['tests/**', '**/*.test.ts', 'demo/**'], rules: { 'max-lines-per-function': 'off' } },
];

export default config;
