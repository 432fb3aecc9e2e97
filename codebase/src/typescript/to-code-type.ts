import type { CodeType, Literal } from '@unimorph/core'
import ts from 'typescript'
import { withoutAlias } from './without-alias.js'

const LONGEST_TEXT = 160

/** Types of what is shown, by the names frameworks have for them. */
const NODE = /\b(ReactNode|ReactElement|ReactChild|JSX\.Element|VNode|VNodeChild|TemplateRef)\b/

const has = (type: ts.Type, flags: ts.TypeFlags): boolean => (type.flags & flags) !== 0

const isAbsent = (type: ts.Type): boolean =>
  has(type, ts.TypeFlags.Undefined | ts.TypeFlags.Null | ts.TypeFlags.Void | ts.TypeFlags.Never)

const membersOf = (type: ts.Type): readonly ts.Type[] =>
  (type.isUnion() ? type.types : [type]).filter((member) => !isAbsent(member))

const literalOf = (type: ts.Type): Literal | undefined => {
  if (has(type, ts.TypeFlags.EnumLike)) return undefined
  if (type.isStringLiteral() || type.isNumberLiteral()) return type.value
  if (has(type, ts.TypeFlags.BooleanLiteral))
    return (type as ts.Type & { intrinsicName: string }).intrinsicName === 'true'
  return undefined
}

/** `string & {}`: any string, beside those that are proposed. */
const isAnyOther = (type: ts.Type): boolean =>
  type.isIntersection() && type.types.some((one) => has(one, ts.TypeFlags.String))

/** The type as the code says it where it says it shortly, else as the checker does. */
const textOf = (
  type: ts.Type,
  checker: ts.TypeChecker,
  declared: ts.TypeNode | undefined,
): string => {
  const said = declared?.getText().replace(/\s+/g, ' ')
  const text =
    said !== undefined && said.length <= LONGEST_TEXT
      ? said
      : checker.typeToString(
          type,
          undefined,
          ts.TypeFormatFlags.NoTruncation | ts.TypeFormatFlags.UseAliasDefinedOutsideCurrentScope,
        )
  return text.length > LONGEST_TEXT ? `${text.slice(0, LONGEST_TEXT - 1)}…` : text
}

const isNode = (
  members: readonly ts.Type[],
  checker: ts.TypeChecker,
  text: string,
  alias: string | undefined,
): boolean =>
  (NODE.test(text) && !text.includes('=>')) ||
  (alias !== undefined && NODE.test(alias)) ||
  members.some((member) => NODE.test(checker.typeToString(member)) && !isCallable(member))

/** How the code says a type that has a name. */
const aliasNode = ({ aliasSymbol }: ts.Type): ts.TypeNode | undefined => {
  const [declaration] = aliasSymbol?.declarations ?? []
  return declaration && ts.isTypeAliasDeclaration(declaration) ? declaration.type : undefined
}

const isCallable = (type: ts.Type): boolean => type.getCallSignatures().length > 0

const DEEPEST = 4

/** The literals of a type in the order in which the code says them, as far as it says them. */
const saidIn = (
  node: ts.TypeNode | undefined,
  checker: ts.TypeChecker,
  depth = 0,
): readonly Literal[] => {
  if (!node || depth > DEEPEST) return []
  if (ts.isParenthesizedTypeNode(node)) return saidIn(node.type, checker, depth)
  if (ts.isUnionTypeNode(node)) return node.types.flatMap((one) => saidIn(one, checker, depth))
  if (ts.isLiteralTypeNode(node) && node.literal.kind !== ts.SyntaxKind.NullKeyword) {
    const value = literalIn(node.literal as ts.Expression)
    return value === undefined ? [] : [value]
  }
  if (!ts.isTypeReferenceNode(node)) return []
  const symbol = checker.getSymbolAtLocation(node.typeName)
  const target = symbol && withoutAlias(symbol, checker)
  const [declaration] = target?.declarations ?? []
  return declaration && ts.isTypeAliasDeclaration(declaration)
    ? saidIn(declaration.type, checker, depth + 1)
    : []
}

