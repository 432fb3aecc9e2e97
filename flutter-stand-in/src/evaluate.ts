import type { Code, Program } from './program.js'
import { childOf, childrenOf, textOf, type Syntax } from './syntax.js'
import {
  isClosure,
  isMade,
  isNamed,
  isRecord,
  NotKnown,
  type Closure,
  type Made,
  type Scope,
  type Value,
} from './values.js'

/** What the code may ask of its surroundings. */
export type Host = {
  readonly program: Program
  /** The window, in px. */
  readonly size: { readonly width: number; readonly height: number }
  readonly isDark: boolean
  navigate(route: string): void
  back(): void
  showDialog(builder: Closure): void
  /** Calls one of the functions that projects share; undefined where there is none of that name. */
  callShared(name: string, positional: readonly Value[], named: Made['named']): Value | undefined
  /** Makes an object that projects share, such as the answers of a form. */
  makeShared(name: string, positional: readonly Value[], named: Made['named']): Value | undefined
  /** Calls what such an object can do. */
  callMethod(target: Value, name: string, positional: readonly Value[]): Value | undefined
}

const ESCAPES: Readonly<Record<string, string>> = { n: '\n', r: '\r', t: '\t' }

/** The text between the quotes of a string. */
export const unquote = (source: string): string =>
  source
    .slice(1, -1)
    .replace(/\\(?:u\{([0-9a-fA-F]+)\}|u([0-9a-fA-F]{4})|([\s\S]))/g, (_, long, short, sign) => {
      const digits = (long ?? short) as string | undefined
      if (digits !== undefined) return String.fromCodePoint(parseInt(digits, 16))
      return ESCAPES[sign as string] ?? (sign as string)
    })

/** A string with the values of the names in it, as `'$count'` has one. */
const fillIn = (source: string, valueOf: (name: string) => Value): string =>
  source.replace(/\\[\s\S]|\$([A-Za-z_]\w*)/g, (all, name: string | undefined) => {
    if (name === undefined) return all
    const value = valueOf(name)
    if (typeof value !== 'number') throw new Error(`Only numbers are put into texts, not $${name}`)
    return String(value)
  })

const isTrue = (value: Value): boolean => value === true

/** Where a name has a value: in the scope or one around it. */
const lookUp = (name: string, scope: Scope | undefined): { readonly value: Value } | undefined => {
  for (let one = scope; one; one = one.outer) {
    if (one.names.has(name)) return { value: one.names.get(name)! }
    if (one.state?.values.has(name)) return { value: one.state.values.get(name)! }
  }
  return undefined
}

/** What is pressed and not connected to anything yet. */
const NOTHING: Value = {
  kind: 'closure',
  parameters: [],
  body: { kind: 'block', children: [] },
  scope: { names: new Map() },
}

const assign = (name: string, value: Value, scope: Scope): void => {
  for (let one: Scope | undefined = scope; one; one = one.outer) {
    if (one.state?.values.has(name)) {
      one.state.values.set(name, value)
      return
    }
  }
  throw new NotKnown(`Nothing that may change is called ${name}.`)
}

/** Evaluates the few kinds of code that are written for Flutter; says what it does not know. */
export class Evaluator {
  constructor(readonly host: Host) {}

  /** The value of code: nodes that stand side by side, a first one and what is asked of it. */
  code(code: Code, scope: Scope): Value {
    const nodes = code.filter(({ kind }) => kind !== 'comment' && kind !== 'const_builtin')
    const [first, ...selectors] = nodes
    if (!first) throw new NotKnown('There is no value.')
    return this.select(first, selectors, scope)
  }

  /** The value of what a closure returns, with its parameters. */
  call(closure: Closure, positional: readonly Value[] = []): Value {
    const names = new Map(closure.parameters.map((name, i) => [name, positional[i] ?? null]))
    const scope: Scope = { names, outer: closure.scope }
    const [arrow, ...body] = childrenOf(closure.body)
    if (arrow?.kind === '=>') return this.code(body, scope)
    return null
  }

