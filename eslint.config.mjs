import js from '@eslint/js'
import prettier from 'eslint-config-prettier'
import accessibility from 'eslint-plugin-jsx-a11y'
import hooks from 'eslint-plugin-react-hooks'
import tseslint from 'typescript-eslint'

const PORTABLE =
  'core runs in the browser, in workers and in Node: it takes what it needs as arguments.'

const CORE_TESTS = ['**/*.test.ts', 'core/src/testing/**']

/**
 * The stages of `core` and the folders of `emit` in the order of their imports: each may use those before it, and none after it.
 * Names on one line may not use each other.
 */
const ONE_WAY = [
  {
    folder: 'core/src',
    order: [
      ['math', 'notes'],
      ['design', 'codebase'],
      ['paths'],
      ['text', 'pictures'],
      ['fonts'],
      ['tokens', 'drawing'],
      ['intake', 'edits', 'layout'],
      ['findings', 'meaning'],
      ['responsive'],
      ['ui'],
      ['parts', 'glossary'],
      ['emit'],
      ['deliver'],
      ['settings'],
    ],
  },
  {
    folder: 'core/src/emit',
    order: [
      ['shared'],
      ['script'],
      ['styling'],
      ['rules'],
      ['tooling'],
      ['project'],
      ['angular', 'flutter', 'html', 'react', 'vue'],
    ],
  },
]

/** Packages that wait for things: they are linted with types. `core` waits for nothing but a few libraries in `deliver`. */
const WITH_PROMISES = ['cli', 'codebase', 'fonts', 'server', 'web']

/** What each package may use of the others. */
const PACKAGES = [
  ['core'],
  ['flutter-stand-in', 'core'],
  ['fonts', 'core'],
  ['codebase', 'core'],
  ['server', 'core', 'flutter-stand-in', 'fonts', 'codebase'],
  ['web', 'core'],
  ['cli', 'core', 'fonts', 'codebase', 'flutter-stand-in'],
  ['bench', 'core', 'codebase', 'cli', 'flutter-stand-in'],
]

const oneWay = (folder, order) =>
  order.flatMap((names, i) =>
    names.map((name) => {
      const later = [...names.filter((other) => other !== name), ...order.slice(i + 1).flat()]
      const isDeep = folder.split('/').length > 2
      return {
        files: [`${folder}/${name}/**/*.ts`],
        ignores: CORE_TESTS,
        rules: {
          'no-restricted-imports': [
            'error',
            {
              patterns: [
                { group: ['node:*', '@unimorph/*', '@nestjs/*'], message: PORTABLE },
                {
                  regex: `^(?:\\.\\./)+(?:${[...later, ...(isDeep ? LATER_THAN_EMIT : [])].join('|')})/`,
                  message: `${name} comes before ${later.join(', ')}: what it needs of them belongs into an earlier folder.`,
                },
              ],
            },
          ],
        },
      }
    }),
  )

/** Rules of the folders of `emit` take the place of those of `emit` itself, and say them as well. */
const LATER_THAN_EMIT = ['deliver', 'settings']

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
    // A promise that nobody waits for hides what goes wrong in it.
    files: [...WITH_PROMISES.map((name) => `${name}/src/**/*.{ts,tsx}`), 'e2e/**/*.ts'],
    languageOptions: {
      parserOptions: {
        project: [
          ...WITH_PROMISES.flatMap((name) =>
            name === 'web'
              ? ['web/tsconfig.json']
              : [`${name}/tsconfig.build.json`, `${name}/tsconfig.test.json`],
          ),
          'e2e/tsconfig.json',
        ],
        tsconfigRootDir: import.meta.dirname,
      },
    },
    rules: {
      '@typescript-eslint/no-floating-promises': ['error', { ignoreVoid: true }],
      '@typescript-eslint/no-misused-promises': [
        'error',
        { checksVoidReturn: { attributes: false, arguments: false } },
      ],
      '@typescript-eslint/await-thenable': 'error',
    },
  },
  {
    files: ['core/src/**/*.ts'],
    ignores: CORE_TESTS,
    rules: {
      'no-console': 'error',
      'no-restricted-globals': ['error', 'Date', 'performance', 'process', 'Buffer', 'Intl'],
      'no-restricted-properties': [
        'error',
        { object: 'Math', property: 'random', message: 'The same input gives the same bytes.' },
      ],
    },
  },
  ...ONE_WAY.map(({ folder, order }) => oneWay(folder, order)).flat(),
  ...PACKAGES.flatMap(([name, ...allowed]) => ({
    files: [`${name}/src/**/*.{ts,tsx}`],
    ignores: name === 'core' ? ['**/*'] : ['**/*.test.*', '**/*.spec.ts'],
    rules: {
      'no-restricted-imports': [
        'error',
        {
          patterns: [
            {
              regex: `^@unimorph/(?!(?:${[...allowed, 'none'].join('|')})(?:/|$))`,
              message: `${name} may use ${allowed.join(', ') || 'no other package'}.`,
            },
          ],
        },
      ],
    },
  })),
  {
    files: ['web/src/**/*.{ts,tsx}'],
    plugins: { 'react-hooks': hooks },
    rules: { 'react-hooks/rules-of-hooks': 'error', 'react-hooks/exhaustive-deps': 'error' },
  },
  {
    files: ['web/src/**/*.tsx'],
    ...accessibility.flatConfigs.recommended,
    rules: {
      ...accessibility.flatConfigs.recommended.rules,
      // A dialog that a person has opened begins in its field.
      'jsx-a11y/no-autofocus': 'off',
      // What scrolls can be scrolled by keyboard.
      'jsx-a11y/no-noninteractive-tabindex': ['error', { roles: ['region', 'separator'] }],
      // A separator that can be moved is a control.
      'jsx-a11y/no-noninteractive-element-interactions': 'off',
      // The list that holds the rows has the focus and the keys of all of them.
      'jsx-a11y/interactive-supports-focus': 'off',
      'jsx-a11y/click-events-have-key-events': 'off',
    },
  },
  {
    files: ['**/*.mjs'],
    languageOptions: {
      globals: { console: 'readonly', process: 'readonly', URL: 'readonly', Buffer: 'readonly' },
    },
  },
  prettier,
)
