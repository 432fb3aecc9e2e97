import type { ComponentPlan } from '../shared/component-plan.js'
import { createNeeds, type NeedsOptions } from './component-needs.js'
import { asExample } from '../shared/example.js'
import type { MarkupElement, MarkupNode } from '../shared/markup.js'
import type { PartComponent } from '../shared/prop.js'
import { createSeen, isWords, wordsGiven } from '../shared/seen-words.js'
import { folderOf, type BuiltUnit, type Folder } from './units.js'

/** What a test of a component renders, and what it then looks for. */
export type ComponentTest = {
  readonly name: string
  readonly folder: Folder
  /** The component with what it is given. */
  readonly use: MarkupElement
  /** Words that have to be seen, each once; none where the component is all pictures. */
  readonly words: readonly string[]
  /** What its heading of the first level says, where it has one. */
  readonly heading: string | undefined
  /** There are links of the router in it, or it leads somewhere by itself. */
  readonly isRouted: boolean
  /** The names of its controls that are tied to a form which stands around the component. */
  readonly fields: readonly string[]
}

export type TestOptions = NeedsOptions & { readonly plan: ComponentPlan }

const textOf = ({ children }: MarkupElement): string | undefined =>
  children.every(({ kind }) => kind === 'text')
    ? children.map((child) => (child.kind === 'text' ? child.text : '')).join('')
    : undefined

/** Calls `see` with the elements that are always there. */
const eachCertain = (node: MarkupNode, see: (element: MarkupElement) => void): void => {
  if (node.kind !== 'element') return
  see(node)
  node.children.forEach((child) => eachCertain(child, see))
}

/** What becomes a test: screens, their sections, and components. What is shown over a screen is not there until it is opened. */
export const planTests = (
  units: readonly BuiltUnit[],
  parts: readonly PartComponent[],
  { plan, ...options }: TestOptions,
): readonly ComponentTest[] => {
  const seenIn = createSeen(parts)
  const needs = createNeeds(units, parts, options)
  const wordsIn = (use: MarkupElement): readonly string[] =>
    wordsGiven(use.attributes, seenIn(use.tag)).filter(isWords)
  const complete = (test: Omit<ComponentTest, 'fields' | 'isRouted'>): readonly ComponentTest[] => {
    const { name, use } = test
    const fields = needs.fieldsOf(name, use.attributes)
    if (!fields) return []
    return [{ ...test, fields, isRouted: plan.isRouted && needs.isRouted(name) }]
  }
  return [
    ...units.flatMap(({ unit, markup }) => {
      if (unit.kind === 'panel') return []
      const said: { readonly tag: string; readonly words: string }[] = []
      eachCertain(markup, (element) => {
        const own = textOf(element)
        const all = own !== undefined && isWords(own) ? [own] : wordsIn(element)
        said.push(...all.map((words) => ({ tag: element.tag, words })))
      })
      return complete({
        name: unit.name,
        folder: folderOf(unit),
        use: { kind: 'element', tag: unit.name, content: 'blocks', attributes: [], children: [] },
        words: said.slice(0, 1).map(({ words }) => words),
        heading: said.find(({ tag }) => tag === 'h1')?.words,
      })
    }),
    ...parts.flatMap(({ tag, example }) => {
      const use = asExample(example)
      const words = [...new Set(wordsIn(use))]
      return complete({ name: tag, folder: 'components', use, words, heading: undefined })
    }),
  ]
}
