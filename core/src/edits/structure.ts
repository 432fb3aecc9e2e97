import type { Asset, Design, Screen } from '../design/design.js'
import { roundBox, uniteBoxes, type Box } from '../design/geometry.js'
import {
  isContainer,
  type ContainerLayer,
  type FrameLayer,
  type GroupLayer,
  type Layer,
} from '../design/layer.js'
import { PLAIN_LAYER } from '../design/plain-layer.js'
import { mapLayers, measureBoxes, walkLayers } from '../design/walk.js'
import type { EditOf } from './edit.js'

type Found = {
  readonly layer: Layer
  /** The container it stands in; a screen stands in none. */
  readonly parent: ContainerLayer | undefined
  /** Its place in paint order. */
  readonly order: number
}

/** Where the layers with these keys are in a screen; undefined unless it holds them all. */
const findIn = (
  screen: Screen,
  keys: readonly string[],
): ReadonlyMap<string, Found> | undefined => {
  const wanted = new Set(keys)
  const found = new Map<string, Found>()
  let order = 0
  walkLayers(screen, (layer, parent) => {
    if (wanted.has(layer.key)) {
      found.set(layer.key, { layer, parent: parent as ContainerLayer | undefined, order })
    }
    order++
  })
  return found.size === wanted.size ? found : undefined
}

/** Changes the one screen that holds all of some layers; the design itself when there is none or it stays. */
const changeScreenWith = (
  design: Design,
  keys: readonly string[],
  change: (screen: Screen, found: ReadonlyMap<string, Found>) => Screen | undefined,
): Design => {
  for (const screen of design.screens) {
    const found = findIn(screen, keys)
    if (!found) continue
    const next = change(screen, found)
    if (!next || next === screen) return design
    return { ...design, screens: design.screens.map((s) => (s === screen ? next : s)) }
  }
  return design
}

const isTaken = (design: Design, key: string): boolean => {
  let taken = false
  for (const screen of design.screens) walkLayers(screen, (l) => (taken ||= l.key === key))
  return taken
}

const without = (screen: Screen, keys: ReadonlySet<string>): Screen =>
  mapLayers(screen, (layer) => (keys.has(layer.key) ? undefined : layer)) as Screen

const at = (box: Box, origin: Box): Box =>
  roundBox({ ...box, x: box.x - origin.x, y: box.y - origin.y })

/** The innermost container that holds all of some layers, none of which holds another. */
const commonParent = (
  screen: Screen,
  found: ReadonlyMap<string, Found>,
): ContainerLayer | undefined => {
  const chains: ContainerLayer[][] = []
  const step = (layer: Layer, above: ContainerLayer[]): void => {
    if (found.has(layer.key)) chains.push(above)
    if (isContainer(layer)) layer.children.forEach((child) => step(child, [...above, layer]))
  }
  step(screen, [])
  const [first, ...others] = chains
  const isInside = chains.some((chain) => chain.some((layer) => found.has(layer.key)))
  if (!first || isInside) return undefined
  return first.findLast((layer) => others.every((chain) => chain.includes(layer)))
}

const overlap = (a: Box, b: Box): boolean =>
  Math.min(a.x + a.width, b.x + b.width) - Math.max(a.x, b.x) > 4 &&
  Math.min(a.y + a.height, b.y + b.height) - Math.max(a.y, b.y) > 4

/** Puts a new container in the place of the first of some layers, with them inside, if `build` makes one. */
const wrap = (
  screen: Screen,
  found: ReadonlyMap<string, Found>,
  build: (
    children: readonly Layer[],
    boxes: readonly Box[],
    inParent: (box: Box) => Box,
  ) => Layer | undefined,
): Screen | undefined => {
  const parent = commonParent(screen, found)
  if (!parent) return undefined
  const places = measureBoxes(screen)
  const inOrder = [...found.values()].sort((a, b) => a.order - b.order)
  const boxes = inOrder.map(({ layer }) => places.get(layer.key)!)
  const origin = places.get(parent.key)!
  const made = build(
    inOrder.map(({ layer }) => layer),
    boxes,
    (box) => at(box, origin),
  )
  if (!made) return undefined
  // The child of the parent that holds the first layer tells where the new container stands.
  const before = parent.children.findIndex((child) => {
    let holds = false
    walkLayers(child, (layer) => (holds ||= layer === inOrder[0]!.layer))
    return holds
  })
  const marked = mapLayers(screen, (layer) => {
    if (layer.key !== parent.key || !isContainer(layer)) return layer
    return { ...layer, children: layer.children.toSpliced(before, 0, made) }
  }) as Screen
  // What was moved is still in its old place too: removed there, not in the new container.
  const keys = new Set(found.keys())
  const clean = (layer: Layer): Layer =>
    layer === made || !isContainer(layer)
      ? layer
      : {
          ...layer,
          children: layer.children
            .filter((child) => child === made || !keys.has(child.key))
            .map(clean),
        }
  return clean(marked) as Screen
}

/** Whether layers grouped in a line would be pulled apart, because they lie over each other. */
export const overlapAny = (boxes: readonly Box[]): boolean =>
  boxes.some((a, i) => boxes.slice(i + 1).some((b) => overlap(a, b)))

