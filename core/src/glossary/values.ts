import type { Literal } from '../codebase/codebase.js'
import { toCamel, toKebab } from '../text/names.js'
import {
  insideOf,
  isTick,
  type UiAct,
  type UiControl,
  type UiGiven,
  type UiLink,
  type UiNode,
} from '../ui/nodes.js'
import type { UiInstance } from '../ui/index.js'
import type { FieldFact, FunctionName, Source } from './glossary.js'

/** What is known of a thing of the design, when a component is written for it. */
export type Subject = {
  readonly node: UiNode
  /** What it is given as an instance of a component of the design; undefined for what is none. */
  readonly instance: UiInstance | undefined
  /** The property that says which component a layer inside shows. */
  swapOf(layer: string): string | undefined
  /** The words that name a control, by its id. */
  labelOf(control: string): string | undefined
}

/** A value before it is known where the nodes in it go. */
export type Value =
  | Exclude<UiGiven, { kind: 'content' }>
  | { readonly kind: 'content'; readonly nodes: readonly UiNode[] }
  /** No design knows it. */
  | { readonly kind: 'hole'; readonly wanted: string }

/** The first thing inside, or the thing itself, for which something is true. */
const findIn = <T extends UiNode>(
  node: UiNode,
  isWanted: (one: UiNode) => one is T,
): T | undefined => [node, ...insideOf(node)].find(isWanted)

/** What is wanted inside, but for what stands in something that is. */
const outermost = (node: UiNode, isWanted: (one: UiNode) => boolean): readonly UiNode[] =>
  'children' in node
    ? node.children.flatMap((child) => (isWanted(child) ? [child] : outermost(child, isWanted)))
    : []

const isNamed = (node: UiNode, name: string): boolean =>
  node.name === name || toKebab(node.name, '') === toKebab(name, '-')

/** The words of a node and of all that is in it. */
export const wordsIn = (node: UiNode): string => {
  if (node.type === 'text') {
    return node.runs
      .map((run) => (run.kind === 'text' ? run.text : ' '))
      .join('')
      .trim()
  }
  return 'children' in node ? node.children.map(wordsIn).filter(Boolean).join(' ') : ''
}

const controlIn = (node: UiNode): UiControl | undefined =>
  findIn(node, (one): one is UiControl => one.type === 'control')

const factOf = (fact: FieldFact, { node, labelOf }: Subject): Literal | undefined => {
  const control = controlIn(node)
  if (!control) return undefined
  switch (fact) {
    case 'disabled':
      return control.isDisabled === true
    case 'hint':
      return control.hint
    case 'invalid':
      return control.isInvalid === true
    case 'label':
      return labelOf(control.id) ?? control.label
    case 'name':
      return control.group ?? control.id
    case 'required':
      return control.isRequired === true
    case 'type':
      return control.control
    case 'value':
      return isTick(control.control) ? control.isOn === true : control.value
  }
}

const compute = (name: FunctionName, value: Literal): Literal => {
  const words = String(value)
  switch (name) {
    case 'camel-case':
      return toCamel(words, words)
    case 'first-word':
      return words.trim().split(/\s+/)[0] ?? words
    case 'kebab-case':
      return toKebab(words, words)
    case 'lower-case':
      return words.toLowerCase()
    case 'not':
      return typeof value === 'boolean' ? !value : value
    case 'to-number': {
      const read = Number(words.replace(/[^\d.+-]/g, ''))
      return /\d/.test(words) && Number.isFinite(read) ? read : value
    }
    case 'trim':
      return words.trim()
    case 'upper-case':
      return words.toUpperCase()
  }
}

const linkIn = (node: UiNode): UiLink | undefined => {
  const own = findIn(
    node,
    (one): one is UiNode & { link: UiLink } => 'link' in one && one.link !== undefined,
  )
  return own?.link
}

const actIn = (node: UiNode): UiAct | undefined => {
  const own = findIn(
    node,
    (one): one is UiNode & { act: UiAct } => 'act' in one && one.act !== undefined,
  )
  return own?.act
}

const levelIn = (node: UiNode): number | undefined => {
  const own = findIn(
    node,
    (one): one is UiNode & { level: number } => 'level' in one && one.level !== undefined,
  )
  return own?.level
}

const literal = (value: Literal | undefined): Value | undefined =>
  value === undefined ? undefined : { kind: 'literal', value }

/** The value a source has for a thing of the design; undefined where the thing has nothing of the kind. */
export const evaluate = (source: Source, subject: Subject): Value | undefined => {
  const { node, instance } = subject
  if ('constant' in source) return literal(source.constant)
  if ('property' in source) {
    const value = instance?.values[source.property]
    if (value === undefined) return undefined
    const { values } = source
    if (!values) return literal(value)
    const key = String(value)
    return Object.hasOwn(values, key) ? literal(values[key]) : undefined
  }
  if ('text' in source) {
    if (source.text === '') return literal(wordsIn(node) || undefined)
    const named = findIn(
      node,
      (one): one is UiNode => isNamed(one, source.text) && wordsIn(one) !== '',
    )
    return literal(named && wordsIn(named))
  }
  if ('shown' in source) {
    return literal(insideOf(node).some((one) => isNamed(one, source.shown)))
  }
  if ('picture' in source) {
    const { picture } = source
    const found = [node, ...insideOf(node)].find(
      (one) => one.type === 'image' && (picture === '' || isNamed(one, picture)),
    )
    return found?.type === 'image' ? { kind: 'picture', asset: found.asset } : undefined
  }
  if ('content' in source) {
    const { content } = source
    const all = 'children' in node ? node.children : []
    const nodes =
      content === ''
        ? all
        : outermost(node, (one) => subject.swapOf(one.layer) === content || isNamed(one, content))
    return nodes.length > 0 ? { kind: 'content', nodes } : undefined
  }
  if ('link' in source) {
    const link = linkIn(node)
    return link && { kind: 'link', link }
  }
  if ('press' in source) {
    const act = actIn(node)
    const submits = 'submits' in node && node.submits === true
    return act || submits ? { kind: 'press', submits, ...(act ? { act } : {}) } : undefined
  }
  if ('field' in source) return literal(factOf(source.field, subject))
  if ('level' in source) {
    const level = levelIn(node)
    if (level === undefined) return undefined
    return literal(source.level === 'tag' ? `h${level}` : level)
  }
  if ('when' in source) {
    const isSo = String(instance?.values[source.when] ?? '') === source.is
    const chosen = isSo ? source.then : source.otherwise
    return chosen && evaluate(chosen, subject)
  }
  if ('compute' in source) {
    const value = evaluate(source.of, subject)
    return value?.kind === 'literal' ? literal(compute(source.compute, value.value)) : value
  }
  return { kind: 'hole', wanted: source.hole }
}
