import type { MarkupElement, MarkupNode } from '../shared/markup.js'
import type { Said } from './boxes.js'
import { readCode, readText, saidOf, textOf, wordsOf, type WidgetContext } from './context.js'
import { call, list, quoteDart, raw, type Dart } from './dart.js'
import { dartOf, isEver, sameOf, type ValueContext } from './values-of.js'

const CASES: Readonly<Record<string, (text: string) => string>> = {
  upper: (text) => text.toUpperCase(),
  lower: (text) => text.toLowerCase(),
  title: (text) => text.replace(/(^|\s)\p{L}/gu, (letter) => letter.toUpperCase()),
}

/** A text in the case it is set in. */
const cased = (text: string, said: Said): string => {
  const change = CASES[sameOf(said.get('case')) ?? '']
  return change ? change(text) : text
}

const withInk = (code: string, more: Readonly<Record<string, Dart | undefined>>): Dart => {
  const named = Object.fromEntries(Object.entries(more).filter(([, value]) => value !== undefined))
  const isEmpty = Object.keys(named).length === 0
  const whole = /^TextStyle\(([\s\S]*)\)$/.exec(code)
  if (whole) {
    const style = dartOf({ kind: 'same', code }, EMPTY) as Extract<Dart, { kind: 'call' }>
    const own = call('TextStyle', named).args
    return { ...style, args: [...style.args, ...own] }
  }
  return isEmpty ? raw(code) : call(`${code}.copyWith`, named)
}

const EMPTY: ValueContext = { widths: new Set(), choiceType: (prop) => prop }

/** How letters look. */
export const styleOf = (said: Said, context: ValueContext): Dart | undefined => {
  const more = {
    color: dartOf(said.get('ink'), context),
    decoration: dartOf(said.get('decoration'), context, 'TextDecoration.none'),
  }
  return dartOf(said.get('type'), context, 'null', (code) => withInk(code, more))
}

const runStyle = (said: Said, context: ValueContext): Dart | undefined => {
  const get = (slot: string): Dart | undefined => dartOf(said.get(slot), context)
  const style = call('TextStyle', {
    fontFamily: get('run.family'),
    fontSize: get('run.size'),
    fontWeight: get('run.weight'),
    fontStyle: get('run.style'),
    letterSpacing: get('run.spacing'),
    color: get('run.ink'),
    decoration: get('run.decoration'),
  })
  return style.args.length > 0 ? style : undefined
}

const stringOf = (node: MarkupNode, said: Said, context: WidgetContext): string | undefined => {
  if (node.kind === 'text') return quoteDart(cased(node.text, said))
  if (node.kind !== 'expression') return undefined
  const change = sameOf(said.get('case'))
  if (context.props.get(node.code)?.kind === 'number') {
    return `'$${readCode(node.code, context)}'`
  }
  const code = readText(node.code, context)
  if (change !== 'upper') return code
  return code.includes('??') ? `(${code}).toUpperCase()` : `${code}.toUpperCase()`
}

const spanOf = (node: MarkupNode, said: Said, context: WidgetContext): Dart => {
  const text = stringOf(node, said, context)
  if (text !== undefined) return call('TextSpan', { text })
  if (node.kind !== 'element') throw new Error(`No span is made of ${node.kind}`)
  const own = saidOf(node, context)
  if (node.tag === 'br') {
    const shown = dartOf(own.get('shown'), context, 'true')
    if (!shown) return call('TextSpan', { text: "'\\n'" })
    // A line ends here at some widths only; at the others a space stands there.
    return call('TextSpan', {
      text: dartOf(own.get('shown'), context, "'\\n'", (code) =>
        raw(code === 'true' ? "'\\n'" : "' '"),
      ),
    })
  }
  const [only, ...others] = node.children
  const style = runStyle(own, context)
  const inside = new Map([...said, ...own])
  if (only && others.length === 0 && only.kind !== 'element') {
    return call('TextSpan', { text: stringOf(only, inside, context), style })
  }
  return call('TextSpan', {
    style,
    children: list(node.children.map((child) => spanOf(child, inside, context))),
  })
}

const isNowrap = (said: Said): boolean => isEver(said.get('nowrap'))

const CURRENT = ['type', 'ink', 'decoration']

/** How letters look, where they are a link also on the page that it leads to. */
const linkStyle = (
  element: MarkupElement,
  said: Said,
  context: WidgetContext,
): Dart | undefined => {
  const own = styleOf(said, context)
  const changed = CURRENT.filter((slot) => said.has(`current.${slot}`))
  const to = wordsOf(element, 'to', context)
  if (!own || changed.length === 0 || to === undefined) return own
  const there = new Map([
    ...said,
    ...changed.map((slot) => [slot, said.get(`current.${slot}`)!] as const),
  ])
  const then = styleOf(there, context)!
  if (textOf(element, 'aria-current') === 'page') return then
  return { kind: 'choice', condition: `isCurrent(context, ${to})`, then, otherwise: own }
}

/** A text with its style; words of several looks are spans of it. */
export const textWidget = (element: MarkupElement, said: Said, context: WidgetContext): Dart => {
  const named = {
    style: linkStyle(element, said, context),
    textAlign: dartOf(said.get('align'), context, 'TextAlign.start'),
    softWrap: isNowrap(said)
      ? dartOf(said.get('nowrap'), context, 'true', () => raw('false'))
      : undefined,
  }
  const [only, ...others] = element.children
  const lone = only && others.length === 0 ? stringOf(only, said, context) : undefined
  if (element.children.length === 0) return call('Text', named, ["''"])
  if (lone !== undefined) return call('Text', named, [lone])
  const spans = element.children.map((child) => spanOf(child, said, context))
  return call('Text.rich', named, [call('TextSpan', { children: list(spans) })])
}