  /** Statements up to what is returned. */
  block(block: Syntax, scope: Scope): Value {
    for (const statement of childrenOf(block)) {
      if (statement.kind === 'local_variable_declaration') {
        const own = childOf(statement, 'initialized_variable_definition')!
        const children = childrenOf(own)
        const at = children.findIndex(({ kind }) => kind === '=')
        scope.names.set(
          textOf(childOf(own, 'identifier')!),
          this.code(children.slice(at + 1), scope),
        )
      }
      if (statement.kind === 'return_statement') {
        const inside = childrenOf(statement).filter(({ kind }) => kind !== 'return' && kind !== ';')
        return this.code(inside, scope)
      }
    }
    throw new NotKnown('Nothing is returned.')
  }

  private select(first: Syntax, selectors: readonly Syntax[], scope: Scope): Value {
    let names: string[] | undefined
    let value: Value | undefined
    if (first.kind === 'identifier' || first.kind === 'type_identifier') {
      const known = lookUp(first.text!, scope)
      if (known) value = known.value
      else names = [first.text!]
    } else value = this.primary(first, scope)
    for (const selector of selectors) {
      const [inside] = childrenOf(selector)
      if (!inside) continue
      if (inside.kind === 'argument_part') {
        const { positional, named } = this.args(childOf(inside, 'arguments')!, scope)
        value = names ? this.apply(names, positional, named) : this.applyTo(value!, positional)
        names = undefined
        continue
      }
      const name = childOf(inside, 'identifier')?.text
      if (name === undefined) throw new NotKnown(`"${textOf(selector)}" is not known.`)
      if (names) {
        names.push(name)
        continue
      }
      const isSafe = inside.kind === 'conditional_assignable_selector'
      if (isSafe && value === null) return null
      value = this.member(value!, name)
    }
    return names ? this.constant(names) : value!
  }

  /** A name that no scope has: of a project, or of Flutter. */
  private constant(names: readonly string[]): Value {
    const { program } = this.host
    const [head, member] = names
    const topLevel = program.constants.get(head!)
    if (topLevel && !member) return this.code(topLevel, { names: new Map() })
    const own = member === undefined ? undefined : program.classes.get(head!)?.statics.get(member)
    if (own) return this.code(own, { names: new Map() })
    if (names.join('.') === 'double.infinity') return Infinity
    if (head === 'BorderSide' && member === 'strokeAlignOutside') return 1
    if (names.length === 1 && head === 'context') return null
    if (names.length === 1 && head === 'notConnected') return NOTHING
    if (names.length === 1 && /^[a-z]/.test(head!)) {
      throw new NotKnown(`"${head!}" has no value here.`)
    }
    return { kind: 'named', name: names.join('.') }
  }

  private member(target: Value, name: string): Value {
    if (isRecord(target)) {
      const value = target.fields.get(name)
      if (value === undefined) throw new NotKnown(`Nothing has a field "${name}".`)
      return value
    }
    if (typeof target === 'string' && name === 'toUpperCase') {
      return { kind: 'made', name: 'method', named: { target }, positional: [name] }
    }
    if (isMade(target)) {
      const own = target.named[name]
      if (own !== undefined) return own
      return { kind: 'made', name: 'method', named: { target }, positional: [name] }
    }
    throw new NotKnown(`"${name}" is asked of what has none.`)
  }

  private applyTo(target: Value, positional: readonly Value[]): Value {
    if (isClosure(target)) return this.call(target, positional)
    if (isMade(target) && target.name === 'method') {
      const method = String(target.positional[0])
      const text = target.named['target']
      if (typeof text === 'string') return text.toUpperCase()
      return this.host.callMethod(target.named['target']!, method, positional) ?? null
    }
    throw new NotKnown('Something is called that is no function.')
  }

  private args(
    node: Syntax,
    scope: Scope,
  ): { readonly positional: Value[]; readonly named: Record<string, Value> } {
    const positional: Value[] = []
    const named: Record<string, Value> = {}
    for (const one of childrenOf(node)) {
      if (one.kind === 'argument') positional.push(this.code(childrenOf(one), scope))
      if (one.kind === 'named_argument') {
        const [label, ...value] = childrenOf(one)
        named[textOf(childrenOf(label!)[0]!)] = this.code(value, scope)
      }
    }
    return { positional, named }
  }

