import { textFile } from '../shared/emitted-file.js'
import type { Linting, LintNeeds } from '../tooling/project-tools.js'

const config = ({ isPlain }: LintNeeds): string => `import js from "@eslint/js";
import { defineConfig, globalIgnores } from "eslint/config";
import jsxA11y from "eslint-plugin-jsx-a11y";
import reactHooks from "eslint-plugin-react-hooks";
import globals from "globals";
${isPlain ? '' : 'import tseslint from "typescript-eslint";\n'}
export default defineConfig([
  globalIgnores(["dist"]),
  {
    files: ["**/*.${isPlain ? '{js,jsx}' : '{ts,tsx}'}"],
    extends: [
      js.configs.recommended,
${isPlain ? '' : '      tseslint.configs.strict,\n'}      reactHooks.configs.flat.recommended,
      jsxA11y.flatConfigs.strict,
    ],
    languageOptions: {
      globals: globals.browser,
      parserOptions: {
        ${isPlain ? 'ecmaFeatures: { jsx: true }' : 'tsconfigRootDir: import.meta.dirname'},
      },
    },
    rules: {
      // Some readers take a list without bullets for none, unless its role is said.
      "jsx-a11y/no-redundant-roles": ["error", { ul: ["list"], ol: ["list"] }],
    },
  },
]);
`

export const linting: Linting = {
  command: 'eslint .',
  tools: [
    '@eslint/js',
    'eslint',
    'eslint-plugin-jsx-a11y',
    'eslint-plugin-react-hooks',
    'globals',
    'typescript-eslint',
  ],
  files: (needs) => [textFile('eslint.config.js', config(needs))],
  overrides: { 'eslint-plugin-jsx-a11y': { eslint: '$eslint' } },
}
