import { parse, wcagContrast } from 'culori'
import { splitColor } from '../design/color.js'
import type { Design } from '../design/design.js'
import { containsBox } from '../design/geometry.js'
import type { TextLayer } from '../design/layer.js'
import { resolveInstances } from '../design/resolve-instances.js'
import { resolveTokenValue } from '../tokens/resolve.js'
import { listEntries, type Entry } from './context.js'

/** WCAG 2.2, 1.4.3: large text needs less. */
const CONTRAST = 4.5
const LARGE_CONTRAST = 3
const LARGE_PX = 24
const LARGE_BOLD_PX = 18.66

/** Colours of one layer are as they are drawn: with the token they come from, where there is one. */
export type NamedColor = { readonly color: string; readonly token: string | undefined }

/** A text with what is behind it. */
export type TextOnGround = {
  readonly entry: Entry & { readonly layer: TextLayer }
  readonly ink: NamedColor
  readonly ground: NamedColor
  /** From 1 to 21, as WCAG measures it. */
  readonly contrast: number
  readonly needed: number
}

type Ground = { readonly entry: Entry; readonly color: string | undefined }

/** Everything that can lie behind a text; the colour is undefined where it is a picture or a gradient. */
const listGrounds = (entries: readonly Entry[]): Ground[] =>
  entries.flatMap((entry): Ground[] => {
    const { layer, isSeen } = entry
    if (!isSeen) return []
    if (layer.type === 'image') return [{ entry, color: undefined }]
    const fill = 'fills' in layer ? layer.fills.at(-1) : undefined
    if (!fill) return []
    if (fill.kind !== 'solid') return [{ entry, color: undefined }]
    const { color, opacity } = splitColor(fill.color)
    const isWhole = opacity * fill.opacity * layer.opacity > 0.98
    return [{ entry, color: isWhole ? color : undefined }]
  })

const groundToken = ({ layer }: Entry): string | undefined => {
  const last = 'fills' in layer ? layer.fills.length - 1 : -1
  return layer.tokens?.[`fills.${last}.color`]
}

/**
 * The texts of a screen with the colour behind each, in paint order. Takes the entries of the screen. Over a picture or
 * a gradient nothing can be said from here: such texts are left out.
 */
export const listTextsOnGround = (entries: readonly Entry[]): readonly TextOnGround[] => {
  const byTop = listGrounds(entries).sort((a, b) => a.entry.box.y - b.entry.box.y)
  return entries.flatMap((entry): TextOnGround[] => {
    const { layer, box, order, isSeen } = entry
    if (layer.type !== 'text' || !isSeen) return []
    let behind: Ground | undefined
    for (const ground of byTop) {
      if (ground.entry.box.y > box.y + 2) break
      const isUnder = ground.entry.order < order && containsBox(ground.entry.box, box, 2)
      if (isUnder && (!behind || ground.entry.order > behind.entry.order)) behind = ground
    }
    const { color, opacity } = splitColor(layer.style.color)
    const [ink, paper] = [parse(color), behind?.color ? parse(behind.color) : undefined]
    if (!ink || !paper || !behind?.color || opacity < 0.98) return []
    const { size, weight } = layer.style
    const isLarge = size >= LARGE_PX || (weight >= 700 && size >= LARGE_BOLD_PX)
    return [
      {
        entry: { ...entry, layer },
        ink: { color, token: layer.tokens?.['style.color'] },
        ground: { color: behind.color, token: groundToken(behind.entry) },
        contrast: wcagContrast(ink, paper),
        needed: isLarge ? LARGE_CONTRAST : CONTRAST,
      },
    ]
  })
}

/** Two colours that stand on one another somewhere in a design. */
export type ContrastPair = Pick<TextOnGround, 'ink' | 'ground' | 'contrast'> & {
  /** The most that any text in these colours needs. */
  readonly needed: number
  /** Keys of the texts. */
  readonly layers: readonly string[]
  /** In the other modes in which one of its tokens has another value. */
  readonly inModes: readonly { readonly mode: string; readonly contrast: number }[]
}

/** What a pair of colours is like in the modes it was not drawn in. */
const contrastInModes = (
  { modes, tokens }: Design,
  { ink, ground, contrast }: Pick<TextOnGround, 'ink' | 'ground' | 'contrast'>,
): ContrastPair['inModes'] => {
  const byName = new Map(tokens.map((token) => [token.name, token]))
  const colorIn = ({ color, token }: NamedColor, mode: string): string => {
    const known = token === undefined ? undefined : byName.get(token)
    const value = known && resolveTokenValue(byName, known, mode)
    return typeof value === 'string' ? value : color
  }
  return modes.slice(1).flatMap((mode) => {
    const [one, other] = [parse(colorIn(ink, mode)), parse(colorIn(ground, mode))]
    if (!one || !other) return []
    const own = wcagContrast(one, other)
    return Math.abs(own - contrast) < 0.005 ? [] : [{ mode, contrast: own }]
  })
}

/** Every pair of text and ground colours in a design, those with the least to spare first. */
export const listContrastPairs = (design: Design): readonly ContrastPair[] => {
  const pairs = new Map<string, ContrastPair>()
  for (const screen of resolveInstances(design)) {
    for (const { entry, ink, ground, contrast, needed } of listTextsOnGround(listEntries(screen))) {
      const key = `${ink.token ?? ink.color} on ${ground.token ?? ground.color}`
      const known = pairs.get(key)
      pairs.set(key, {
        ink,
        ground,
        contrast,
        needed: Math.max(needed, known?.needed ?? 0),
        layers: [...(known?.layers ?? []), entry.layer.key],
        inModes: known?.inModes ?? contrastInModes(design, { ink, ground, contrast }),
      })
    }
  }
  const spare = ({ contrast, inModes, needed }: ContrastPair): number =>
    Math.min(contrast, ...inModes.map((one) => one.contrast)) / needed
  return [...pairs.values()].sort((a, b) => spare(a) - spare(b))
}