/** Groups layers; in a line what lies over each other takes force. */
export const group = (design: Design, edit: EditOf<'group'>): Design => {
  if (isTaken(design, edit.key)) return design
  const takesForce = edit.as !== 'overlay' && !edit.force
  return changeScreenWith(design, edit.layers, (screen, found) =>
    wrap(screen, found, (children, boxes, inParent) => {
      if (takesForce && overlapAny(boxes)) return undefined
      const box = uniteBoxes(boxes)
      const frame: FrameLayer = {
        ...PLAIN_LAYER,
        type: 'frame',
        key: edit.key,
        name: edit.name ?? '',
        box: inParent(box),
        arrange: edit.as,
        fills: [],
        strokes: [],
        radius: 0,
        clip: false,
        children: children.map((child, i) => ({ ...child, box: at(boxes[i]!, box) })),
      }
      return frame
    }),
  )
}

export const makeGraphic = (design: Design, edit: EditOf<'make-graphic'>): Design => {
  if (isTaken(design, edit.key)) return design
  const { picture } = edit
  const asset = `${edit.key}-picture`
  const next = changeScreenWith(design, edit.layers, (screen, found) =>
    wrap(screen, found, (children, boxes, inParent) => {
      const box = uniteBoxes(boxes)
      const common = { ...PLAIN_LAYER, key: edit.key, name: edit.name ?? '', box: inParent(box) }
      if (picture) {
        return { ...common, type: 'image', asset, fit: 'fill', strokes: [], radius: 0 }
      }
      const drawing: GroupLayer = {
        ...common,
        type: 'group',
        isGraphic: true,
        children: children.map((child, i) => ({ ...child, box: at(boxes[i]!, box) })),
      }
      return drawing
    }),
  )
  if (next === design || !picture) return next
  const added: Asset = { name: edit.name ?? 'picture', ...picture }
  return { ...next, assets: { ...next.assets, [asset]: added } }
}

/** Takes a container apart: its content stands in its parent, its paint stays behind as a rectangle. */
export const split = (design: Design, { layer: key }: EditOf<'split'>): Design =>
  changeScreenWith(design, [key], (screen, found) => {
    const { layer, parent } = found.get(key)!
    if (!parent || !isContainer(layer)) return undefined
    const moved = layer.children.map((child) => ({
      ...child,
      box: roundBox({ ...child.box, x: child.box.x + layer.box.x, y: child.box.y + layer.box.y }),
    }))
    const isPainted = layer.type !== 'group' && (layer.fills.length > 0 || layer.strokes.length > 0)
    const paint: Layer[] = isPainted
      ? [
          {
            ...PLAIN_LAYER,
            type: 'rectangle',
            key: layer.key,
            name: layer.name,
            box: layer.box,
            effects: layer.effects,
            fills: layer.fills,
            strokes: layer.strokes,
            radius: layer.radius,
          },
        ]
      : []
    const children = parent.children.flatMap((child) =>
      child === layer ? [...paint, ...moved] : [child],
    )
    return mapLayers(screen, (l) =>
      l.key === parent.key && isContainer(l) ? { ...l, children } : l,
    ) as Screen
  })

/** A shape becomes the container of what lies on it. */
export const enclose = (design: Design, edit: EditOf<'enclose'>): Design =>
  changeScreenWith(design, [edit.layer, ...edit.layers], (screen, found) => {
    const { layer } = found.get(edit.layer)!
    if (layer.type !== 'rectangle') return undefined
    const next = wrap(screen, found, (children, boxes, inParent) => {
      const origin = measureBoxes(screen).get(layer.key)!
      const { type: _type, ...rest } = layer
      const frame: FrameLayer = {
        ...rest,
        type: 'frame',
        box: inParent(origin),
        clip: false,
        children: children.flatMap((child, i) =>
          child === layer ? [] : [{ ...child, box: at(boxes[i]!, origin) }],
        ),
      }
      return frame
    })
    return next
  })

/** Puts a layer into another container, where it stays in its place on the screen. */
export const move = (design: Design, edit: EditOf<'move'>): Design =>
  changeScreenWith(design, [edit.layer, edit.into], (screen, found) => {
    const { layer, parent } = found.get(edit.layer)!
    const target = found.get(edit.into)!.layer
    if (!parent || !isContainer(target)) return undefined
    let isInside = false
    walkLayers(layer, (l) => (isInside ||= l.key === target.key))
    if (isInside) return undefined
    const places = measureBoxes(screen)
    const box = at(places.get(layer.key)!, places.get(target.key)!)
    return mapLayers(without(screen, new Set([layer.key])), (l) => {
      if (l.key !== target.key || !isContainer(l)) return l
      const index = Math.min(edit.index ?? l.children.length, l.children.length)
      return { ...l, children: l.children.toSpliced(index, 0, { ...layer, box }) }
    }) as Screen
  })

/** Cuts a picture to a box in its container's coordinates; what is left looks as before. */
export const crop = (design: Design, edit: EditOf<'crop'>): Design => {
  if (isTaken(design, edit.key)) return design
  return changeScreenWith(design, [edit.layer], (screen, found) => {
    const { layer } = found.get(edit.layer)!
    if (layer.type !== 'image') return undefined
    const { radius, strokes } = layer
    const frame: FrameLayer = {
      ...PLAIN_LAYER,
      type: 'frame',
      key: edit.key,
      name: layer.name,
      box: edit.box,
      fills: [],
      strokes,
      radius,
      clip: true,
      children: [{ ...layer, strokes: [], radius: 0, box: at(layer.box, edit.box) }],
    }
    return mapLayers(screen, (l) => (l.key === layer.key ? frame : l)) as Screen
  })
}
