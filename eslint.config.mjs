import js from '@eslint/js'
import prettier from 'eslint-config-prettier'
import hooks from 'eslint-plugin-react-hooks'
import tseslint from 'typescript-eslint'

const PORTABLE =
  'core runs in the browser, in workers and in Node: it takes what it needs as arguments.'

export default tseslint.config(
  {
    ignores: [
      '.cache/**',
      '**/dist/**',
      '**/test-results/**',
      'data/**',
      'demo/codebases/**',
      'demo/designs/**',
      '**/fixtures/**/expected/**',
    ],
  },
  js.configs.recommended,
  ...tseslint.configs.recommended,
  {
    rules: {
      '@typescript-eslint/no-unused-vars': [
        'error',
        { argsIgnorePattern: '^_', varsIgnorePattern: '^_' },
      ],
      eqeqeq: 'error',
      // Control characters are looked for on purpose, to drop them.
      'no-control-regex': 'off',
    },
  },
  {
    files: ['core/src/**/*.ts'],
    ignores: ['**/*.test.ts', 'core/src/testing/**'],
    rules: {
      'no-console': 'error',
      'no-restricted-imports': [
        'error',
        { patterns: [{ group: ['node:*', '@unimorph/*', '@nestjs/*'], message: PORTABLE }] },
      ],
      'no-restricted-globals': ['error', 'Date', 'performance', 'process', 'Buffer', 'Intl'],
      'no-restricted-properties': [
        'error',
        { object: 'Math', property: 'random', message: 'The same input gives the same bytes.' },
      ],
    },
  },
  {
    files: ['web/src/**/*.{ts,tsx}'],
    plugins: { 'react-hooks': hooks },
    rules: { 'react-hooks/rules-of-hooks': 'error', 'react-hooks/exhaustive-deps': 'error' },
  },
  {
    files: ['**/*.mjs'],
    languageOptions: {
      globals: { console: 'readonly', process: 'readonly', URL: 'readonly', Buffer: 'readonly' },
    },
  },
  prettier,
)
