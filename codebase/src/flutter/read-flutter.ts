import type { CodeProp, CodeType, Literal } from '@unimorph/core'
import type { Node } from 'web-tree-sitter'
import type { FoundComponent } from '../found.js'

const childrenOf = (node: Node): Node[] => node.children.filter((child) => child !== null)
const namedOf = (node: Node): Node[] => node.namedChildren.filter((child) => child !== null)
const first = (node: Node, type: string): Node | undefined =>
  namedOf(node).find((child) => child.type === type)

const WIDGETS = /(^|[a-z])Widget$/
const HANDLER = /^(VoidCallback|GestureTapCallback|Value(Changed|Setter)<.*>|.*\bFunction\b.*)$/

/** What a type of Dart takes; enums are told apart when all files are known. */
const toType = (text: string): CodeType => {
  const bare = text.replace(/\?$/, '').trim()
  if (bare === 'String') return { kind: 'string', text }
  if (['int', 'double', 'num'].includes(bare)) return { kind: 'number', text }
  if (bare === 'bool') return { kind: 'boolean', text }
  if (/^(Preferred\w+)?Widget$|^List<Widget>$|^Text$|^Icon$/.test(bare))
    return { kind: 'node', text }
  if (HANDLER.test(bare)) return { kind: 'handler', text }
  return { kind: 'other', text }
}

type Standard = { readonly value?: Literal; readonly text: string }

const literalOf = (text: string): Literal | undefined => {
  const quoted = /^(['"])(.*)\1$/s.exec(text)
  if (quoted) return quoted[2]!
  if (text === 'true' || text === 'false') return text === 'true'
  if (text !== '' && Number.isFinite(Number(text))) return Number(text)
  // `Tone.solid`
  return /^[A-Z]\w*\.(\w+)$/.exec(text)?.[1]
}

type Parameter = {
  readonly name: string
  readonly type: string | undefined
  readonly isNamed: boolean
  readonly isRequired: boolean
  readonly standard: Standard | undefined
}

/** The parameters between some brackets; those in braces are named. */
const parametersOf = (list: Node): readonly Parameter[] => {
  const found: Parameter[] = []
  const read = (nodes: readonly Node[], isNamed: boolean, isOptional: boolean): void => {
    let isRequired = false
    let current: { node: Node; isRequired: boolean } | undefined
    let standard: string | undefined
    let isStandard = false
    const close = (): void => {
      if (current) {
        const parameter = current.node
        const own = first(parameter, 'constructor_param') ?? parameter
        if (!first(parameter, 'super_formal_parameter')) {
          const names = namedOf(own).filter(({ type }) => type === 'identifier')
          const name = names.at(-1)?.text
          const said = namedOf(own)
            .filter(({ type }) => !['identifier', 'this'].includes(type))
            .map(({ text }) => text)
            .join('')
          if (name !== undefined) {
            found.push({
              name,
              type: said === '' ? undefined : said,
              isNamed,
              isRequired: current.isRequired,
              standard:
                standard === undefined
                  ? undefined
                  : { text: standard, ...withValue(literalOf(standard)) },
            })
          }
        }
      }
      current = undefined
      standard = undefined
      isStandard = false
      isRequired = false
    }
    for (const node of nodes) {
      if (node.type === ',') close()
      else if (node.type === 'required') isRequired = true
      else if (node.type === 'optional_formal_parameters') {
        close()
        const inner = childrenOf(node)
        read(inner, inner[0]?.type === '{', true)
      } else if (node.type === 'formal_parameter') {
        current = { node, isRequired: isRequired || (!isOptional && !isNamed) }
      } else if (node.type === '=' || node.type === ':') isStandard = true
      else if (isStandard) standard = (standard ?? '') + node.text
    }
    close()
  }
  read(childrenOf(list), false, false)
  return found
}

const withValue = (value: Literal | undefined): { readonly value?: Literal } =>
  value === undefined ? {} : { value }

/** The types of the fields of a class. */
const fieldsOf = (body: Node): ReadonlyMap<string, string> => {
  const fields = new Map<string, string>()
  for (const declaration of namedOf(body).filter(({ type }) => type === 'declaration')) {
    const names = first(declaration, 'initialized_identifier_list')
    if (!names) continue
    const type = namedOf(declaration)
      .filter(({ type: kind }) =>
        [
          'type_identifier',
          'type_arguments',
          'nullable_type',
          'function_type',
          'void_type',
        ].includes(kind),
      )
      .map(({ text }) => text)
      .join('')
    for (const name of namedOf(names))
      fields.set(first(name, 'identifier')?.text ?? name.text, type)
  }
  return fields
}

const commentBefore = (node: Node): string | undefined => {
  const before = node.previousNamedSibling
  if (before?.type !== 'documentation_comment') return undefined
  const words = before.text.replace(/^\s*\/\/\/ ?/gm, '').split(/\n\s*\n/)[0]!
  return words.replace(/\s+/g, ' ').trim() || undefined
}

const propsOf = (list: Node, fields: ReadonlyMap<string, string>): readonly CodeProp[] =>
  parametersOf(list).map(({ name, type: said, isNamed, isRequired, standard }, at): CodeProp => {
    const type = toType(said ?? fields.get(name) ?? 'dynamic')
    const isEvent = type.kind === 'handler' && /^on[A-Z]/.test(name)
    return {
      name,
      type,
      as: name === 'child' ? 'slot' : isEvent ? 'event' : 'prop',
      isRequired,
      ...(isNamed ? {} : { position: at }),
      ...(standard?.value === undefined ? {} : { standard: standard.value }),
    }
  })

/** The widgets of a file of Dart, its enums, and the first thing that is no Dart. */
export const readFlutter = (
  path: string,
  root: Node,
): {
  readonly components: readonly FoundComponent[]
  readonly enums: Readonly<Record<string, readonly string[]>>
} => {
  const components: FoundComponent[] = []
  const enums: Record<string, readonly string[]> = {}
  for (const node of namedOf(root)) {
    const name = first(node, 'identifier')?.text
    if (name === undefined || name.startsWith('_')) continue
    if (node.type === 'enum_declaration') {
      const body = first(node, 'enum_body')
      enums[name] = (body ? namedOf(body) : [])
        .filter(({ type }) => type === 'enum_constant')
        .flatMap((one) => first(one, 'identifier')?.text ?? [])
      continue
    }
    if (node.type !== 'class_definition') continue
    const base = first(node, 'superclass')
    const body = first(node, 'class_body')
    const isWidget = base && WIDGETS.test(first(base, 'type_identifier')?.text ?? '')
    if (!isWidget || !body) continue
    const fields = fieldsOf(body)
    const about = commentBefore(node)
    const isAbstract = childrenOf(node).some(({ type }) => type === 'abstract')
    if (isAbstract) continue
    for (const declaration of namedOf(body)) {
      const made =
        first(declaration, 'constant_constructor_signature') ??
        first(declaration, 'constructor_signature')
      const list = made && first(made, 'formal_parameter_list')
      if (!made || !list) continue
      const words = namedOf(made).filter(({ type }) => type === 'identifier')
      const own = words.map(({ text }) => text).join('.')
      if (own.includes('._')) continue
      components.push({
        name: own,
        framework: 'flutter',
        path,
        exported: own,
        props: [...propsOf(list, fields)],
        ...(made.type === 'constant_constructor_signature' ? { isConst: true } : {}),
        ...(about === undefined ? {} : { about }),
      })
    }
  }
  return { components, enums }
}
