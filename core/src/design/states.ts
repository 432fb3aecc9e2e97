import type { ComponentSet, Design } from './design.js'
import { childrenOf, type InstanceLayer, type Layer } from './layer.js'
import { createInstanceResolver } from './resolve-instances.js'

/** States a control or link can be in, by what brings them about. `current`: it leads to the page that is shown. */
export const STATES = [
  'hover',
  'focus',
  'pressed',
  'selected',
  'current',
  'invalid',
  'disabled',
] as const
export type StateName = (typeof STATES)[number]

/** Words by which variants are named for states, in some languages; what is none of these is how it rests. */
const WORDS: Readonly<Record<Exclude<StateName, 'current'>, readonly string[]>> = {
  hover: ['hover', 'hovered', 'over', 'überfahren', 'survol', 'survolé', 'encima'],
  focus: ['focus', 'focused', 'focussed', 'fokus', 'fokussiert', 'enfocado'],
  pressed: ['pressed', 'press', 'active', 'down', 'gedrückt', 'aktiv', 'appuyé', 'pulsado'],
  selected: ['selected', 'checked', 'chosen', 'ausgewählt', 'sélectionné', 'seleccionado'],
  invalid: [
    'error',
    'invalid',
    'wrong',
    'fehler',
    'fehlerhaft',
    'erreur',
    'invalide',
    'incorrecto',
  ],
  disabled: ['disabled', 'inactive', 'deaktiviert', 'inaktiv', 'désactivé', 'deshabilitado'],
}

const stateOf = (value: string): StateName | undefined => {
  const words = new Set(value.toLowerCase().split(/[^\p{L}]+/u))
  for (const [state, names] of Object.entries(WORDS)) {
    if (names.some((name) => words.has(name))) return state as StateName
  }
  return undefined
}

/** The property of a component set whose values are states, and the state of each value that is one. */
export const findStateProperty = (
  set: ComponentSet,
): { readonly name: string; readonly states: ReadonlyMap<string, StateName> } | undefined => {
  for (const property of set.properties) {
    if (property.kind !== 'variant') continue
    const states = new Map(
      property.values.flatMap((value) => {
        const state = stateOf(value)
        return state ? [[value, state] as const] : []
      }),
    )
    // One of the values is how it rests.
    if (states.size > 0 && states.size < property.values.length)
      return { name: property.name, states }
  }
  return undefined
}

/** How the layers of an instance look in a state, by the keys they have in the instance as it rests. */
export type DrawnState = { readonly state: StateName; readonly layers: ReadonlyMap<string, Layer> }

/** Pairs the layers of two drawings of one component: by name and type, else by their order. */
const pairLayers = (rest: Layer, other: Layer, pairs: Map<string, Layer>): void => {
  pairs.set(rest.key, other)
  const left = [...childrenOf(other)]
  const take = (is: (layer: Layer) => boolean): Layer | undefined => {
    const at = left.findIndex(is)
    return at < 0 ? undefined : left.splice(at, 1)[0]
  }
  const open: Layer[] = []
  for (const child of childrenOf(rest)) {
    const named = take((one) => one.type === child.type && one.name === child.name)
    if (named) pairLayers(child, named, pairs)
    else open.push(child)
  }
  for (const child of open) {
    const next = take((one) => one.type === child.type)
    if (next) pairLayers(child, next, pairs)
  }
}

export type InstanceStates = {
  /** The state the instance is drawn in; undefined: as it rests. */
  readonly own: StateName | undefined
  /** The other states that are drawn of its component. */
  readonly drawn: readonly DrawnState[]
}

/** The states of every instance in the screens of a design, by the instance's key; those without any are left out. */
export const findDrawnStates = (design: Design): ReadonlyMap<string, InstanceStates> => {
  const properties = new Map(design.components.map((set) => [set.key, findStateProperty(set)]))
  const found = new Map<string, InstanceStates>()
  if (![...properties.values()].some(Boolean)) return found
  const sets = new Map(design.components.map((set) => [set.key, set]))
  const plain = createInstanceResolver(design)
  const look = (instance: InstanceLayer): void => {
    const property = properties.get(instance.component)
    if (!property || found.has(instance.key)) return
    const set = sets.get(instance.component)!
    const definition = set.properties.find((p) => p.kind === 'variant' && p.name === property.name)
    const value =
      instance.variant[property.name] ?? (definition?.kind === 'variant' ? definition.default : '')
    const own = property.states.get(value)
    const rest = plain.resolve(instance)
    const drawn = [...property.states].flatMap(([other, state]): DrawnState[] => {
      if (other === value || own !== undefined) return []
      const variant = { ...instance.variant, [property.name]: other }
      const layers = new Map<string, Layer>()
      pairLayers(rest, plain.resolve({ ...instance, variant }), layers)
      return [{ state, layers }]
    })
    found.set(instance.key, { own, drawn })
  }
  createInstanceResolver(design, look).screens()
  return found
}
