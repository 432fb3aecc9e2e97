import type { ScreenContext } from './context.js'
import type { Area, Finding, Severity } from './finding.js'

/** What one kind of finding says of a screen; the rest of a finding is the kind's own. */
export type Found = Pick<Finding, 'layers' | 'evidence' | 'message' | 'remedy' | 'choices'> & {
  readonly severity?: Severity
}

/** One kind of finding. A new kind is a new file and a line in the index. */
export type FindingKind = {
  readonly id: string
  readonly area: Area
  readonly severity: Severity
  /** What all findings of the kind are called together. */
  readonly title: string
  /** Why it matters for the code. */
  readonly why: string
  find(context: ScreenContext): readonly Found[]
}