  /** Calls what a name says. */
  private apply(
    names: readonly string[],
    positional: readonly Value[],
    named: Record<string, Value>,
  ): Value {
    const { host } = this
    const name = names.join('.')
    switch (name) {
      case 'MediaQuery.sizeOf':
        return {
          kind: 'record',
          fields: new Map<string, Value>([
            ['width', host.size.width],
            ['height', host.size.height],
          ]),
        }
      case 'AppColors.of': {
        const colors = host.program.classes.get('AppColors')!
        const own = (host.isDark && colors.statics.get('dark')) || colors.statics.get('light')!
        const made = this.code(own, { names: new Map() }) as Made
        return { kind: 'record', fields: new Map(Object.entries(made.named)) }
      }
      case 'Navigator.pushNamed':
        host.navigate(String(positional[1]))
        return null
      case 'Navigator.pop':
        host.back()
        return null
      case 'setState': {
        const change = positional[0]!
        if (isClosure(change)) this.call(change)
        return null
      }
      case 'showDialog': {
        const builder = named['builder']!
        if (isClosure(builder)) host.showDialog(builder)
        return null
      }
    }
    const shared = host.callShared(name, positional, named)
    if (shared !== undefined) return shared
    // `AppType.title.copyWith(…)`: a value with some of its parts changed.
    if (names.at(-1) === 'copyWith') {
      const target = this.constant(names.slice(0, -1))
      if (isMade(target)) return { ...target, named: { ...target.named, ...named } }
    }
    const made = host.makeShared(name, positional, named)
    if (made !== undefined) return made
    if (!/^[A-Z]/.test(names[0]!)) throw new NotKnown(`"${name}" is not known.`)
    return { kind: 'made', name, named, positional }
  }

  private primary(node: Syntax, scope: Scope): Value {
    const children = childrenOf(node)
    switch (node.kind) {
      case 'decimal_integer_literal':
      case 'decimal_floating_point_literal':
      case 'hex_integer_literal':
        return Number(node.text)
      case 'string_literal':
        return unquote(fillIn(textOf(node), (name) => lookUp(name, scope)?.value ?? null))
      case 'true':
        return true
      case 'false':
        return false
      case 'null_literal':
        return null
      case 'this':
        return null
      case 'list_literal':
        return this.elements(children.slice(children.findIndex(({ kind }) => kind === '[')), scope)
      case 'parenthesized_expression':
        return this.code(children.slice(1, -1), scope)
      case 'record_literal': {
        const fields = new Map<string, Value>()
        // A record of one field has its label and its value side by side.
        const alone = children.filter(({ kind }) => !/^[(),]$/.test(kind))
        const isAlone = alone[0]?.kind === 'label'
        for (const parts of isAlone ? [alone] : alone.map(childrenOf)) {
          const [label, ...value] = parts
          fields.set(textOf(childrenOf(label!)[0]!), this.code(value, scope))
        }
        return { kind: 'record', fields }
      }
      case 'const_object_expression': {
        const names = children
          .filter(({ kind }) => kind === 'type_identifier' || kind === 'identifier')
          .map(textOf)
        const args = childOf(node, 'arguments')!
        const { positional, named } = this.args(args, scope)
        return this.apply(names, positional, named)
      }
      case 'conditional_expression': {
        const at = children.findIndex(({ kind }) => kind === '?')
        const other = children.findLastIndex(({ kind }) => kind === ':')
        const first = children.slice(0, at)
        return isTrue(this.code(first, scope))
          ? this.code(children.slice(at + 1, other), scope)
          : this.code(children.slice(other + 1), scope)
      }
      case 'if_null_expression': {
        const at = children.findIndex(({ kind }) => kind === '??')
        const value = this.code(children.slice(0, at), scope)
        return value === null ? this.code(children.slice(at + 1), scope) : value
      }
      case 'switch_expression':
        return this.choose(node, scope)
      case 'unary_expression': {
        const [operator, ...rest] = children
        const value = this.code(rest, scope)
        return textOf(operator!) === '!' ? !isTrue(value) : -Number(value)
      }
      case 'logical_and_expression':
        return this.parts(children, 'logical_and_operator').every((part) =>
          isTrue(this.code(part, scope)),
        )
      case 'logical_or_expression':
        return this.parts(children, 'logical_or_operator').some((part) =>
          isTrue(this.code(part, scope)),
        )
      case 'equality_expression':
      case 'relational_expression':
        return this.compare(children, scope)
      case 'assignment_expression': {
        const at = children.findIndex(({ kind }) => kind === '=')
        const value = this.code(children.slice(at + 1), scope)
        assign(textOf(children[0]!), value, scope)
        return value
      }
      case 'function_expression': {
        const list = childOf(node, 'formal_parameter_list')
        const parameters = childrenOf(list ?? node)
          .filter(({ kind }) => kind === 'formal_parameter')
          .map(textOf)
        const body = childOf(node, 'function_expression_body') ?? { kind: 'block' }
        return { kind: 'closure', parameters, body, scope }
      }
      default:
        throw new NotKnown(
          `Code of the kind "${node.kind}" is not known: ${textOf(node).slice(0, 60)}`,
        )
    }
  }

