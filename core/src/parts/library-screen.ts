import type { ComponentSet, Design, Screen } from '../design/design.js'
import { freeKey } from '../design/free-key.js'
import { frameSchema, type ComponentLayer } from '../design/layer.js'
import { drawingsOf, walkLayers } from '../design/walk.js'
import { findStateProperty } from '../design/states.js'

/** Whether the page of all components is converted with the screens, or alone. */
export const LIBRARIES = ['page', 'only'] as const
export type Library = (typeof LIBRARIES)[number]

export const isLibrary = (value: unknown): value is Library =>
  LIBRARIES.some((library) => library === value)

type Json = Record<string, unknown>

const WIDTH = 1280
const PADDING = 48
const GAP = 24
/** Wider components stand one under the other. */
const WIDEST_BESIDE_PX = 400
const INK = '#1f2933'
const SOFT = '#52606d'

/** The family most of the design's texts are in. */
const findFamily = (design: Design): string => {
  const counts = new Map<string, number>()
  for (const screen of design.screens) {
    walkLayers(screen, (layer) => {
      if (layer.type !== 'text') return
      counts.set(layer.style.family, (counts.get(layer.style.family) ?? 0) + 1)
    })
  }
  return [...counts].sort((a, b) => b[1] - a[1])[0]?.[0] ?? 'sans-serif'
}

/** The variants of a set that differ in more than a state: states belong to what they are states of. */
const listVariants = (set: ComponentSet): readonly ComponentLayer[] => {
  const state = findStateProperty(set)
  return state
    ? set.variants.filter(({ variant }) => !state.states.has(variant[state.name] ?? ''))
    : set.variants
}

const labelOf = (set: ComponentSet, { variant }: ComponentLayer): string => {
  const state = findStateProperty(set)?.name
  return set.properties
    .flatMap(({ kind, name }) =>
      kind === 'variant' && name !== state && variant[name] !== undefined
        ? [`${name}: ${variant[name]}`]
        : [],
    )
    .join(', ')
}

/** The design with the page of its components, and the key of that; undefined for designs without components. */
export const withLibraryScreen = (
  design: Design,
): { readonly design: Design; readonly key: string } | undefined => {
  const screen = libraryScreen(design)
  if (!screen) return undefined
  // The names of the sets are headings of one level, whatever they look like beside what they name.
  const titles = design.components.map((_, i) => `${screen.key}-${i}-title`)
  const roles = Object.fromEntries(
    titles.map((key) => [key, { role: 'heading', level: 2 }] as const),
  )
  return {
    key: screen.key,
    design: {
      ...design,
      screens: [...design.screens, screen],
      roles: { ...design.roles, ...roles },
    },
  }
}

/**
 * A screen that shows every variant of every component set, by its name, from the sets alone; undefined for designs
 * without components. It stands below the screens of the design and has keys that no layer has.
 */
export const libraryScreen = (design: Design): Screen | undefined => {
  if (design.components.length === 0) return undefined
  const family = findFamily(design)
  const taken = new Set<string>()
  for (const root of drawingsOf(design)) walkLayers(root, ({ key }) => taken.add(key))
  const base = freeKey('component-library', taken)
  const words = (key: string, text: string, size: number, weight: number, color: string): Json => ({
    type: 'text',
    key,
    name: text,
    box: { x: 0, y: 0, width: Math.ceil(text.length * size * 0.6), height: Math.round(size * 1.5) },
    style: { family, size, lineHeight: Math.round(size * 1.5), weight, color },
    runs: [{ text }],
    sizing: { width: 'fit', height: 'fit' },
  })
  const column = (gap: number): Json => ({ kind: 'column', gap, padding: 0, align: 'start' })
  const frame = (key: string, name: string, layout: Json, children: Json[], more: Json = {}) => ({
    type: 'frame',
    key,
    name,
    box: { x: 0, y: 0, width: WIDTH - 2 * PADDING, height: 100 },
    layout,
    sizing: { width: 'stretch', height: 'fit' },
    children,
    ...more,
  })
  const sets = design.components.map((set, i): Json => {
    const variants = listVariants(set)
    const own = `${base}-${i}`
    const isWide = variants.some(({ box }) => box.width > WIDEST_BESIDE_PX)
    const shown = variants.map((variant, j): Json => {
      const { box, sizing, layout } = variant
      const instance: Json = {
        type: 'instance',
        key: `${own}-${j}`,
        name: set.name,
        component: set.key,
        variant: variant.variant,
        box: { x: 0, y: 0, width: box.width, height: box.height },
        sizing: {
          width: layout && sizing.width === 'fit' ? 'fit' : 'fixed',
          height: layout ? 'fit' : 'fixed',
        },
      }
      const label = labelOf(set, variant)
      if (label === '') return instance
      return frame(
        `${own}-${j}-cell`,
        label,
        column(8),
        [words(`${own}-${j}-label`, label, 14, 400, SOFT), instance],
        {
          sizing: { width: 'fit', height: 'fit' },
          box: { x: 0, y: 0, width: box.width, height: box.height + 29 },
        },
      )
    })
    const arrangement = isWide
      ? column(GAP)
      : { kind: 'row', gap: GAP, lineGap: GAP, padding: 0, align: 'start', wrap: true }
    return frame(own, `${set.name} variants`, column(16), [
      words(`${own}-title`, set.name, 24, 600, INK),
      frame(`${own}-all`, `All of ${set.name}`, arrangement, shown),
    ])
  })
  const below = Math.max(0, ...design.screens.map(({ box }) => box.y + box.height)) + 200
  return frameSchema.parse({
    ...frame(base, 'Components', { ...column(48), padding: PADDING }, [
      words(`${base}-title`, 'Components', 40, 700, INK),
      ...sets,
    ]),
    box: { x: 0, y: below, width: WIDTH, height: 200 + design.components.length * 300 },
    fills: [{ kind: 'solid', color: '#ffffff' }],
    sizing: { width: 'fixed', height: 'fixed' },
  })
}
