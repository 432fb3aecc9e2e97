import type { Syntax } from './syntax.js'

/** What a widget, or a value such as a colour, is made of. */
export type Made = {
  readonly kind: 'made'
  /** `Padding`, `EdgeInsets.all`. */
  readonly name: string
  readonly named: Readonly<Record<string, Value>>
  readonly positional: readonly Value[]
}

/** Of a class of Flutter, what has a name: `Axis.vertical`. */
export type Named = { readonly kind: 'named'; readonly name: string }

export type Closure = {
  readonly kind: 'closure'
  readonly parameters: readonly string[]
  readonly body: Syntax
  readonly scope: Scope
}

export type RecordValue = { readonly kind: 'record'; readonly fields: ReadonlyMap<string, Value> }

export type Value =
  number | string | boolean | null | readonly Value[] | Made | Named | Closure | RecordValue

/** What names stand for, and where what they do not say is looked up. */
export type Scope = {
  readonly names: Map<string, Value>
  readonly outer?: Scope
  /** The state something belongs to: it may be changed. */
  readonly state?: State
}

/** The state of a widget, kept as long as it stands at its place. */
export type State = { readonly values: Map<string, Value>; change(): void }

export const isMade = (value: Value | undefined): value is Made =>
  typeof value === 'object' && value !== null && 'kind' in value && value.kind === 'made'

export const isNamed = (value: Value | undefined): value is Named =>
  typeof value === 'object' && value !== null && 'kind' in value && value.kind === 'named'

export const isClosure = (value: Value | undefined): value is Closure =>
  typeof value === 'object' && value !== null && 'kind' in value && value.kind === 'closure'

export const isRecord = (value: Value | undefined): value is RecordValue =>
  typeof value === 'object' && value !== null && 'kind' in value && value.kind === 'record'

/** The last part of a name: `Axis.vertical` → `vertical`; undefined of what is none. */
export const nameIn = (value: Value | undefined): string | undefined =>
  isNamed(value) ? value.name.slice(value.name.lastIndexOf('.') + 1) : undefined

/** Said of code that is none of what is written for Flutter here: the stand-in shows nothing it does not know. */
export class NotKnown extends Error {
  /** The widgets around it, from the outside in. */
  where: string | undefined
}