  private parts(children: readonly Syntax[], operator: string): readonly Code[] {
    const parts: Syntax[][] = [[]]
    for (const child of children) {
      if (child.kind === operator) parts.push([])
      else parts.at(-1)!.push(child)
    }
    return parts
  }

  private compare(children: readonly Syntax[], scope: Scope): boolean {
    const at = children.findIndex(({ kind }) => /_operator$/.test(kind))
    const sign = textOf(children[at]!)
    const a = this.code(children.slice(0, at), scope)
    const b = this.code(children.slice(at + 1), scope)
    const isSame = isNamed(a) && isNamed(b) ? a.name === b.name : a === b
    switch (sign) {
      case '==':
        return isSame
      case '!=':
        return !isSame
      case '>=':
        return Number(a) >= Number(b)
      case '<':
        return Number(a) < Number(b)
      default:
        throw new NotKnown(`"${sign}" is not known.`)
    }
  }

  private choose(node: Syntax, scope: Scope): Value {
    const children = childrenOf(node)
    const subject = childOf(node, 'parenthesized_expression')
    const start = children.findIndex(({ kind }) => kind === '(')
    const of = subject
      ? this.code([subject], scope)
      : this.code(
          children.slice(
            start + 1,
            children.findIndex(({ kind }) => kind === ')'),
          ),
          scope,
        )
    for (const one of children.filter(({ kind }) => kind === 'switch_expression_case')) {
      const parts = childrenOf(one)
      const at = parts.findIndex(({ kind }) => kind === '=>')
      const pattern = parts.slice(0, at).map(textOf).join('')
      if (isNamed(of) && of.name === pattern) return this.code(parts.slice(at + 1), scope)
    }
    throw new NotKnown('No case of a switch fits.')
  }

  /** The things in a list, with those that are there at times only. */
  private elements(children: readonly Syntax[], scope: Scope): readonly Value[] {
    const values: Value[] = []
    let current: Syntax[] = []
    const end = (): void => {
      if (current.length > 0) values.push(...this.element(current, scope))
      current = []
    }
    for (const child of children) {
      if (child.kind === '[' || child.kind === ']' || child.kind === ',') end()
      else current.push(child)
    }
    end()
    return values
  }

  private element(nodes: readonly Syntax[], scope: Scope): readonly Value[] {
    const [first] = nodes
    if (first?.kind === 'if_element') return this.ifElement(first, scope)
    if (first?.kind === 'for_element') return this.forElement(first, scope)
    return [this.code(nodes, scope)]
  }

  private ifElement(node: Syntax, scope: Scope): readonly Value[] {
    const children = childrenOf(node)
    const close = children.findIndex(({ kind }) => kind === ')')
    const inside = children.slice(2, close)
    const body = children.slice(close + 1)
    const at = inside.findIndex(({ kind }) => kind === 'case')
    if (at < 0) return isTrue(this.code(inside, scope)) ? this.element(body, scope) : []
    const value = this.code(inside.slice(0, at), scope)
    if (value === null) return []
    const name = /(\w+)\?$/.exec(textOf(inside[at + 1]!))?.[1] ?? ''
    // `final` and the name stand without a space between them.
    const own = name.replace(/^final/, '')
    return this.element(body, { names: new Map([[own, value]]), outer: scope })
  }

  private forElement(node: Syntax, scope: Scope): readonly Value[] {
    const [, head, ...body] = childrenOf(node)
    const parts = childrenOf(head!)
    const at = parts.findIndex(({ kind }) => kind === 'in')
    const name = textOf(parts[at - 1]!)
    const all = this.code(parts.slice(at + 1, -1), scope)
    if (!Array.isArray(all)) throw new NotKnown(`"${name}" goes through what is no list.`)
    return (all as readonly Value[]).flatMap((value) =>
      this.element(body, { names: new Map([[name, value]]), outer: scope }),
    )
  }
}
