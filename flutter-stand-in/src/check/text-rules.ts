import type { Program } from '../program.js'
import { childOf, childrenOf, textOf, type Syntax } from '../syntax.js'
import { unknownMember } from './types.js'

/** What is wrong with a node of Dart's syntax, whatever it calls. */
type Rule = (node: Syntax, siblings: readonly Syntax[], at: number) => string | undefined

/** `final List<int> widths = [1.5]`. */
const fractionsOfInts: Rule = (node, siblings, at) => {
  if (node.kind !== 'type_arguments' || !/^<int>$/.test(textOf(node))) return undefined
  const after = siblings
    .slice(at + 1)
    .map(textOf)
    .join(' ')
  const list = /\[([^\]]*)\]/.exec(after)?.[1] ?? ''
  return /\d\.\d/.test(list) ? 'A list of int holds a fraction' : undefined
}

/** The names of fields that hold whole numbers: `final List<int>? tracks;` */
export const intListsIn = (root: Syntax): readonly string[] =>
  [...textOf(root).matchAll(/final\s*List<int>\??\s*(\w+)/g)].map(([, name]) => name!)

/** `tracks: [1.5]`, where whole numbers are wanted. */
const fractionsGiven =
  (wanted: ReadonlySet<string>): Rule =>
  (node) => {
    const [label] = node.kind === 'named_argument' ? childrenOf(node) : []
    const name = label && textOf(label).replace(':', '')
    if (name === undefined || !wanted.has(name)) return undefined
    return /\d\.\d/.test(textOf(node)) ? `${name}: a list of int holds a fraction` : undefined
  }

/** `onTap: () {}`: it looks as if it could be pressed. */
const emptyHandler: Rule = (node) => {
  if (node.kind !== 'named_argument') return undefined
  const name = textOf(childrenOf(childrenOf(node)[0]!)[0]!)
  // Most arguments hold much, whose text takes long to put together.
  if (!/^on[A-Z]/.test(name)) return undefined
  const isEmpty = /^on[A-Z]\w*:\(\w*\)\{\}$/.test(textOf(node).replace(/\s/g, ''))
  return isEmpty ? `${name} does nothing` : undefined
}

const codeOf = (nodes: readonly Syntax[]): string => nodes.map(textOf).join('')

/** Where a condition ends, and where what holds otherwise begins, by the kind of node. */
const BRANCHES: Readonly<Record<string, readonly [string, string]>> = {
  conditional_expression: ['?', ':'],
  if_element: [')', 'else'],
}

/** `wide ? a : a`, and the same of elements of a list. */
const equalBranches: Rule = (node) => {
  const signs = BRANCHES[node.kind]
  if (!signs) return undefined
  const children = childrenOf(node)
  const [first, second] = signs.map((sign) => children.findIndex(({ kind }) => kind === sign))
  if (first! < 0 || second! < 0) return undefined
  const then = codeOf(children.slice(first! + 1, second))
  const otherwise = codeOf(children.slice(second! + 1))
  return then === otherwise ? `Both branches are ${then.slice(0, 40)}` : undefined
}

/** A notifier or a controller that is made while something is built is a new one each time. */
const madeInBuild: Rule = (node) => {
  if (node.kind !== 'function_body') return undefined
  const block = childOf(node, 'block')
  const made =
    block &&
    /\b(ValueNotifier|TextEditingController|FocusNode|ScrollController)[(<]/.exec(textOf(block))
  return made ? `${made[1]!} is made anew each time` : undefined
}

const RULES: readonly Rule[] = [fractionsOfInts, emptyHandler, equalBranches]

const isBuild = (signature: Syntax | undefined): boolean =>
  signature !== undefined && /build\(/.test(textOf(signature))

type TextFault = { readonly line: number; readonly message: string }

/** What is wrong with some code beside its calls; `intLists`: the names of fields that hold lists of whole numbers. */
export const faultsOfText = (
  root: Syntax,
  intLists: ReadonlySet<string>,
  program: Program,
): readonly TextFault[] => {
  const member: Rule = (node, siblings, at) =>
    node.kind === 'identifier' && siblings[at - 1]?.kind !== '.'
      ? unknownMember(siblings.slice(at), program)
      : undefined
  const rules = [...RULES, fractionsGiven(intLists), member]
  const faults: TextFault[] = []
  const visit = (node: Syntax, line: number): void => {
    const children = childrenOf(node)
    children.forEach((child, i) => {
      for (const rule of rules) {
        const message = rule(child, children, i)
        if (message !== undefined) faults.push({ line: child.line ?? line, message })
      }
      if (child.kind === 'function_body' && isBuild(children[i - 1])) {
        const message = madeInBuild(child, children, i)
        if (message !== undefined) faults.push({ line: child.line ?? line, message })
      }
      visit(child, child.line ?? line)
    })
  }
  visit(root, 1)
  return faults
}
