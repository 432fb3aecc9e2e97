import type { ComponentSet, Design, Screen } from './design.js'
import type { Interaction } from './interaction.js'
import type { Bind } from './component.js'
import {
  isContainer,
  type ComponentLayer,
  type FrameLayer,
  type InstanceLayer,
  type Layer,
  type TextLayer,
} from './layer.js'
import { mapChildren, mapLayers } from './walk.js'

type Props = Record<string, string | boolean>

/** The drawing of a set that fits an instance best: the one that agrees with most of its variant values. */
export const findVariant = (
  set: ComponentSet,
  values: Readonly<Record<string, string>>,
): ComponentLayer => {
  const wanted: Record<string, string> = {}
  for (const property of set.properties) {
    if (property.kind === 'variant') wanted[property.name] = property.default
  }
  Object.assign(wanted, values)
  let best = set.variants[0]!
  let bestScore = -1
  for (const variant of set.variants) {
    const score = Object.entries(wanted).filter(([k, v]) => variant.variant[k] === v).length
    if (score > bestScore) [best, bestScore] = [variant, score]
  }
  return best
}

/** What an instance of a set has where it says nothing, but for its variant. */
export const defaultsOf = (set: ComponentSet): Props => {
  const props: Props = {}
  for (const p of set.properties) if (p.kind !== 'variant') props[p.name] = p.default
  return props
}

const setText = (layer: TextLayer, text: string): TextLayer => {
  const { lines: _drawnForOtherText, ...rest } = layer
  return { ...rest, runs: [{ text, style: layer.runs[0]!.style }] }
}

const applyBind = (layer: Layer, bind: Bind, props: Props): Layer => {
  let next = layer
  const visible = bind.visible === undefined ? undefined : props[bind.visible]
  if (typeof visible === 'boolean') next = { ...next, visible }
  const text = bind.text === undefined ? undefined : props[bind.text]
  if (typeof text === 'string' && next.type === 'text') next = setText(next, text)
  const swap = bind.swap === undefined ? undefined : props[bind.swap]
  if (typeof swap === 'string' && next.type === 'instance') next = { ...next, component: swap }
  return next
}

export type InstanceResolver = {
  /** What an instance shows. */
  resolve(instance: InstanceLayer): FrameLayer
  /** The screens of the design with everything their instances show. */
  screens(): readonly Screen[]
}

/**
 * What layers are with their instances resolved, by the components that were there: designs differ by an edit, and share what
 * that does not touch. So do they when they are resolved.
 */
const resolvedWith = new WeakMap<Design['components'], WeakMap<Layer, Layer>>()

const memoryOf = ({ components }: Design): WeakMap<Layer, Layer> => {
  const known = resolvedWith.get(components) ?? new WeakMap<Layer, Layer>()
  resolvedWith.set(components, known)
  return known
}

/** Resolves the instances of a checked design; `onInstance` hears of each, with the key it has in its screen. */
export const createInstanceResolver = (
  design: Design,
  onInstance?: (instance: InstanceLayer) => void,
): InstanceResolver => {
  const sets = new Map(design.components.map((set) => [set.key, set]))
  // Who wants to hear of each instance hears of those, too, that were resolved before.
  const known = onInstance ? new WeakMap<Layer, Layer>() : memoryOf(design)

  const resolve = (instance: InstanceLayer): FrameLayer => {
    onInstance?.(instance)
    const set = sets.get(instance.component)
    if (!set) throw new Error(`unknown component ${instance.component} in ${instance.key}`)
    const drawn = findVariant(set, instance.variant)
    const props = { ...defaultsOf(set), ...instance.props }
    const { component: _c, variant: _v, props: _p, type: _t, boxes = {}, ...own } = instance
    const { layout, fills, strokes, radius, clip } = drawn
    const inside = (layer: Layer): Layer => {
      const bound = layer.bind ? applyBind(layer, layer.bind, props) : layer
      const box = boxes[layer.key] ?? bound.box
      const keyed = { ...bound, box, key: `${instance.key}/${layer.key}` } as Layer
      return keyed.type === 'instance' ? resolve(keyed) : keyed
    }
    return {
      ...own,
      type: 'frame',
      effects: own.effects.length > 0 ? own.effects : drawn.effects,
      ...(drawn.tokens || own.tokens ? { tokens: { ...drawn.tokens, ...own.tokens } } : {}),
      ...(layout ? { layout } : {}),
      fills,
      strokes,
      radius,
      clip,
      children: drawn.children.flatMap((child) => mapLayers(child, inside) ?? []),
    }
  }

  const resolveIn = (layer: Layer): Layer => {
    if (layer.type !== 'instance' && !isContainer(layer)) return layer
    const before = known.get(layer)
    if (before) return before
    const resolved = layer.type === 'instance' ? resolve(layer) : mapChildren(layer, resolveIn)
    known.set(layer, resolved)
    return resolved
  }

  const { interactions } = design
  const isSaid = interactions !== undefined && Object.keys(interactions).length > 0
  return {
    resolve,
    screens: () =>
      design.screens.map((screen) => {
        const resolved = resolveIn(screen) as Screen
        return isSaid
          ? (mapLayers(resolved, (layer) =>
              withInteraction(layer, interactions[layer.key]),
            ) as Screen)
          : resolved
      }),
  }
}

/** A layer with what a person has said it does in the place of what the design says. */
const withInteraction = (layer: Layer, said: Interaction | undefined): Layer => {
  if (!said) return layer
  const { link, hover, entrance, ...rest } = layer
  const own = {
    link: said.press === undefined ? link : (said.press ?? undefined),
    hover: said.hover === undefined ? hover : (said.hover ?? undefined),
    entrance: said.entrance === undefined ? entrance : (said.entrance ?? undefined),
  }
  const kept = Object.fromEntries(Object.entries(own).filter(([, value]) => value !== undefined))
  return { ...rest, ...kept } as Layer
}

/**
 * Replaces every instance by a frame that holds what its component draws, with the instance's own
 * texts and switches applied. Keys inside become `<instance key>/<component layer key>`, so they stay
 * stable and unique. Takes a checked design (no unknown component, no cycle).
 */
export const resolveInstances = (design: Design): readonly Screen[] =>
  createInstanceResolver(design).screens()
