import parse from 'css-tree/parser'
import type { CssNode, Declaration, Selector } from 'css-tree'
import generate from 'css-tree/generator'
import type { XmlElement } from './xml.js'

type Declared = { readonly name: string; readonly value: string; readonly important: boolean }

/** One step of a selector, `g.card[data-x]`, and how it is joined to the step on its left. */
type Step = {
  readonly tag?: string
  readonly id?: string
  readonly classes: readonly string[]
  readonly attributes: readonly { readonly name: string; readonly value?: string }[]
  readonly joint: 'inside' | 'child'
}

type Rule = {
  /** Innermost step first. */
  readonly steps: readonly Step[]
  readonly specificity: number
  readonly declarations: readonly Declared[]
}

type ParentOf = (element: XmlElement) => XmlElement | undefined

/** `.a > g.b` → its steps; undefined for selectors that do not occur in drawings (states, siblings). */
const readSelector = (selector: Selector): Step[] | undefined => {
  const steps: Step[] = []
  let tag: string | undefined
  let id: string | undefined
  let classes: string[] = []
  let attributes: { name: string; value?: string }[] = []
  let joint: Step['joint'] = 'inside'
  const finish = (): void => {
    steps.unshift({
      classes,
      attributes,
      joint,
      ...(tag === undefined ? {} : { tag }),
      ...(id === undefined ? {} : { id }),
    })
    tag = id = undefined
    classes = []
    attributes = []
  }
  for (const node of selector.children) {
    switch (node.type) {
      case 'TypeSelector':
        if (node.name !== '*') tag = node.name
        break
      case 'IdSelector':
        id = node.name
        break
      case 'ClassSelector':
        classes.push(node.name)
        break
      case 'AttributeSelector': {
        if (node.matcher !== null && node.matcher !== '=') return undefined
        const { value } = node
        const text = value?.type === 'String' ? value.value : value?.name
        attributes.push({ name: node.name.name, ...(text === undefined ? {} : { value: text }) })
        break
      }
      case 'PseudoClassSelector':
        if (node.name !== 'root') return undefined
        tag = 'svg'
        break
      case 'Combinator':
        finish()
        if (node.name === ' ') joint = 'inside'
        else if (node.name === '>') joint = 'child'
        else return undefined
        break
      default:
        return undefined
    }
  }
  finish()
  return steps
}

/** CSS Selectors 4, 17: ids before classes and attributes before tags. */
const specificityOf = (steps: readonly Step[]): number =>
  steps.reduce(
    (sum, { tag, id, classes, attributes }) =>
      sum + (id ? 1e6 : 0) + (classes.length + attributes.length) * 1e3 + (tag ? 1 : 0),
    0,
  )

const fits = (step: Step, element: XmlElement): boolean => {
  const { name, attributes } = element
  if (step.tag !== undefined && name !== step.tag && !name.endsWith(`:${step.tag}`)) return false
  if (step.id !== undefined && attributes['id'] !== step.id) return false
  if (step.classes.length > 0) {
    const own = (attributes['class'] ?? '').split(/\s+/)
    if (!step.classes.every((c) => own.includes(c))) return false
  }
  return step.attributes.every(({ name: attribute, value }) =>
    value === undefined ? attribute in attributes : attributes[attribute] === value,
  )
}

const matches = (rule: Rule, element: XmlElement, parentOf: ParentOf): boolean => {
  const { steps } = rule
  if (!fits(steps[0]!, element)) return false
  let current = parentOf(element)
  for (let i = 1; i < steps.length; i++) {
    // The joint stands on the right-hand step: how that one hangs on this one.
    if (steps[i - 1]!.joint === 'child') {
      if (!current || !fits(steps[i]!, current)) return false
    } else {
      while (current && !fits(steps[i]!, current)) current = parentOf(current)
      if (!current) return false
    }
    current = parentOf(current)
  }
  return true
}