/** Options in the order of the code; the checker's own depends on what it has looked at before. */
const inOrder = (options: readonly Literal[], said: readonly Literal[]): Literal[] => {
  const rank = (one: Literal): number => {
    const at = said.indexOf(one)
    return at < 0 ? said.length : at
  }
  return [...options].sort(
    (a, b) => rank(a) - rank(b) || (String(a) < String(b) ? -1 : String(a) > String(b) ? 1 : 0),
  )
}

/** What a prop of some type takes; `declared` is how the code says the type, where it does. */
export const toCodeType = (
  type: ts.Type,
  checker: ts.TypeChecker,
  declared?: ts.TypeNode,
): CodeType => {
  const text = textOf(type, checker, declared)
  const members = membersOf(type)
  const alias = type.aliasSymbol?.name
  // One function, or several of them.
  const isCode = (one: ts.Type): boolean =>
    isCallable(one) || (checker.isArrayType(one) && members.some(isCallable))
  if (members.length > 0 && members.every(isCode)) return { kind: 'handler', text }
  if (isNode(members, checker, text, alias)) return { kind: 'node', text }
  const literals = members.map(literalOf)
  const options = [...new Set(literals.filter((one) => one !== undefined))]
  const isBoolean = options.length > 0 && options.every((one) => typeof one === 'boolean')
  const rest = members.filter((_, i) => literals[i] === undefined)
  const takesString = rest.some((one) => has(one, ts.TypeFlags.StringLike))
  if (options.length > 0 && !(isBoolean && rest.length === 0)) {
    const isOpen = takesString || rest.some(isAnyOther)
    if (!isBoolean) {
      const ordered = inOrder(options, saidIn(declared ?? aliasNode(type), checker))
      return { kind: 'choice', text, options: ordered, ...(isOpen ? { isOpen: true } : {}) }
    }
  }
  if (takesString || rest.some(isAnyOther)) return { kind: 'string', text }
  if (rest.some((one) => has(one, ts.TypeFlags.NumberLike))) return { kind: 'number', text }
  if (isBoolean || rest.some((one) => has(one, ts.TypeFlags.BooleanLike)))
    return { kind: 'boolean', text }
  return { kind: 'other', text }
}

/** The value of an expression that is a literal. */
export const literalIn = (node: ts.Expression | undefined): Literal | undefined => {
  if (!node) return undefined
  if (ts.isStringLiteralLike(node)) return node.text
  if (ts.isNumericLiteral(node)) return Number(node.text)
  if (node.kind === ts.SyntaxKind.TrueKeyword) return true
  if (node.kind === ts.SyntaxKind.FalseKeyword) return false
  if (
    ts.isPrefixUnaryExpression(node) &&
    node.operator === ts.SyntaxKind.MinusToken &&
    ts.isNumericLiteral(node.operand)
  )
    return -Number(node.operand.text)
  if (ts.isAsExpression(node) || ts.isParenthesizedExpression(node))
    return literalIn(node.expression)
  return undefined
}

/** What a comment says of a symbol: in words, its value when nothing is said, whether it should no longer be used. */
export const commentOf = (
  symbol: ts.Symbol,
  checker: ts.TypeChecker,
): { readonly about?: string; readonly standard?: Literal; readonly isDeprecated?: true } => {
  const words = ts.displayPartsToString(symbol.getDocumentationComment(checker)).trim()
  const about = words.split(/\n\s*\n/)[0]!.replace(/\s+/g, ' ')
  let standard: Literal | undefined
  let isDeprecated = false
  for (const { name, text } of symbol.getJsDocTags(checker)) {
    if (name === 'deprecated') isDeprecated = true
    if (name === 'default' || name === 'defaultValue')
      standard = readLiteral(ts.displayPartsToString(text))
  }
  return {
    ...(about === '' ? {} : { about }),
    ...(standard === undefined ? {} : { standard }),
    ...(isDeprecated ? { isDeprecated: true } : {}),
  }
}

/** A literal as comments write it: `'md'`, `` `true` ``, `3`. */
const readLiteral = (text: string): Literal | undefined => {
  const bare = text.trim().replace(/^`(.*)`$/, '$1')
  const quoted = /^(['"])(.*)\1$/.exec(bare)
  if (quoted) return quoted[2]!
  if (bare === 'true' || bare === 'false') return bare === 'true'
  return bare !== '' && Number.isFinite(Number(bare)) ? Number(bare) : undefined
}
