import type { MarkupElement } from './markup.js'
import type { Looks } from './looks.js'

/** What each thing in a list has; `of`: it is handed on to a component inside, as this. */
export type ListPart = {
  readonly name: string
  readonly of?: { readonly tag: string; readonly prop: string }
}

/** What a component is given. */
export type Prop = {
  /** By which a person's words about it are known, whatever it is called. */
  readonly id: string
  readonly name: string
  /** `slot`: something that is shown; `list`: several texts, or several things of which each has some. */
  readonly kind: 'text' | 'number' | 'code' | 'flag' | 'choice' | 'classes' | 'slot' | 'list'
  /** Of a list of things that have several texts each: what those are. */
  readonly fields?: readonly ListPart[]
  /** Of a choice: what may be chosen. */
  readonly options?: readonly string[]
  /** Of a text: the only ones that may be given, where a person has said so. */
  readonly only?: readonly string[]
  /** Uses that say nothing have this. */
  readonly standard?: string | boolean
  readonly isOptional: boolean
  /** What else it may be, as code says it. */
  readonly type?: string
  /** It is handed on to a component inside, as this. */
  readonly of?: { readonly tag: string; readonly prop: string }
}

export type PartComponent = {
  readonly id: string
  /** In words. */
  readonly name: string
  readonly tag: string
  readonly props: readonly Prop[]
  readonly looks: readonly Looks[]
  readonly markup: MarkupElement
  /** The text of its own style sheet, where it has one. */
  readonly sheet?: string | undefined
  /** One of its instances, as it is used. */
  readonly example: MarkupElement
  /** What each instance is given, in the order of the props. */
  readonly uses: readonly {
    readonly layer: string | undefined
    readonly values: readonly PropValue[]
  }[]
}

/**
 * What an instance is given; undefined: nothing. Of a list: its texts, or things, each on a line, with tabs between what one has;
 * of a slot: what it says.
 */
export type PropValue = string | boolean | undefined
