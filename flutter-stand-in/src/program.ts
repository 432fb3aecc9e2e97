import { childOf, childrenOf, textOf, type Syntax } from './syntax.js'

/** A piece of code that has a value: nodes that stand side by side. */
export type Code = readonly Syntax[]

export type ClassInfo = {
  readonly name: string
  /** What it extends: `StatelessWidget`. */
  readonly base: string
  /** What is given, by name, and what it is where nothing is. */
  readonly parameters: ReadonlyMap<string, Code | undefined>
  /** What is given without a name, in order. */
  readonly positional: readonly string[]
  /** What has to be given, by name. */
  readonly required: ReadonlySet<string>
  /** The types of its fields as they are written: `String?`. */
  readonly types: ReadonlyMap<string, string>
  /** What its state begins with. */
  readonly fields: ReadonlyMap<string, Code | undefined>
  readonly statics: ReadonlyMap<string, Code>
  /** The statements of `build`. */
  readonly build: Syntax | undefined
}

/** All that the files of a project say. */
export type Program = {
  readonly classes: ReadonlyMap<string, ClassInfo>
  readonly constants: ReadonlyMap<string, Code>
  readonly enums: ReadonlyMap<string, readonly string[]>
}

/** What stands after `=`. */
const afterEquals = (children: readonly Syntax[]): Code | undefined => {
  const at = children.findIndex(({ kind }) => kind === '=')
  return at < 0 ? undefined : children.slice(at + 1)
}

const readParameters = (list: Syntax | undefined): ReadonlyMap<string, Code | undefined> => {
  const found = new Map<string, Code | undefined>()
  const named = list && childOf(list, 'optional_formal_parameters')
  const children = childrenOf(named ?? { kind: '' })
  children.forEach((child, i) => {
    if (child.kind !== 'formal_parameter') return
    const own = childOf(child, 'constructor_param') ?? childOf(child, 'super_formal_parameter')
    const name = own && childrenOf(own).at(-1)
    if (!name) return
    const next = children.findIndex(({ kind }, at) => at > i && (kind === ',' || kind === '}'))
    found.set(textOf(name), afterEquals(children.slice(i, next)))
  })
  return found
}

/** What has to be given by name: what stands after `required`. */
const readRequired = (list: Syntax | undefined): ReadonlySet<string> => {
  const named = list && childOf(list, 'optional_formal_parameters')
  const children = childrenOf(named ?? { kind: '' })
  return new Set(
    children.flatMap((child, i) => {
      const own = childOf(child, 'constructor_param')
      const name = own && childrenOf(own).at(-1)
      return name && children[i - 1]?.kind === 'required' ? [textOf(name)] : []
    }),
  )
}

/** The type of the fields of a declaration: what stands before their names. */
const readType = (declaration: Syntax): string =>
  childrenOf(declaration)
    .filter(({ kind }) => /type/.test(kind))
    .map(textOf)
    .join('')

/** What is given without a name: what stands before the braces. */
const readPositional = (list: Syntax | undefined): readonly string[] =>
  childrenOf(list ?? { kind: '' }).flatMap((child) => {
    const own = child.kind === 'formal_parameter' && childOf(child, 'constructor_param')
    const name = own && childrenOf(own).at(-1)
    return name ? [textOf(name)] : []
  })

const readFields = (declaration: Syntax): readonly (readonly [string, Code | undefined])[] => {
  const list = childOf(declaration, 'initialized_identifier_list')
  const fixed = childOf(declaration, 'static_final_declaration_list')
  return childrenOf(list ?? fixed ?? { kind: '' }).flatMap((one) => {
    const name = childOf(one, 'identifier')
    return name ? [[textOf(name), afterEquals(childrenOf(one))] as const] : []
  })
}

const readClass = (node: Syntax): ClassInfo => {
  const name = textOf(childOf(node, 'identifier')!)
  const superclass = childOf(node, 'superclass')
  const base = superclass ? textOf(childOf(superclass, 'type_identifier') ?? superclass) : ''
  const members = childrenOf(childOf(node, 'class_body') ?? { kind: '' })
  let parameters: ClassInfo['parameters'] = new Map()
  let positional: ClassInfo['positional'] = []
  let required: ClassInfo['required'] = new Set()
  const types = new Map<string, string>()
  const fields = new Map<string, Code | undefined>()
  const statics = new Map<string, Code>()
  let build: Syntax | undefined
  members.forEach((member, i) => {
    if (member.kind === 'declaration') {
      const made =
        childOf(member, 'constant_constructor_signature') ??
        childOf(member, 'constructor_signature')
      // The constructor with no name of its own is the first.
      if (made && parameters.size + positional.length === 0) {
        const list = childOf(made, 'formal_parameter_list')
        parameters = readParameters(list)
        positional = readPositional(list)
        required = readRequired(list)
      }
      const isStatic = childrenOf(member).some(({ kind }) => kind === 'static')
      for (const [field, code] of readFields(member)) {
        if (isStatic && code) statics.set(field, code)
        else if (!isStatic) {
          fields.set(field, code)
          types.set(field, readType(member))
        }
      }
    }
    const signature = member.kind === 'method_signature' && childOf(member, 'function_signature')
    const own = signature && childOf(signature, 'identifier')
    const body = members[i + 1]
    if (own && textOf(own) === 'build' && body?.kind === 'function_body') {
      build = childOf(body, 'block')
    }
  })
  return { name, base, parameters, positional, required, types, fields, statics, build }
}

/** Reads the files of a project, parsed; what is the same in all projects is not among them. */
export const readProgram = (files: readonly Syntax[]): Program => {
  const classes = new Map<string, ClassInfo>()
  const constants = new Map<string, Code>()
  const enums = new Map<string, readonly string[]>()
  for (const file of files) {
    for (const node of childrenOf(file)) {
      if (node.kind === 'class_definition') {
        const read = readClass(node)
        classes.set(read.name, read)
      }
      if (node.kind === 'enum_declaration') {
        const body = childOf(node, 'enum_body')
        const names = childrenOf(body ?? node).filter(({ kind }) => kind === 'enum_constant')
        enums.set(textOf(childOf(node, 'identifier')!), names.map(textOf))
      }
      if (node.kind === 'static_final_declaration_list') {
        for (const one of childrenOf(node)) {
          const name = childOf(one, 'identifier')
          const code = afterEquals(childrenOf(one))
          if (name && code) constants.set(textOf(name), code)
        }
      }
    }
  }
  return { classes, constants, enums }
}
