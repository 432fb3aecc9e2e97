import type { Design } from '../design/design.js'
import type { Layer } from '../design/layer.js'
import { resolveInstances } from '../design/resolve-instances.js'
import { inferPage } from '../layout/index.js'
import { groupScreens } from '../design/find-artboards.js'
import type { TextMeasure } from '../text/measure.js'
import { composeScreen, screenOptions, type Match, type Step } from './index.js'
import type { WidthReading } from './reading.js'

/** A drawn width of a screen. */
export type Artboard = { readonly key: string; readonly name: string; readonly widthPx: number }

/** What is known of one screen at all widths. */
export type WidthReport = {
  /** From wide to narrow. */
  readonly artboards: readonly Artboard[]
  /** Widths from which on the screen looks another way, in px; the first is 0. */
  readonly steps: readonly number[]
  readonly readings: readonly WidthReading[]
  /** By the key of the narrower artboard, the least certain first. */
  readonly matches: Readonly<Record<string, readonly Match[]>>
}

/** Where layers were drawn differs between artboards that are laid out alike. */
const DRAWN: ReadonlySet<string> = new Set(['box', 'lines', 'absorbed'])

/** Whether two values say the same about a layout. Most parts of two steps are the same objects. */
const isSameLayout = (a: unknown, b: unknown): boolean => {
  if (a === b) return true
  if (typeof a !== 'object' || typeof b !== 'object' || !a || !b) return false
  if (Array.isArray(a)) {
    return Array.isArray(b) && a.length === b.length && a.every((one, i) => isSameLayout(one, b[i]))
  }
  const [left, right] = [a as Record<string, unknown>, b as Record<string, unknown>]
  const keys = new Set([...Object.keys(left), ...Object.keys(right)])
  return [...keys].every((key) => DRAWN.has(key) || isSameLayout(left[key], right[key]))
}

const changesOf = (steps: readonly Step[]): number[] =>
  steps
    .filter(({ root }, i) => i === 0 || !isSameLayout(steps[i - 1]!.root, root))
    .map((step) => step.fromPx)

export type Examined = {
  readonly report: WidthReport
  /** The widest artboard. */
  readonly root: Layer
  /** The screen's trees, to be swept for breaks. */
  readonly trees: readonly Step[]
}

/** Takes a design with its edits and the key of a screen; tells how that screen is at every width. */
export const examineWidths = (
  design: Design,
  screen: string,
  measure: TextMeasure,
): Examined | undefined => {
  const roots = resolveInstances(design).filter((root) => root.visible)
  const group = groupScreens(design, roots).find((g) => g.some((root) => root.key === screen))
  if (!group) return undefined
  const trees = group.map((root) => inferPage(root, { measure, assets: design.assets }))
  const composed = composeScreen(trees, screenOptions(design, measure, true))
  const byDoubt = (matches: readonly Match[]): Match[] =>
    [...matches].sort((a, b) => a.confidence - b.confidence)
  const report: WidthReport = {
    artboards: group.map(({ key, name, box }) => ({ key, name, widthPx: Math.round(box.width) })),
    steps: changesOf(composed.steps),
    readings: composed.readings,
    matches: Object.fromEntries(
      Object.entries(composed.matches).map(([key, matches]) => [key, byDoubt(matches)]),
    ),
  }
  return { report, root: group[0]!, trees: composed.steps }
}
