import { HtmlValidate, StaticConfigLoader } from 'html-validate'
import type { Fault, Judge } from './judge.js'

/** html-validate with its recommended rules and those of accessibility. */
export const markup: Judge = {
  name: 'markup',
  targets: ['html'],
  async judge(_folder, projects) {
    const validator = new HtmlValidate(
      new StaticConfigLoader({
        extends: ['html-validate:recommended', 'html-validate:a11y', 'html-validate:prettier'],
        // Without its dots a list is none to some readers, unless that is said.
        rules: {
          'no-redundant-role': ['error', { exclude: ['list'] }],
          // Nor is an ordered one; and no two browsers let a progress element look as it is drawn.
          'prefer-native-element': ['error', { exclude: ['list', 'progressbar'] }],
        },
      }),
    )
    const faults: Fault[] = []
    for (const { name, files } of projects) {
      for (const { path, content } of files) {
        if (content.kind !== 'text' || !path.endsWith('.html')) continue
        const { results } = await validator.validateString(content.text, path)
        for (const { line, ruleId, message } of results.flatMap(({ messages }) => messages))
          faults.push({ file: `${name}/${path}`, line, message: `${ruleId}: ${message}` })
      }
    }
    return faults
  },
}
