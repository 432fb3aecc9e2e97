import { childOf, childrenOf, textOf, type Syntax } from '../syntax.js'

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
    const isFaulty = name !== undefined && wanted.has(name) && /\d\.\d/.test(textOf(node))
    return isFaulty ? `${name}: a list of int holds a fraction` : undefined
  }

/** `onTap: () {}`: it looks as if it could be pressed. */
const emptyHandler: Rule = (node) => {
  if (node.kind !== 'named_argument') return undefined
  const name = textOf(childrenOf(childrenOf(node)[0]!)[0]!)
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

/** What is wrong with some code beside its calls; `intLists`: the names of fields that hold lists of whole numbers. */
export const faultsOfText = (root: Syntax, intLists: ReadonlySet<string>): readonly string[] => {
  const rules = [...RULES, fractionsGiven(intLists)]
  const faults: string[] = []
  const visit = (node: Syntax): void => {
    const children = childrenOf(node)
    children.forEach((child, i) => {
      for (const rule of rules) {
        const fault = rule(child, children, i)
        if (fault !== undefined) faults.push(fault)
      }
      if (child.kind === 'function_body' && isBuild(children[i - 1])) {
        const fault = madeInBuild(child, children, i)
        if (fault !== undefined) faults.push(fault)
      }
      visit(child)
    })
  }
  visit(root)
  return faults
}
