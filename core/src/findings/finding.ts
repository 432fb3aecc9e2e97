import type { Box } from '../design/geometry.js'
import type { SingleEdit } from '../edits/edit.js'

/** What a finding is about; a grade has one part for each. */
export const AREAS = ['structure', 'tidiness', 'consistency', 'names', 'legibility'] as const
export type Area = (typeof AREAS)[number]

/** `problem`: it spoils the code or the page. `doubt`: it may be meant. `hint`: it is only untidy. */
export type Severity = 'problem' | 'doubt' | 'hint'

export type Remedy = {
  /** What applying it does, as a button says it. */
  readonly label: string
  readonly edits: readonly SingleEdit[]
  /** It cannot change how the design looks: only what nobody sees, or how things are put together. */
  readonly isSafe: boolean
  /** By how much it may change the look: places in px, colours as CIEDE2000. */
  readonly change: { readonly px: number; readonly deltaE: number }
}

/** One way to read cells that can be read in two: in groups that are rows, or columns. */
export type ReadingChoice = {
  readonly label: string
  readonly isChosen: boolean
  /** Where the cells of each group are on the screen, in the order they are read. */
  readonly groups: readonly (readonly Box[])[]
  readonly edits: readonly SingleEdit[]
}

/** Something in a design that makes worse code, with what shows it and, if there is one, what mends it. */
export type Finding = {
  /** Stable as long as the same layers are found for the same reason. */
  readonly id: string
  readonly kind: string
  readonly area: Area
  readonly severity: Severity
  /** Key of the screen it is on. */
  readonly screen: string
  /** The layers it is about, the one to select first. */
  readonly layers: readonly string[]
  /** Places on the screen that show it, in px from its corner. */
  readonly evidence: readonly Box[]
  readonly message: string
  readonly remedy?: Remedy
  /** Readings that are nearly equal, for a person to choose from. */
  readonly choices?: readonly ReadingChoice[]
}

export const STILL = { px: 0, deltaE: 0 } as const
