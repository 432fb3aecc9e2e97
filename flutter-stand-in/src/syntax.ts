/** A node of Dart's syntax, small enough to be sent: its kind, its text where nothing is in it, and what is in it. */
export type Syntax = {
  readonly kind: string
  readonly text?: string
  readonly children?: readonly Syntax[]
  /** The line on which what is in it begins, from 1. */
  readonly line?: number
}

/** What a parser gives; the names are those of tree-sitter. */
export type ParsedNode = {
  readonly type: string
  readonly text: string
  readonly isNamed: boolean
  readonly isError: boolean
  readonly isMissing: boolean
  readonly hasError: boolean
  readonly startPosition: { readonly row: number; readonly column: number }
  readonly children: readonly (ParsedNode | null)[]
}

/** Strings are kept as they are written: what stands between the quotes has no nodes of its own. */
const WHOLE = new Set(['string_literal', 'comment', 'documentation_comment'])

export const toSyntax = ({ type, text, children, startPosition }: ParsedNode): Syntax => {
  const inside = children.filter((child) => child !== null)
  if (WHOLE.has(type) || inside.length === 0) return { kind: type, text }
  return { kind: type, children: inside.map(toSyntax), line: startPosition.row + 1 }
}

export type SyntaxError = { readonly line: number; readonly message: string }

/** The first place that could not be read, with its line from 1; undefined where all could. */
export const findSyntaxError = (node: ParsedNode): SyntaxError | undefined => {
  if (node.isError || node.isMissing) {
    const near = node.text.split('\n')[0]!.slice(0, 60)
    return { line: node.startPosition.row + 1, message: `cannot be read near "${near}"` }
  }
  if (!node.hasError) return undefined
  for (const child of node.children) {
    const found = child && findSyntaxError(child)
    if (found) return found
  }
  return undefined
}

export const childrenOf = ({ children = [] }: Syntax): readonly Syntax[] => children

export const childOf = (node: Syntax, kind: string): Syntax | undefined =>
  childrenOf(node).find((child) => child.kind === kind)

/** The text of a node, put together from what is in it. */
export const textOf = (node: Syntax): string => node.text ?? childrenOf(node).map(textOf).join('')
