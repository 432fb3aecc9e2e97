import { notes } from '../notes/catalogue.js'
import type { Note } from '../notes/note.js'
import type { Design } from './design.js'
import { childrenOf, type InstanceLayer, type Layer } from './layer.js'
import { screenOf } from './interaction.js'
import { findNearestName } from './nearest-name.js'
import { assetsOf } from './references.js'
import { drawingsOf } from './walk.js'

/** For so many faults a name that is meant is looked for: it is compared with all there are. */
const MOST_OFFERED = 20

/** Follows `next` from each name and reports the first circle it finds; however long the way, without recursion. */
const findCycle = (
  names: Iterable<string>,
  next: (name: string) => Iterable<string>,
): readonly string[] | undefined => {
  const done = new Set<string>()
  for (const start of names) {
    const trail: string[] = []
    const open = new Map<string, Iterator<string>>()
    const enter = (name: string): void => {
      trail.push(name)
      open.set(name, next(name)[Symbol.iterator]())
    }
    if (!done.has(start)) enter(start)
    for (let name = trail.at(-1); name !== undefined; name = trail.at(-1)) {
      const { done: isLast, value: to } = open.get(name)!.next()
      if (isLast) {
        done.add(name)
        open.delete(name)
        trail.pop()
      } else if (open.has(to)) return [...trail.slice(trail.indexOf(to)), to]
      else if (!done.has(to)) enter(to)
    }
  }
  return undefined
}

const instancesIn = (layers: readonly Layer[]): InstanceLayer[] =>
  layers.flatMap((layer) => (layer.type === 'instance' ? [layer] : instancesIn(childrenOf(layer))))

/** `set.property` → the sets that property can put in: its default, and what any instance gives it. */
const findSwaps = (design: Design): Map<string, Set<string>> => {
  const swaps = new Map<string, Set<string>>()
  for (const { key, properties } of design.components) {
    for (const p of properties)
      if (p.kind === 'swap') swaps.set(`${key}.${p.name}`, new Set([p.default]))
  }
  for (const { component, props } of instancesIn(drawingsOf(design))) {
    for (const [name, value] of Object.entries(props)) {
      if (typeof value === 'string') swaps.get(`${component}.${name}`)?.add(value)
    }
  }
  return swaps
}

const aliasesOf = (values: Readonly<Record<string, unknown>>): string[] =>
  Object.values(values).flatMap((value) =>
    typeof value === 'string' && value.startsWith('{') ? [value.slice(1, -1)] : [],
  )

/** Checks what a schema cannot: keys are unique, names lead somewhere, nothing contains itself. */
export const checkReferences = (design: Design, file: string): Note[] => {
  const found: Note[] = []
  const screens = new Set(design.screens.map((s) => s.key))
  const sets = new Map(design.components.map((s) => [s.key, s]))
  const tokens = new Map(design.tokens.map((t) => [t.name, t]))
  const assets = new Set(Object.keys(design.assets))
  const keys = new Set<string>()

  const need =
    (known: { has(n: string): boolean; keys(): Iterable<string> }, kind: string) =>
    (name: string, path: string): void => {
      if (known.has(name)) return
      const nearest = found.length < MOST_OFFERED ? findNearestName(name, known.keys()) : undefined
      found.push(notes.unknownReference(file, path, kind, name, nearest))
    }
  const needAsset = need(assets, 'picture')
  const needToken = need(tokens, 'token')
  const needSet = need(sets, 'component')
  const needScreen = need(screens, 'screen')

  const checkLayer = (layer: Layer, path: string): void => {
    if (keys.has(layer.key)) found.push(notes.duplicateKey(file, layer.key, path))
    keys.add(layer.key)
    for (const [field, asset] of assetsOf(layer)) needAsset(asset, `${path}.${field}`)
    for (const [field, name] of Object.entries(layer.tokens ?? {})) {
      needToken(name, `${path}.tokens["${field}"]`)
    }
    if (layer.type === 'instance') needSet(layer.component, `${path}.component`)
    const screen = screenOf(layer.link)
    if (screen !== undefined) needScreen(screen, `${path}.link.screen`)
    childrenOf(layer).forEach((child, i) => checkLayer(child, `${path}.children[${i}]`))
  }
  design.screens.forEach((screen, i) => checkLayer(screen, `screens[${i}]`))
  design.components.forEach((set, i) =>
    set.variants.forEach((v, j) => checkLayer(v, `components[${i}].variants[${j}]`)),
  )
  design.artboards.forEach((group, i) =>
    group.screens.forEach((key, j) => needScreen(key, `artboards[${i}].screens[${j}]`)),
  )
  design.tokens.forEach((token, i) =>
    aliasesOf(token.values).forEach((name) => needToken(name, `tokens[${i}].values`)),
  )
  const swaps = findSwaps(design)
  for (const [property, names] of swaps) {
    for (const name of names) needSet(name, `components["${property}"]`)
  }
  if (found.length > 0) return found

  const componentCycle = findCycle(sets.keys(), (key) =>
    instancesIn(sets.get(key)!.variants).flatMap(({ component, bind }) => [
      component,
      ...(bind?.swap === undefined ? [] : (swaps.get(`${key}.${bind.swap}`) ?? [])),
    ]),
  )
  if (componentCycle) found.push(notes.cycle(file, 'components', 'component', componentCycle))
  const aliasCycle = findCycle(tokens.keys(), (name) => aliasesOf(tokens.get(name)!.values))
  if (aliasCycle) found.push(notes.cycle(file, 'tokens', 'alias', aliasCycle))
  return found
}
