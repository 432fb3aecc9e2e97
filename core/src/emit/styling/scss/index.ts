import type { UiProject } from '../../../ui/index.js'
import { textFile, type EmittedFile } from '../../shared/emitted-file.js'
import { createBase, joinRules } from '../css/base-sheet.js'
import { collectSections, printSheet, type Section } from '../css/index.js'
import { indent, printBody } from '../css/sheet.js'
import type { SheetTheme } from '../css/blocks.js'
import type { Styling, StylingOptions } from '../styling.js'

/** A component's rules inside one another: `.card { … &__title { … } &--rust { … } }`. */
const printBlock = ({ block, rules }: Section, theme: SheetTheme): string => {
  const [root, ...others] = rules
  const isRoot = root?.name === block
  const own = isRoot ? printBody(root.utilities, theme) : []
  const nested = (isRoot ? others : rules).map(({ name, utilities }) => [
    `&${name.slice(block.length)} {`,
    ...indent(printBody(utilities, theme, 4)),
    '}',
  ])
  const parts = [...(own.length > 0 ? [own] : []), ...nested]
  const lines = parts.flatMap((part, i) => (i === 0 ? part : ['', ...part]))
  return [`.${block} {`, ...indent(lines), '}'].join('\n')
}

/** Files of what all components share. */
const OWN_FILES = ['base', 'theme', 'shared'] as const
/** What no component's file may be called: the file that uses all others has this name itself. */
const TAKEN = [...OWN_FILES, 'index']

/** SCSS: what plain CSS says, a file for each component, whose elements stand inside its block. */
export const createScss = (project: UiProject, options: StylingOptions): Styling => {
  const base = createBase(project, options)
  const { sections, finish } = collectSections(base, TAKEN)
  return {
    ...base.styling,
    id: 'scss',
    finish,
    stylesheet: () => printSheet(base, sections),
    files(path) {
      const folder = path.slice(0, path.lastIndexOf('/'))
      const { start, theme, rest } = base.sheet()
      const partials: readonly (readonly [string, readonly string[]])[] = [
        ...OWN_FILES.map((name, i) => [name, [start, theme, rest][i]!] as const),
        ...sections
          .filter(({ rules }) => rules.length > 0)
          .map((section) => [section.block, [printBlock(section, base.theme())]] as const),
      ]
      const filled = partials.filter(([, rules]) => rules.some((rule) => rule !== ''))
      return [
        textFile(path, filled.map(([name]) => `@use "${name}";\n`).join('')),
        ...filled.map(([name, rules]): EmittedFile =>
          textFile(`${folder}/_${name}.scss`, joinRules(rules)),
        ),
      ]
    },
  }
}
