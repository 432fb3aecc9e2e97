import type { Design } from '../design/design.js'
import type { LayoutNode } from '../layout/index.js'
import type { TextMeasure } from '../text/measure.js'
import { adaptTree } from './adapt.js'
import { createComfort } from './comfort.js'
import { matchArtboards, type Match, type MatchRulings } from './match/index.js'
import { adoptMenu } from './menu.js'
import { evenOut } from './even/index.js'
import { findPeers } from './peers.js'
import { prepareTree, type SaidWidths } from './prepare.js'
import { regroupLike } from './regroup.js'
import { createSolver, type Solver } from '../layout/flow/solver.js'
import { pageContext } from './rules/index.js'
import { spreadTree, type Spread } from './spread.js'
import { USUAL_BREAKPOINTS } from './window.js'

export { sweepPage, sweepWidths, type Break } from './sweep.js'
export { WIDTH_READINGS, type WidthReading } from './reading.js'
export type { Step } from './spread.js'
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
  prepared: LayoutNode,
  narrower: number,
  breakpoints: readonly number[],
  solver: Solver,
): number => {
  const own = prepared.box.width
  const candidates = breakpoints.filter((px) => px > narrower && px <= own)
  const comfort = createComfort(solver)
  const words = new Map<LayoutNode, boolean>()
  const peers = findPeers(prepared)
  const holds = (fromPx: number): boolean =>
    adaptTree(prepared, { solver, comfort, fromPx, drawnPx: own, words, peers }).readings.every(
      ({ kind }) => kind === 'padding',
    )
  return candidates.find(holds) ?? candidates.at(-1) ?? own
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
  const [base, ...others] = artboards.map((tree) => evenOut(tree, solver, measure))
  const prepare = (tree: LayoutNode): LayoutNode => prepareTree(tree, solver, isScreen, said)
  const wide = prepare(base!)
  const matches: Record<string, readonly Match[]> = {}
  const context = pageContext({ solver, comfort: createComfort(solver) })
  const narrow = others.map((other) => {
    const found = matchArtboards(base!, other, assets, rulings)
    matches[other.layer.key] = found
    return adoptMenu(regroupLike(base!, other, found, { measure, assets }), wide, context)
  })
  // Where one takes over from the other the drawings alone decide; what a person says does not move it.
  const isPlain = isScreen && Object.keys(said).length === 0
  const trees = [base!, ...narrow].map((tree) => {
    const prepared = tree === base ? wide : prepare(tree)
    return { prepared, drawn: isPlain ? prepared : prepareTree(tree, solver, true) }
  })
  const narrowFirst = trees.reverse()
  const starts = narrowFirst.map(({ drawn }, i) =>
    i === 0 ? 0 : takeOver(drawn, narrowFirst[i - 1]!.drawn.box.width, breakpoints, solver),
  )
  const spreads = narrowFirst.map(({ prepared }, i): Spread => {
    const fromPx = starts[i]!
    // One layer by itself has no window to follow.
    if (!isScreen) return { steps: [{ fromPx, root: prepared }], readings: [] }
    const range = { fromPx, beforePx: starts[i + 1] ?? Infinity }
    return spreadTree(prepared, { solver, breakpoints, said }, range)
  })
  return {
    steps: spreads.flatMap((spread) => spread.steps),
    readings: spreads.flatMap((spread) => spread.readings),
    matches,
  }
}
