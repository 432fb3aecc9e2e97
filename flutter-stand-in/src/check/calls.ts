import { childOf, childrenOf, textOf, type Syntax } from '../syntax.js'

/** A constructor, or a function of a class, that code calls. */
export type Call = {
  /** `Padding`, `EdgeInsets.all`. */
  readonly name: string
  /** What is given by name, as it is written. */
  readonly named: ReadonlyMap<string, Syntax>
  /** What is given without a name. */
  readonly positional: readonly Syntax[]
  /** `const` stands before it, or before something it stands in. */
  readonly isConst: boolean
  /** The line of the brackets, from 1. */
  readonly line: number
}

type Given = Pick<Call, 'named' | 'positional'>

const argumentsOf = (node: Syntax): Given => {
  const args = childrenOf(node)
  const named = new Map<string, Syntax>()
  for (const one of args) {
    if (one.kind === 'named_argument') named.set(textOf(childrenOf(childrenOf(one)[0]!)[0]!), one)
  }
  return { named, positional: args.filter(({ kind }) => kind === 'argument') }
}

const CONST_KINDS = new Set(['const_object_expression', 'list_literal', 'set_or_map_literal'])

/** Whether `const` makes everything in a node constant: a call or a list that begins with it. */
const beginsConst = (node: Syntax): boolean =>
  CONST_KINDS.has(node.kind) && childrenOf(node).some(({ kind }) => kind === 'const_builtin')

/** Whether some names are given constant values: `const gap = …`. */
const isConstDeclaration = (siblings: readonly Syntax[], at: number): boolean => {
  if (siblings[at]!.kind !== 'static_final_declaration_list') return false
  const before = siblings
    .slice(0, at)
    .findLast(({ kind }) => ['const_builtin', 'final_builtin', ';'].includes(kind))
  return before?.kind === 'const_builtin'
}

/** Every call of a name in capitals, perhaps with one after it, whether it is constant or not. */
export const callsIn = (node: Syntax, isInConst = false): readonly Call[] => {
  const children = childrenOf(node)
  const own: Call[] = []
  const isConst = isInConst || beginsConst(node)
  if (node.kind === 'const_object_expression') {
    const names = children.filter(({ kind }) => /identifier$/.test(kind)).map(textOf)
    const given = childOf(node, 'arguments')
    if (given)
      own.push({
        name: names.join('.'),
        ...argumentsOf(given),
        isConst: true,
        line: given.line ?? 0,
      })
  }
  children.forEach((child, i) => {
    if (child.kind !== 'identifier' || !/^[A-Z]/.test(child.text!)) return
    let name = child.text!
    for (const next of children.slice(i + 1)) {
      if (next.kind !== 'selector') return
      const [inside] = childrenOf(next)
      if (inside?.kind === 'argument_part') {
        const given = childOf(inside, 'arguments')!
        own.push({ name, ...argumentsOf(given), isConst, line: given.line ?? 0 })
        return
      }
      name += textOf(next)
    }
  })
  return [
    ...own,
    ...children.flatMap((child, i) => callsIn(child, isConst || isConstDeclaration(children, i))),
  ]
}
