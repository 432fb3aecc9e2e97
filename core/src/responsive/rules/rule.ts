import type { LayoutNode } from '../../layout/index.js'
import type { Comfort } from '../comfort.js'
import type { Way } from '../../design/widths.js'
import type { Solver } from '../../layout/flow/solver.js'

/** What a rule knows of the place a container has. */
export type RuleContext = {
  readonly solver: Solver
  readonly comfort: Comfort
  /** Where the container begins, from the top of the page as drawn, in px. */
  readonly topPx: number
  /** What stands between its content and the left side of the window, in px. */
  readonly insetPx: number
  /** The colour behind it. */
  readonly ground: string
}

/** What a rule knows at the top of a page. */
export const pageContext = ({
  solver,
  comfort,
}: Pick<RuleContext, 'solver' | 'comfort'>): RuleContext => ({
  solver,
  comfort,
  topPx: 0,
  insetPx: 0,
  ground: '#ffffff',
})

export type Given = {
  readonly node: LayoutNode
  /** What was done, in a few words. */
  readonly value: string
}

/** One way a container gives way where its content does not fit side by side. */
export type Rule = {
  readonly way: Exclude<Way, 'keep'>
  readonly evidence: string
  /** From 0 to 1: how sure it is that a developer would do the same. */
  readonly confidence: number
  /** Whether the container is of the kind that gives way so. */
  suits(node: LayoutNode, inner: number, context: RuleContext): boolean
  /** The container as it is then; undefined where it cannot. */
  apply(node: LayoutNode, inner: number, context: RuleContext): Given | undefined
}
