import type { Design } from '../design/design.js'
import { resolveInstances } from '../design/resolve-instances.js'
import { inferLayout, type LayoutNode } from '../layout/index.js'
import { groupScreens } from '../meaning/find-artboards.js'
import type { TextMeasure } from '../text/measure.js'
import { composeScreen, screenOptions, type Match, type Step } from './index.js'
import type { WidthReading } from './reading.js'
import { sweepPage, type Break } from './sweep.js'

/** A drawn width of a screen. */
export type Artboard = { readonly key: string; readonly name: string; readonly widthPx: number }

/** What is known of one screen at all widths. */
export type WidthReport = {
  /** From wide to narrow. */
  readonly artboards: readonly Artboard[]
  /** Widths from which on the screen looks another way, in px; the first is 0. */
  readonly steps: readonly number[]
  readonly readings: readonly WidthReading[]
  readonly breaks: readonly Break[]
  /** By the key of the narrower artboard, the least certain first. */
  readonly matches: Readonly<Record<string, readonly Match[]>>
}

/** What a tree says about its layout, to be compared. */
const sketchOf = (root: LayoutNode): string =>
  JSON.stringify(root, (key, value: unknown) =>
    key === 'box' || key === 'lines' || key === 'absorbed' ? undefined : value,
  )

const changesOf = (steps: readonly Step[]): number[] => {
  let before = ''
  return steps.flatMap(({ fromPx, root }) => {
    const sketch = sketchOf(root)
    const isSame = sketch === before
    before = sketch
    return isSame ? [] : [fromPx]
  })
}

/** Takes a design with its edits and the key of a screen; tells how that screen is at every width. */
export const examineWidths = (
  design: Design,
  screen: string,
  measure: TextMeasure,
): WidthReport | undefined => {
  const roots = resolveInstances(design).filter((root) => root.visible)
  const group = groupScreens(design, roots).find((g) => g.some((root) => root.key === screen))
  if (!group) return undefined
  const trees = group.map((root) => inferLayout(root, { measure, assets: design.assets }))
  const composed = composeScreen(trees, screenOptions(design, measure, true))
  const byDoubt = (matches: readonly Match[]): Match[] =>
    [...matches].sort((a, b) => a.confidence - b.confidence)
  return {
    artboards: group.map(({ key, name, box }) => ({ key, name, widthPx: Math.round(box.width) })),
    steps: changesOf(composed.steps),
    readings: composed.readings,
    breaks: sweepPage(composed.steps, { measure }),
    matches: Object.fromEntries(
      Object.entries(composed.matches).map(([key, matches]) => [key, byDoubt(matches)]),
    ),
  }
}
