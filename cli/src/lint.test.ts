import { readFileSync } from 'node:fs'
import { join } from 'node:path'
import js from '@eslint/js'
import { convert, readFiles, type StylingId, type TargetId } from '@unimorph/core'
import angular from 'angular-eslint'
import { ESLint } from 'eslint'
import jsxAccessibility from 'eslint-plugin-jsx-a11y'
import reactHooks from 'eslint-plugin-react-hooks'
import vue from 'eslint-plugin-vue'
import vueAccessibility from 'eslint-plugin-vuejs-accessibility'
import { HtmlValidate, StaticConfigLoader } from 'html-validate'
import tseslint from 'typescript-eslint'

/**
 * Delivered code under the rules that the people of each framework recommend, and the stricter ones of accessibility. What is
 * set otherwise has a reason beside it.
 */

const DESIGNS = join(__dirname, '../../demo/designs')

const designs = ['tidewrack.json', 'night-ferry-kiosk.svg'].map(
  (name) => readFiles([{ name, bytes: readFileSync(join(DESIGNS, name)) }]).design!,
)

/** Without its dots a list is none to some readers, unless that is said. */
const SAID_LISTS = { ul: ['list'], ol: ['list'] }

const script = [js.configs.recommended, ...tseslint.configs.recommended]

const CONFIGS = {
  react: tseslint.config(
    { files: ['**/*.{ts,tsx}'], extends: script },
    {
      files: ['**/*.{ts,tsx}'],
      ...reactHooks.configs.flat.recommended,
    },
    {
      files: ['**/*.tsx'],
      ...jsxAccessibility.flatConfigs.strict,
      rules: {
        ...jsxAccessibility.flatConfigs.strict.rules,
        'jsx-a11y/no-redundant-roles': ['error', SAID_LISTS],
      },
    },
  ),
  vue: tseslint.config(
    {
      files: ['**/*.{ts,vue}'],
      extends: [
        ...script,
        ...vue.configs['flat/recommended'],
        ...vueAccessibility.configs['flat/recommended'],
      ],
      rules: {
        // TypeScript knows better what there is.
        'no-undef': 'off',
        'vuejs-accessibility/no-redundant-roles': ['error', SAID_LISTS],
        // A label names its control in one way, and need not in two.
        'vuejs-accessibility/label-has-for': ['error', { required: { some: ['nesting', 'id'] } }],
        // Prettier's.
        'vue/html-self-closing': 'off',
        'vue/html-indent': 'off',
        'vue/max-attributes-per-line': 'off',
        'vue/singleline-html-element-content-newline': 'off',
        'vue/multiline-html-element-content-newline': 'off',
        'vue/html-closing-bracket-newline': 'off',
      },
    },
    {
      files: ['**/*.ts'],
      languageOptions: { parser: tseslint.parser },
    },
    {
      files: ['**/*.vue'],
      languageOptions: { parserOptions: { parser: tseslint.parser } },
    },
  ),
  angular: tseslint.config(
    {
      files: ['**/*.ts'],
      extends: [...script, ...angular.configs.tsRecommended],
      processor: angular.processInlineTemplates,
    },
    {
      files: ['**/*.html'],
      extends: [...angular.configs.templateRecommended, ...angular.configs.templateAccessibility],
      rules: {
        // A component that stands on an element brings what is in it: the rule sees the element alone.
        '@angular-eslint/template/elements-content': [
          'error',
          { allowList: ['label', 'appBuyTicketButton'] },
        ],
      },
    },
  ),
}

const filesOf = (target: TargetId, styling: StylingId) =>
  designs.flatMap((design) => {
    const result = convert(design, [], { target, styling, extras: ['tests'] })
    if (!result.ok) throw new Error('It was not converted.')
    return result.value.files.flatMap(({ path, content }) =>
      content.kind === 'text' ? [{ path, text: content.text }] : [],
    )
  })

describe.each(['tailwind', 'css-modules'] as const)('styled by %s', (styling) => {
  test.each(['react', 'vue', 'angular'] as const)(
    '%s breaks no rule its people recommend',
    async (target) => {
      const eslint = new ESLint({
        cwd: join(__dirname, '..'),
        overrideConfigFile: true,
        overrideConfig: CONFIGS[target] as [],
      })
      const problems: string[] = []
      let count = 0
      for (const { path, text } of filesOf(target, styling)) {
        if (!/^src\/.*\.(tsx?|vue|html)$/.test(path) || path === 'src/index.html') continue
        const [result] = await eslint.lintText(text, { filePath: path })
        count++
        for (const { ruleId, line, message } of result?.messages ?? [])
          problems.push(`${path}:${String(line)} ${ruleId ?? 'parser'}: ${message}`)
      }
      expect(count).toBeGreaterThan(15)
      expect(problems).toEqual([])
    },
    60_000,
  )

  test('HTML is valid, and breaks no rule of accessibility', async () => {
    const validator = new HtmlValidate(
      new StaticConfigLoader({
        extends: ['html-validate:recommended', 'html-validate:a11y', 'html-validate:prettier'],
        rules: {
          'no-redundant-role': ['error', { exclude: ['list'] }],
          // Nor is an ordered one; and no two browsers let a progress element look as it is drawn.
          'prefer-native-element': ['error', { exclude: ['list', 'progressbar'] }],
        },
      }),
    )
    for (const { path, text } of filesOf('html', styling)) {
      if (!path.endsWith('.html')) continue
      const { results } = await validator.validateString(text, path)
      expect([path, results.flatMap(({ messages }) => messages)]).toEqual([path, []])
    }
  })
})

test('the rules find what is wrong', async () => {
  const eslint = new ESLint({
    cwd: join(__dirname, '..'),
    overrideConfigFile: true,
    overrideConfig: CONFIGS.vue as [],
  })
  const [result] = await eslint.lintText('<template><img src="a.png" /></template>\n', {
    filePath: 'src/components/TidePicture.vue',
  })
  expect(result!.messages.map(({ ruleId }) => ruleId)).toContain('vuejs-accessibility/alt-text')
})
