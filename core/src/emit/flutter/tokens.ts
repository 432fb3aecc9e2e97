import type { Attribute, LookReference } from '../shared/markup.js'
import type { Looks } from '../shared/looks.js'
import type { Slots } from './slots.js'

/**
 * What is said of a node, as the classes that the stages before writing compare and share out: `color=colors.kelp`, and
 * `padding@768=EdgeInsets.all(24)` for what is so from a width on. A class has no spaces, so those are written as ␣.
 */
const SPACE = '␣'

const encode = (slot: string, fromPx: number, code: string): string =>
  `${slot}${fromPx > 0 ? `@${String(fromPx)}` : ''}=${code.replaceAll(' ', SPACE)}`

/** What nothing said of a slot is written as, where something was said before. */
const NOTHING = '-'

export type Stepped = readonly {
  readonly fromPx: number
  readonly slots: Slots | undefined
  /** It is shown elsewhere only, by what is pressed. */
  readonly isFolded?: boolean
}[]

/** The classes of a node: what it is like at its narrowest, and what changes from there on. */
export const toTokens = (steps: Stepped): readonly string[] => {
  const tokens: string[] = []
  let before: Slots = {}
  let wasShown = true
  steps.forEach(({ fromPx, slots, isFolded = false }, i) => {
    const isShown = slots !== undefined && !isFolded
    if (isShown !== wasShown || (i === 0 && !isShown)) {
      tokens.push(encode('shown', fromPx, String(isShown)))
    }
    wasShown = isShown
    if (!slots) return
    for (const [slot, code] of Object.entries(slots)) {
      if (before[slot] !== code) tokens.push(encode(slot, fromPx, code))
    }
    for (const slot of Object.keys(before)) {
      if (!(slot in slots)) tokens.push(encode(slot, fromPx, NOTHING))
    }
    before = slots
  })
  return tokens
}

/** A value of a slot: what it is from a width on, undefined: nothing. */
type At = { readonly fromPx: number; readonly code: string | undefined }

export type SlotValue =
  | { readonly kind: 'same'; readonly code: string }
  | { readonly kind: 'stepped'; readonly steps: readonly At[] }
  /** By what the component is given. */
  | {
      readonly kind: 'chosen'
      readonly prop: string
      readonly options: readonly (readonly [string, SlotValue | undefined])[]
    }

const read = (token: string): { slot: string; at: At } => {
  const [, slot, from, code] = /^([^=@]+)(?:@(\d+))?=([\s\S]*)$/.exec(token)!
  return {
    slot: slot!,
    at: {
      fromPx: Number(from ?? 0),
      code: code === NOTHING ? undefined : code!.replaceAll(SPACE, ' '),
    },
  }
}

/** What a class says something of: `padding@768=…` → `padding` */
export const slotOf = (token: string): string => read(token).slot

const isToken = (token: string): boolean => token.includes('=')

const group = (tokens: readonly string[]): ReadonlyMap<string, readonly At[]> => {
  const bySlot = new Map<string, At[]>()
  for (const token of tokens.filter(isToken)) {
    const { slot, at } = read(token)
    bySlot.set(slot, [...(bySlot.get(slot) ?? []), at])
  }
  return bySlot
}

const valueOf = (steps: readonly At[] | undefined): SlotValue | undefined => {
  if (!steps || steps.length === 0) return undefined
  // A later class for the same width wins.
  const last = new Map(steps.map((step) => [step.fromPx, step]))
  const sorted = [...last.values()].sort((a, b) => a.fromPx - b.fromPx)
  const [first, ...others] = sorted
  if (others.length === 0 && first!.fromPx === 0) {
    return first!.code === undefined ? undefined : { kind: 'same', code: first!.code }
  }
  const all = first!.fromPx === 0 ? sorted : [{ fromPx: 0, code: undefined }, ...sorted]
  return { kind: 'stepped', steps: all }
}

const split = (text: string): readonly string[] => text.split(' ').filter(Boolean)

/** What the classes of an element say whatever the component is given, one by one. */
export const tokensIn = (attribute: Attribute | undefined): readonly string[] => {
  if (attribute?.kind === 'text') return split(attribute.text).filter(isToken)
  return attribute?.kind === 'classes' ? split(attribute.base).filter(isToken) : []
}

/** The tokens of each choice at a place, by the prop that chooses. */
const choicesAt = (
  { record, place }: LookReference,
  looks: readonly Looks[],
): readonly (readonly [string, readonly string[]])[] => {
  const look = looks.find(({ name }) => name === record)
  if (!look) return []
  const at = place === undefined ? 0 : look.places.indexOf(place)
  return Object.entries(look.classes).map(([option, own]) => [option, split(own[at] ?? '')])
}

/** Everything that the classes of an element say, by slot. */
export const readTokens = (
  attribute: Attribute | undefined,
  looks: readonly Looks[] = [],
): ReadonlyMap<string, SlotValue> => {
  const values = new Map<string, SlotValue>()
  if (!attribute || (attribute.kind !== 'text' && attribute.kind !== 'classes')) return values
  const base = tokensIn(attribute)
  const set = (slot: string, value: SlotValue | undefined): void => {
    if (value) values.set(slot, value)
  }
  for (const [slot, steps] of group(base)) set(slot, valueOf(steps))
  if (attribute.kind !== 'classes') return values
  for (const reference of attribute.looks) {
    const options = choicesAt(reference, looks)
    const slots = new Set(options.flatMap(([, tokens]) => [...group(tokens).keys()]))
    for (const slot of slots) {
      set(slot, {
        kind: 'chosen',
        prop: reference.prop,
        options: options.map(([option, tokens]) => [
          option,
          // What all have at some widths, and this one at others, is one value.
          valueOf([...(group(base).get(slot) ?? []), ...(group(tokens).get(slot) ?? [])]),
        ]),
      })
    }
  }
  return values
}
