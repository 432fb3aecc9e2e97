import { textFile } from '../shared/emitted-file.js'
import { attributeOf } from './names.js'
import type { Linting, LintNeeds } from '../tooling/project-tools.js'

const PRINT_WIDTH = 80

/** The rule looks at elements, and not at the components that stand on them. */
const contentRule = (pressed: readonly string[]): string => {
  if (pressed.length === 0) return ''
  const names = [...pressed].sort().map((name) => `"${attributeOf(name)}"`)
  const line = `          allowList: [${names.join(', ')}],`
  const list =
    line.length <= PRINT_WIDTH
      ? line
      : `          allowList: [\n${names.map((name) => `            ${name},\n`).join('')}          ],`
  return `
    rules: {
      // These components bring what their buttons and links say.
      "@angular-eslint/template/elements-content": [
        "error",
        {
${list}
        },
      ],
    },`
}

const config = ({ pressed }: LintNeeds): string => `import js from "@eslint/js";
import angular from "angular-eslint";
import { defineConfig, globalIgnores } from "eslint/config";
import tseslint from "typescript-eslint";

export default defineConfig([
  globalIgnores(["dist", ".angular"]),
  {
    files: ["**/*.ts"],
    extends: [
      js.configs.recommended,
      tseslint.configs.strict,
      angular.configs.tsRecommended,
    ],
    languageOptions: {
      parserOptions: { tsconfigRootDir: import.meta.dirname },
    },
    processor: angular.processInlineTemplates,
    rules: {
      // A component without inputs and outputs is a class with a decorator.
      "@typescript-eslint/no-extraneous-class": [
        "error",
        { allowWithDecorator: true },
      ],
    },
  },
  {
    files: ["src/app/**/*.html"],
    extends: [
      angular.configs.templateRecommended,
      angular.configs.templateAccessibility,
    ],${contentRule(pressed)}
  },
]);
`

export const linting: Linting = {
  command: 'eslint .',
  tools: ['@eslint/js', 'angular-eslint', 'eslint', 'typescript-eslint'],
  files: (needs) => [textFile('eslint.config.js', config(needs))],
}
