import type { Design, Screen } from '../design/design.js'
import type { Box } from '../design/geometry.js'
import { isContainer, type Layer } from '../design/layer.js'
import { measureBoxes } from '../design/walk.js'
import type { LayoutNode } from '../layout/index.js'
import type { TextMeasure } from '../text/measure.js'

/** A layer with where it is: what kinds of findings look at, in paint order. */
export type Entry = {
  readonly layer: Layer
  readonly parent: Entry | undefined
  /** On the screen, in px from its corner. */
  readonly box: Box
  readonly order: number
  readonly depth: number
  /** It and all containers around it are switched on and not fully transparent. */
  readonly isSeen: boolean
}

/** One screen and everything that is known about it; made once for all kinds. */
export type ScreenContext = {
  readonly design: Design
  readonly screen: Screen
  readonly entries: readonly Entry[]
  readonly byKey: ReadonlyMap<string, Entry>
  /** How the screen is laid out, with its instances resolved. */
  readonly layout: LayoutNode
  readonly measure: TextMeasure
  /** A key that no layer of the design has. */
  freeKey(wanted: string): string
}

export const listEntries = (screen: Screen): Entry[] => {
  const boxes = measureBoxes(screen)
  const entries: Entry[] = []
  const step = (layer: Layer, parent: Entry | undefined, depth: number): void => {
    const isShown = layer.visible && layer.opacity > 0
    const entry: Entry = {
      layer,
      parent,
      box: boxes.get(layer.key)!,
      order: entries.length,
      depth,
      isSeen: isShown && (parent?.isSeen ?? true),
    }
    entries.push(entry)
    if (isContainer(layer)) for (const child of layer.children) step(child, entry, depth + 1)
  }
  step(screen, undefined, 0)
  return entries
}

/** Whether a layer is placed by stated auto layout: what is said there is meant. */
export const isLaidOut = ({ parent, layer }: Entry): boolean =>
  parent !== undefined &&
  'layout' in parent.layer &&
  parent.layer.layout !== undefined &&
  layer.flow === 'in'

/** The name a message uses: the layer's own, or what kind it is. */
export const nameOf = (layer: Layer): string => {
  const name = layer.name.trim() || layer.type
  return `“${name.length > 40 ? `${name.slice(0, 39)}…` : name}”`
}

/** `1 layer`, `3 layers` */
export const count = (n: number, one: string, many = `${one}s`): string =>
  `${n} ${n === 1 ? one : many}`