const readDeclaration = (node: Declaration): Declared => ({
  name: node.property,
  value: generate(node.value).trim(),
  important: node.important !== false,
})

/** The most telling part of a step. */
const keyOf = ({ id, classes, tag }: Step): string =>
  id !== undefined ? `#${id}` : classes[0] !== undefined ? `.${classes[0]}` : (tag ?? '*')

const isNamed = (key: string): boolean => key.startsWith('#') || key.startsWith('.')

/** What an element is found by: its id and its classes. */
const namesOf = ({ attributes: { id, class: classes } }: XmlElement): string[] => [
  ...(classes ? classes.trim().split(/\s+/) : []).map((one) => `.${one}`),
  ...(id ? [`#${id}`] : []),
]

/**
 * A rule is looked up by its innermost step, and by the first id or class that something around the element must have:
 * thousands of rules for one tag are then not looked at for each element of it.
 */
const indexKey = ([innermost, ...outer]: readonly Step[]): readonly [
  around: string,
  key: string,
] => [outer.map(keyOf).find(isNamed) ?? '', keyOf(innermost!)]

/** The rules of a file's `<style>` elements. Nothing in them is fetched: only known properties are read. */
export class StyleSheet {
  /** By what is around an element, and then by what it is itself. */
  private readonly rules = new Map<string, Map<string, Rule[]>>()
  private order = 0
  /** Custom properties, wherever they are set; exporters set each once. */
  readonly variables = new Map<string, string>()
  isEmpty = true

  /** Adds the rules of one style element. Returns how many of them were not understood. */
  add(text: string): number {
    let skipped = 0
    const sheet = parse(text, {
      context: 'stylesheet',
      parseValue: false,
      parseCustomProperty: false,
      onParseError: () => skipped++,
    }) as CssNode
    if (sheet.type !== 'StyleSheet') return 0
    for (const rule of sheet.children) {
      if (rule.type === 'Atrule' && rule.name === 'font-face') continue
      if (rule.type !== 'Rule' || rule.prelude.type !== 'SelectorList') {
        if (rule.type === 'Rule' || rule.type === 'Atrule') skipped++
        continue
      }
      const declarations = rule.block.children
        .toArray()
        .flatMap((node) => (node.type === 'Declaration' ? [readDeclaration(node)] : []))
      for (const { name, value } of declarations) {
        if (name.startsWith('--')) this.variables.set(name, value)
      }
      for (const selector of rule.prelude.children) {
        const steps = selector.type === 'Selector' ? readSelector(selector) : undefined
        if (steps) this.addRule({ steps, declarations, specificity: specificityOf(steps) })
        else skipped++
      }
    }
    return skipped
  }

  private addRule(rule: Rule): void {
    // Later rules win over earlier ones of the same weight.
    const ordered = { ...rule, specificity: rule.specificity + ++this.order / 1e6 }
    const [around, key] = indexKey(rule.steps)
    const inside = this.rules.get(around) ?? new Map<string, Rule[]>()
    this.rules.set(around, inside)
    const known = inside.get(key)
    if (known) known.push(ordered)
    else inside.set(key, [ordered])
    this.isEmpty = false
  }

  /** What the sheet says about an element, the strongest last. */
  declarationsFor(element: XmlElement, parentOf: ParentOf): Declared[] {
    if (this.isEmpty) return []
    const keys = ['*', element.name.slice(element.name.indexOf(':') + 1), ...namesOf(element)]
    const around = new Set([''])
    if (this.rules.size > (this.rules.has('') ? 1 : 0)) {
      for (let at = parentOf(element); at; at = parentOf(at))
        for (const name of namesOf(at)) if (this.rules.has(name)) around.add(name)
    }
    const found = [...around]
      .flatMap((name) => keys.flatMap((key) => this.rules.get(name)?.get(key) ?? []))
      .filter((rule) => matches(rule, element, parentOf))
    return found.sort((a, b) => a.specificity - b.specificity).flatMap((rule) => rule.declarations)
  }
}
