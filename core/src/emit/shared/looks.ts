import { mostCommon } from '../../math/statistics.js'
import { toCamel, UniqueNames } from '../../text/names.js'

/** The classes by which looks differ: by the place in the component, what each choice adds. */
export type Looks = {
  readonly prop: string
  readonly name: string
  readonly places: readonly string[]
  /** The classes are code, and no texts. */
  readonly isCode?: boolean
  /** By the choice, in the order of the places. */
  readonly classes: Readonly<Record<string, readonly string[]>>
}

/** A place in a component whose classes differ: what each instance has beside what all have; undefined: no such place. */
export type Varying = { readonly place: string; readonly rests: readonly (string | undefined)[] }

/** What an instance chooses. */
export type Choice = {
  readonly prop: string
  readonly options: readonly string[]
  readonly standard: string
  readonly values: readonly string[]
}

export type Described = { readonly looks: readonly Looks[]; readonly choices: readonly Choice[] }

type Variants = readonly Readonly<Record<string, string>>[]

/** A component with more looks than this is several. */
const MOST_LOOKS = 6

const tokensOf = (rest: string | undefined): readonly string[] =>
  rest === undefined ? [] : rest.split(' ').filter(Boolean)

/** `sizes` of `size`; what has an s already is told apart. */
const recordOf = (prop: string): string => (prop.endsWith('s') ? `${prop}Looks` : `${prop}s`)

const describe = (
  prop: string,
  values: readonly string[],
  varying: readonly Varying[],
  isOwn: (token: string, place: Varying) => boolean,
): { readonly look: Looks; readonly choice: Choice } => {
  const options = [...new Set(values)]
  const own = (place: Varying, i: number): string =>
    tokensOf(place.rests[i])
      .filter((token) => isOwn(token, place))
      .join(' ')
  const places = varying.filter((place) => place.rests.some((_, i) => own(place, i) !== ''))
  const classes = Object.fromEntries(
    options.map((option) => [
      option,
      places.map((place) => {
        const at = values.findIndex((value, i) => value === option && place.rests[i] !== undefined)
        return at < 0 ? '' : own(place, at)
      }),
    ]),
  )
  return {
    look: { prop, name: recordOf(prop), places: places.map(({ place }) => place), classes },
    choice: { prop, options, standard: mostCommon(values)!, values },
  }
}

/** The variant property that tells whether a place has a class; undefined when none does. */
const tellerOf = (
  { rests }: Varying,
  token: string,
  properties: readonly string[],
  variants: Variants,
): string | undefined =>
  properties.find((property) => {
    const seen = new Map<string, boolean>()
    return rests.every((rest, i) => {
      if (rest === undefined) return true
      const has = tokensOf(rest).includes(token)
      const value = variants[i]![property]!
      const known = seen.get(value)
      seen.set(value, has)
      return known === undefined || known === has
    })
  })

/** Looks by the properties of the design's component, each class by the one that tells of it. */
const byProperties = (
  varying: readonly Varying[],
  variants: Variants,
  takeName: (wanted: string) => string,
): Described | undefined => {
  const properties = Object.keys(variants[0] ?? {}).filter(
    (name) => new Set(variants.map((variant) => variant[name])).size > 1,
  )
  const tellers = new Map<string, string>()
  for (const place of varying) {
    for (const token of new Set(place.rests.flatMap(tokensOf))) {
      const teller = tellerOf(place, token, properties, variants)
      if (teller === undefined) return undefined
      tellers.set(`${place.place} ${token}`, teller)
    }
  }
  const described = properties
    .filter((property) => [...tellers.values()].includes(property))
    .map((property) =>
      describe(
        takeName(property),
        variants.map((variant) => toCamel(variant[property]!, 'kind')),
        varying,
        (token, { place }) => tellers.get(`${place} ${token}`) === property,
      ),
    )
  return {
    looks: described.map(({ look }) => look),
    choices: described.map(({ choice }) => choice),
  }
}

/** Looks by nothing but themselves: named by the first colour in which they differ. */
const byColors = (
  varying: readonly Varying[],
  count: number,
  colorIn: (token: string) => string | undefined,
  takeName: (wanted: string) => string,
): Described | undefined => {
  const keys = Array.from({ length: count }, (_, i) =>
    varying.map(({ rests }) => rests[i] ?? '').join('\n'),
  )
  if (new Set(keys).size > MOST_LOOKS) return undefined
  const names = new UniqueNames('')
  const byKey = new Map<string, string>()
  let isTone = false
  keys.forEach((key, i) => {
    if (byKey.has(key)) return
    const color = varying
      .flatMap(({ rests }) => tokensOf(rests[i]))
      .map(colorIn)
      .find((word) => word !== undefined)
    isTone ||= color !== undefined
    byKey.set(key, names.take(toCamel(color ?? 'plain', 'plain')))
  })
  const values = keys.map((key) => byKey.get(key)!)
  const { look, choice } = describe(takeName(isTone ? 'tone' : 'look'), values, varying, () => true)
  return { looks: [look], choices: [choice] }
}

/**
 * By what the looks of the instances of a component differ: by the variant properties of the design's component, else by
 * their colours, which `colorIn` finds in a class. Undefined when there are too many looks for one component.
 */
export const describeLooks = (
  varying: readonly Varying[],
  variants: Variants,
  colorIn: (token: string) => string | undefined,
  takeName: (wanted: string) => string,
): Described | undefined =>
  varying.length === 0
    ? { looks: [], choices: [] }
    : (byProperties(varying, variants, takeName) ??
      byColors(varying, variants.length, colorIn, takeName))
