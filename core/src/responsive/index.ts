import type { Design } from '../design/design.js'
import type { LayoutNode } from '../layout/index.js'
import type { TextMeasure } from '../text/measure.js'
import { adaptTree } from './adapt.js'
import { createComfort } from './comfort.js'
import { matchArtboards, type Match, type MatchRulings } from './match/index.js'
import { adoptMenu } from './menu.js'
import { prepareTree, type SaidWidths } from './prepare.js'
import { regroupLike } from './regroup.js'
import { createSolver, type Solver } from './solver.js'
import { spreadTree, USUAL_BREAKPOINTS, type Spread } from './spread.js'

export { sweepPage, type Break } from './sweep.js'
export { WAYS, WIDTH_READINGS, type Way, type WidthReading } from './reading.js'
export { USUAL_BREAKPOINTS, type Step } from './spread.js'
export { matchArtboards, type Match } from './match/index.js'

/** One screen at all widths. */
export type Screen = Spread & {
  /** For each artboard but the widest, by the key of its screen. */
  readonly matches: Readonly<Record<string, readonly Match[]>>
}

export type ScreenOptions = {
  readonly measure: TextMeasure
  readonly assets: Design['assets']
  /** They fill the window; else it is one layer, converted by itself. */
  readonly isScreen: boolean
  /** Widths a person has chosen for changes, in px; absent: the usual ones. */
  readonly breakpoints?: readonly number[] | undefined
  readonly rulings?: MatchRulings | undefined
  /** What a person has said about layers, by key. */
  readonly said?: SaidWidths | undefined
}

/** What a design says about widths, for its screens. */
export const screenOptions = (
  design: Design,
  measure: TextMeasure,
  isScreen: boolean,
): ScreenOptions => ({
  measure,
  assets: design.assets,
  isScreen,
  breakpoints: design.breakpoints,
  rulings: Object.assign(
    {},
    ...design.artboards.map((group) => group.matches ?? {}),
  ) as MatchRulings,
  said: design.widths,
})

/**
 * Where a wider artboard takes over from a narrower one: at the narrowest usual width at which nothing in it has to
 * give way, else at its own.
 */
const takeOver = (
  tree: LayoutNode,
  narrower: number,
  breakpoints: readonly number[],
  solver: Solver,
): number => {
  const own = tree.box.width
  const candidates = breakpoints.filter((px) => px > narrower && px <= own)
  const prepared = prepareTree(tree, solver, true)
  const comfort = createComfort(solver)
  for (const fromPx of candidates) {
    const words = new Map<LayoutNode, boolean>()
    const options = { solver, comfort, fromPx, drawnPx: own, words }
    const { readings } = adaptTree(prepared, options)
    if (readings.every(({ kind }) => kind === 'padding')) return fromPx
  }
  return candidates.at(-1) ?? own
}

/**
 * Makes one screen of its artboards: matches their layers, gives them one structure, and finds how each is between
 * the widths that were drawn and beyond. Takes the layouts from wide to narrow; one is enough.
 */
export const composeScreen = (
  artboards: readonly LayoutNode[],
  {
    measure,
    assets,
    isScreen,
    breakpoints = USUAL_BREAKPOINTS,
    rulings = {},
    said = {},
  }: ScreenOptions,
): Screen => {
  const solver = createSolver(measure)
  const [base, ...others] = artboards
  const options = { measure, isScreen, breakpoints, said }
  if (others.length === 0) return { ...spreadTree(base!, options, {}, solver), matches: {} }
  const matches: Record<string, readonly Match[]> = {}
  const trees = [
    base!,
    ...others.map((other) => {
      const found = matchArtboards(base!, other, assets, rulings)
      matches[other.layer.key] = found
      return regroupLike(base!, other, found, { measure, assets })
    }),
  ]
  const steps: Spread['steps'][number][] = []
  const readings: Spread['readings'][number][] = []
  const wide = prepareTree(base!, solver, isScreen, said)
  const context = {
    solver,
    comfort: createComfort(solver),
    windowPx: 320,
    topPx: 0,
    ground: '#ffffff',
  }
  const prepared = trees.map((tree, i) => (i === 0 ? tree : adoptMenu(tree, wide, context)))
  // From narrow to wide: each takes over from the one before.
  const narrowFirst = [...prepared].reverse()
  const starts = narrowFirst.map((tree, i) =>
    i === 0 ? 0 : takeOver(tree, narrowFirst[i - 1]!.box.width, breakpoints, solver),
  )
  narrowFirst.forEach((tree, i) => {
    const range = { fromPx: starts[i]!, beforePx: starts[i + 1] ?? Infinity }
    const spread = spreadTree(tree, options, range, solver)
    steps.push(...spread.steps)
    readings.push(...spread.readings)
  })
  return { steps, readings, matches }
}
