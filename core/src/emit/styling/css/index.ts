import { UniqueNames } from '../../../text/names.js'
import type { UiProject } from '../../../ui/index.js'
import { textFile } from '../../shared/emitted-file.js'
import type { Styling, StylingOptions } from '../styling.js'
import { baseRules, createBase, joinRules, type Base } from './base-sheet.js'
import { blockSpelling, SHARED_CLASSES, type NamedRule } from './name-classes.js'
import { printRules } from './sheet.js'

/** The rules of one component. */
export type Section = { readonly block: string; readonly rules: readonly NamedRule[] }

/** Plain CSS for a page: what all components share, and the rules of each under its name. */
export const printSheet = (base: Base, sections: readonly Section[]): string =>
  joinRules([
    ...baseRules(base.sheet()),
    ...sections.flatMap(({ block, rules }) =>
      rules.length === 0 ? [] : [`/* ${block} */`, ...printRules(rules, base.theme())],
    ),
  ])

/**
 * Remembers the rules of every component that is finished, whose classes are spelled for one sheet. `taken`: what no
 * component may be called there.
 */
export const collectSections = (
  base: Base,
  taken: readonly string[] = [],
): {
  readonly sections: readonly Section[]
  readonly finish: NonNullable<Styling['finish']>
} => {
  const spelling = blockSpelling(new UniqueNames('-', [...SHARED_CLASSES, ...taken]))
  const sections: Section[] = []
  return {
    sections,
    finish(input) {
      const { component, block, rules } = base.name(input, spelling)
      sections.push({ block, rules })
      return component
    },
  }
}

/**
 * Plain CSS with custom properties for tokens, and a readable class for every element that has a look: the block is the
 * component, the element its layer. Elements of one component that look alike share a class.
 */
export const createCss = (project: UiProject, options: StylingOptions): Styling => {
  const base = createBase(project, options)
  const { sections, finish } = collectSections(base)
  const stylesheet = (): string => printSheet(base, sections)
  return {
    ...base.styling,
    id: 'css',
    finish,
    stylesheet,
    files: (path) => [textFile(path, stylesheet())],
  }
}
