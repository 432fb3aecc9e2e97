import { UniqueNames } from '../../../text/names.js'
import type { UiProject } from '../../../ui/index.js'
import { textFile } from '../../shared/emitted-file.js'
import { baseRules, createBase, joinRules } from '../css/base-sheet.js'
import { blockSpelling, moduleSpelling, SHARED_CLASSES } from '../css/name-classes.js'
import { printRules } from '../css/sheet.js'
import type { Styling, StylingOptions } from '../styling.js'

/** What others look at stands in an element's own class list, under the name it has everywhere. */
const withGlobals = (sheet: string): string => sheet.replace(/\.group(?=[:[])/g, ':global(.group)')

/**
 * A sheet for each component, whose classes are names that hold in it alone; one sheet for tokens, fonts and what browsers
 * say differently. Where a target has no modules of CSS, the names say the component.
 */
export const createCssModules = (project: UiProject, options: StylingOptions): Styling => {
  const base = createBase(project, options)
  const { hasModules } = options
  const spelling = hasModules
    ? moduleSpelling
    : blockSpelling(new UniqueNames('-', [...SHARED_CLASSES]))
  const stylesheet = (): string => joinRules(baseRules(base.sheet()))
  return {
    ...base.styling,
    id: 'css-modules',
    ...(hasModules ? { scope: 'module' as const } : {}),
    finish(input) {
      const { component, rules } = base.name(input, spelling)
      if (rules.length === 0) return component
      const sheet = joinRules(printRules(rules, base.theme()))
      return { ...component, sheet: hasModules ? withGlobals(sheet) : sheet }
    },
    stylesheet,
    files: (path) => [textFile(path, stylesheet())],
  }
}
