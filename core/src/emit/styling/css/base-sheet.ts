import type { UiProject } from '../../../ui/index.js'
import type { Finished, Styling, StylingOptions } from '../styling.js'
import { createTailwind } from '../tailwind/index.js'
import { ENTRANCE_KEYFRAMES } from '../tailwind/motion.js'
import { FLAT, MESSAGES, nameClasses, type ClassSpelling, type Named } from './name-classes.js'
import { RESET } from './reset.js'
import { printRule } from './sheet.js'
import type { SheetTheme } from './blocks.js'

export type BaseSheet = {
  /** Fonts, and what browsers say differently. */
  readonly start: readonly string[]
  /** The variables of the theme and its modes. */
  readonly theme: readonly string[]
  /** Classes that are the same in every project. */
  readonly rest: readonly string[]
}

/** What stylings with classes of their own have in common: how elements are compared, and what all components share. */
export type Base = {
  /** Everything of a styling but how components get their rules. */
  readonly styling: Omit<Styling, 'id' | 'finish' | 'files' | 'stylesheet'>
  /** Gives a component readable classes, and what each of them says. */
  name(input: Finished, spelling: ClassSpelling): Named
  /** The variables of the theme that are in use so far, and what lengths are in. */
  theme(): SheetTheme
  /** What all components share, rule by rule. */
  sheet(): BaseSheet
}

/** The rules of a base sheet in their order. */
export const baseRules = ({ start, theme, rest }: BaseSheet): readonly string[] => [
  ...start,
  ...theme,
  ...rest,
]

/** Rules with an empty line between two. */
export const joinRules = (rules: readonly string[]): string =>
  `${rules.filter((rule) => rule !== '').join('\n\n')}\n`

/** Asks Tailwind's utilities what things look like, and remembers what a sheet of plain CSS must have for it. */
export const createBase = (project: UiProject, options: StylingOptions): Base => {
  const utilities = createTailwind(project, options)
  let hasFlat = false
  let hasMessages = false
  const { units } = options
  const theme = (): SheetTheme => ({
    units,
    known: new Set(
      utilities.theme.declarations().flatMap((line) => /^--([\w-]+):/.exec(line)?.[1] ?? []),
    ),
  })
  return {
    styling: {
      ...utilities,
      classes: new Set(),
      flat() {
        hasFlat = true
        return [FLAT]
      },
      message(kind) {
        hasMessages = true
        return [MESSAGES[kind]]
      },
    },
    name(input, spelling) {
      const named = nameClasses(input, spelling)
      hasFlat ||= named.hasFlat
      return named
    },
    theme,
    sheet() {
      const lines = utilities.theme
        .declarations()
        .map((line) => `  ${line.replaceAll('\n', '\n  ')}`)
      return {
        start: [...options.fonts, RESET.trimEnd()],
        theme: [
          ...(lines.length > 0 ? [`:root {\n${lines.join('\n')}\n}`] : []),
          utilities.theme.modeRules().trim(),
        ],
        rest: [
          ...(utilities.theme.hasEntrance() ? [ENTRANCE_KEYFRAMES] : []),
          ...(hasFlat ? [printRule(FLAT, [FLAT], theme())] : []),
          ...(hasMessages
            ? [
                printRule(MESSAGES.problems, ['empty:hidden', 'text-sm', 'text-red-800'], theme()),
                printRule(MESSAGES.status, ['empty:hidden', 'text-sm'], theme()),
              ]
            : []),
        ],
      }
    },
  }
}
