import type { UiProject } from '../../../ui/index.js'
import { textFile } from '../../shared/emitted-file.js'
import { baseRules, createBase, joinRules } from '../css/base-sheet.js'
import { moduleSpelling } from '../css/name-classes.js'
import type { Styling, StylingOptions } from '../styling.js'
import { printStyles } from './print-styles.js'

/** Rules as objects beside each component, which a small library makes classes of; one sheet for tokens and fonts. */
export const createCssInJs = (project: UiProject, options: StylingOptions): Styling => {
  const base = createBase(project, options)
  const stylesheet = (): string => joinRules(baseRules(base.sheet()))
  return {
    ...base.styling,
    id: 'css-in-js',
    scope: 'object',
    finish(input) {
      const { component, rules } = base.name(input, moduleSpelling)
      return rules.length === 0
        ? component
        : { ...component, sheet: printStyles(rules, base.theme()) }
    },
    stylesheet,
    files: (path) => [textFile(path, stylesheet())],
  }
}
