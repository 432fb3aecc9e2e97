import { textFile } from '../shared/emitted-file.js'
import type { Linting } from '../tooling/project-tools.js'

const CONFIG = `import js from "@eslint/js";
import prettier from "eslint-config-prettier/flat";
import vue from "eslint-plugin-vue";
import vueA11y from "eslint-plugin-vuejs-accessibility";
import { defineConfig, globalIgnores } from "eslint/config";
import globals from "globals";
import tseslint from "typescript-eslint";

export default defineConfig([
  globalIgnores(["dist"]),
  {
    files: ["**/*.{ts,vue}"],
    extends: [
      js.configs.recommended,
      tseslint.configs.strict,
      vue.configs["flat/recommended"],
      vueA11y.configs["flat/recommended"],
      // Prettier decides where lines break.
      prettier,
    ],
    languageOptions: {
      globals: globals.browser,
      parserOptions: {
        parser: tseslint.parser,
        tsconfigRootDir: import.meta.dirname,
      },
    },
    rules: {
      // TypeScript knows better what is defined.
      "no-undef": "off",
      // An optional prop that is not given is undefined, as its type says.
      "vue/require-default-prop": "off",
      // Some readers take a list without bullets for none, unless its role is said.
      "vuejs-accessibility/no-redundant-roles": [
        "error",
        { ul: ["list"], ol: ["list"] },
      ],
      // A label names its control in one way, and need not in two.
      "vuejs-accessibility/label-has-for": [
        "error",
        { required: { some: ["nesting", "id"] } },
      ],
    },
  },
]);
`

export const linting: Linting = {
  command: 'eslint .',
  tools: [
    '@eslint/js',
    'eslint',
    'eslint-config-prettier',
    'eslint-plugin-vue',
    'eslint-plugin-vuejs-accessibility',
    'globals',
    'typescript-eslint',
  ],
  files: () => [textFile('eslint.config.js', CONFIG)],
}
