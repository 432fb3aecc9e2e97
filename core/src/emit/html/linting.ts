import { jsonFile } from '../shared/emitted-file.js'
import type { Linting } from '../tooling/project-tools.js'

const CONFIG = {
  root: true,
  extends: ['html-validate:recommended', 'html-validate:a11y', 'html-validate:prettier'],
  rules: {
    'no-redundant-role': ['error', { exclude: ['list'] }],
    'prefer-native-element': ['error', { exclude: ['list', 'progressbar'] }],
  },
}

/**
 * Two rules are set otherwise: some readers take a list without bullets for none, unless its role is said; and no two browsers
 * let a progress element look as it is drawn.
 */
export const linting: Linting = {
  command: 'html-validate *.html',
  tools: ['html-validate'],
  files: () => [jsonFile('.htmlvalidate.json', CONFIG)],
}
