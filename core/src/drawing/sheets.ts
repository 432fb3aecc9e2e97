import type { Screen } from '../design/design.js'
import { childrenOf, isContainer, type ContainerLayer, type Layer } from '../design/layer.js'
import { walkLayers } from '../design/walk.js'
import { drawLayer, type DrawingOptions } from './index.js'

/** A container with more layers is drawn on several sheets. */
const MOST_LAYERS = 100
/** A sheet with as many layers is full. */
const ENOUGH_LAYERS = 50

/** The containers something is in, from the screen on, without content; and all that is known of them, written out. */
type Place = { readonly shells: readonly ContainerLayer[]; readonly written: string }

/** A layer, or what a container itself shows behind or in front of what is in it. */
type Piece = {
  readonly layer: Layer
  readonly part: 'whole' | 'behind' | 'front'
  readonly place: Place
}

type SheetOptions = Pick<DrawingOptions, 'assets' | 'fonts' | 'measure'>

/** Draws a screen on sheets, the lowest first. */
export type SheetDrawer = (screen: Screen, options: SheetOptions) => readonly string[]

const countLayers = (layer: Layer): number =>
  childrenOf(layer).reduce((count, child) => count + countLayers(child), 1)

const blends = (layer: Layer): boolean => {
  const paints = [
    ...('fills' in layer ? layer.fills : []),
    ...('strokes' in layer ? layer.strokes.map((stroke) => stroke.paint) : []),
  ]
  return (
    layer.blend !== 'normal' ||
    layer.effects.some((effect) => effect.kind === 'backdrop-blur') ||
    paints.some((paint) => paint.blend !== 'normal')
  )
}

/** Whether something on the screen is mixed with what lies behind it, which then must be on the same sheet. */
const blendsAnywhere = (screen: Screen): boolean => {
  let found = false
  walkLayers(screen, (layer) => void (found ||= blends(layer)))
  return found
}

/** Whether a container does nothing to its layers that cannot be done to each by itself. */
const isPlain = (layer: ContainerLayer): boolean =>
  layer.visible &&
  layer.opacity === 1 &&
  layer.effects.length === 0 &&
  !(layer.type === 'group' && layer.mask)

const emptied = <T extends ContainerLayer>(layer: T): T => ({
  ...layer,
  children: [],
  ...(layer.type === 'group' ? {} : { fills: [], strokes: [] }),
})

const NOWHERE: Place = { shells: [], written: '' }

const placeIn = (layer: ContainerLayer, { shells, written }: Place): Place => {
  const shell = emptied(layer)
  return { shells: [...shells, shell], written: written + JSON.stringify(shell) }
}

const piecesOf = (layer: Layer, place: Place): readonly Piece[] => {
  const whole: Piece = { layer, part: 'whole', place }
  if (!isContainer(layer) || !isPlain(layer)) return [whole]
  if (countLayers(layer) <= MOST_LAYERS) return [whole]
  const around = placeIn(layer, place)
  const inside = layer.children.flatMap((child) => piecesOf(child, around))
  return [{ ...whole, part: 'behind' }, ...inside, { ...whole, part: 'front' }]
}

const shows = ({ layer, part }: Piece): boolean => {
  if (part === 'whole') return layer.visible
  if (layer.type !== 'frame') return false
  return part === 'behind' ? layer.fills.length > 0 : layer.strokes.length > 0
}

/** What is on each sheet, in the order in which it is painted. */
const dealOut = (pieces: readonly Piece[]): readonly (readonly Piece[])[] => {
  const sheets: Piece[][] = []
  let room = 0
  for (const piece of pieces) {
    if (room <= 0) {
      sheets.push([])
      room = ENOUGH_LAYERS
    }
    sheets.at(-1)!.push(piece)
    room -= piece.part === 'whole' ? countLayers(piece.layer) : 1
  }
  return sheets
}

/** A piece as a layer of its screen. */
const placed = ({ layer, part, place }: Piece): Layer => {
  const around = place.shells.slice(1)
  const other = part === 'behind' ? { strokes: [] } : { fills: [] }
  const own = part === 'whole' ? layer : ({ ...layer, children: [], ...other } as Layer)
  return around.reduceRight<Layer>((inside, shell) => ({ ...shell, children: [inside] }), own)
}

type Sheet = {
  readonly pieces: readonly Piece[]
  readonly screen: Screen
  readonly options: SheetOptions
}

const drawSheet = ({ screen, pieces, options }: Sheet): string => {
  const own = new Set(pieces.flatMap(({ layer, part }) => (layer === screen ? [part] : [])))
  if (own.has('whole')) return drawLayer(screen, options)
  const shown = {
    ...screen,
    fills: own.has('behind') ? screen.fills : [],
    strokes: own.has('front') ? screen.strokes : [],
    // What reaches out of a screen is not seen anyway, unless its corners are round.
    clip: screen.clip && screen.radius !== 0,
    children: pieces.filter(({ layer }) => layer !== screen).map(placed),
  }
  return drawLayer(shown, options)
}

const isSamePiece = (a: Piece, b: Piece | undefined): boolean =>
  a.layer === b?.layer && a.part === b.part && a.place.written === b.place.written

const isSameSheet = (a: Sheet, b: Sheet): boolean =>
  a.options.assets === b.options.assets &&
  a.options.fonts === b.options.fonts &&
  a.options.measure === b.options.measure &&
  a.pieces.length === b.pieces.length &&
  a.pieces.every((piece, i) => isSamePiece(piece, b.pieces[i]))

/**
 * Makes a function that draws screens (with instances resolved), each on one or more sheets: stand-alone SVG documents that
 * all show its box, and look like the drawing of the whole when they lie over each other, the first lowest. A change of one
 * layer changes one sheet; what is the same objects as when it was drawn last is not drawn again.
 */
export const createSheetDrawer = (): SheetDrawer => {
  const drawn = new WeakMap<Layer, Sheet & { readonly svg: string }>()
  return (screen, options) => {
    const pieces = blendsAnywhere(screen)
      ? [{ layer: screen, part: 'whole', place: NOWHERE } as const]
      : piecesOf(screen, NOWHERE)
    return dealOut(pieces.filter(shows)).map((own) => {
      const sheet = { pieces: own, screen, options }
      // The last on a sheet is what fills it.
      const { layer } = own.at(-1)!
      const known = drawn.get(layer)
      if (known && isSameSheet(known, sheet)) return known.svg
      const svg = drawSheet(sheet)
      drawn.set(layer, { ...sheet, svg })
      return svg
    })
  }
}
