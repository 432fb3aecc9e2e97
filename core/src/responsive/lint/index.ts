import { createSolver } from '../../layout/flow/solver.js'
import type { TextMeasure } from '../../text/measure.js'
import { finish } from '../finish.js'
import type { Step } from '../spread.js'
import type { Found, LintKind } from './kind.js'
import { buried } from './kinds/buried.js'
import { cramped } from './kinds/cramped.js'
import { edging } from './kinds/edging.js'
import { huge } from './kinds/huge.js'
import { longLines } from './kinds/long-lines.js'
import { orphaned } from './kinds/orphaned.js'
import { parted } from './kinds/parted.js'
import { stretched } from './kinds/stretched.js'
import { strewn } from './kinds/strewn.js'
import { tiny } from './kinds/tiny.js'
import { uneven } from './kinds/uneven.js'
import { voids } from './kinds/void.js'
import { drawnBoxes, layOut } from './laid-out.js'

/** What a designer would mark at widths that were not drawn, by name. */
export const LINT_KINDS = {
  buried,
  cramped,
  edging,
  huge,
  'long-lines': longLines,
  orphaned,
  parted,
  stretched,
  strewn,
  tiny,
  uneven,
  void: voids,
} as const satisfies Readonly<Record<string, LintKind>>

export type LintKindId = keyof typeof LINT_KINDS

/** The widths of the window a page is looked at, in px: two phones, a tablet, a small and a large screen. */
export const LINT_WIDTHS: readonly number[] = [360, 390, 768, 1024, 1536]

/** One thing a designer would mark, at the widths where it is seen. */
export type LintMark = {
  readonly kind: LintKindId
  /** Key of the layer it is seen at. */
  readonly layer: string
  /** In px, from narrow to wide. */
  readonly atPx: readonly number[]
  /** The worst of it, in the unit of its kind. */
  readonly amount: number
}

/** Faults of one kind no further apart than this, one below the other, are one mark, in px. */
const APART_PX = 160

/** A designer marks a place once, however many things in it have the fault: the worst of each place. */
const markPlaces = (found: readonly Found[]): readonly Found[] => {
  const places: { worst: Found; endPx: number }[] = []
  for (const one of [...found].sort((a, b) => a.at.box.y - b.at.box.y)) {
    const { y, height } = one.at.box
    const place = places.at(-1)
    if (!place || y > place.endPx + APART_PX) places.push({ worst: one, endPx: y + height })
    else {
      place.endPx = Math.max(place.endPx, y + height)
      if (one.amount > place.worst.amount) place.worst = one
    }
  }
  return places.map(({ worst }) => worst)
}

/**
 * Lays a screen out at some widths, in px, and tells what a designer would mark there. An artboard is compared with
 * itself as drawn; at the widths that were drawn there is nothing to mark. It stops after each width, so that whoever
 * asks can do something else in between.
 */
export function* lintWidths(
  steps: readonly Step[],
  measure: TextMeasure,
  widths: readonly number[] = LINT_WIDTHS,
): Generator<void, readonly LintMark[]> {
  const solver = createSolver(measure)
  const marks = new Map<string, LintMark>()
  for (const windowPx of widths) {
    const step = steps.findLast(({ fromPx }) => fromPx <= windowPx)
    if (!step) continue
    const isSameArtboard = (other: Step): boolean =>
      other.root.layer.key === step.root.layer.key && other.fromPx <= step.root.box.width
    const drawn = steps.findLast(isSameArtboard)!.root
    const drawnPx = drawn.box.width
    if (Math.abs(drawnPx - windowPx) < 1) continue
    const page = layOut(step.root, windowPx, drawnPx, drawnBoxes(drawn, solver), solver)
    for (const [kind, { find }] of Object.entries(LINT_KINDS)) {
      for (const { at, amount } of markPlaces(find(page))) {
        const layer = at.node.layer.key
        const id = `${kind} ${layer}`
        const known = marks.get(id)
        marks.set(id, {
          kind: kind as LintKindId,
          layer,
          atPx: [...(known?.atPx ?? []), windowPx],
          amount: Math.round(Math.max(known?.amount ?? 0, amount)),
        })
      }
    }
    yield
  }
  return [...marks.values()]
}

/** All marks of a page, found at once. */
export const lintPage = (
  steps: readonly Step[],
  measure: TextMeasure,
  widths?: readonly number[],
): readonly LintMark[] => finish(lintWidths(steps, measure, widths))
