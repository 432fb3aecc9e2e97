import type { Fault } from '@unimorph/cli/check'
import type { EmittedFile, TargetId } from '@unimorph/core'

/** A design that was converted, and the folder its project was written to. */
export type Project = {
  readonly name: string
  readonly folder: string
  readonly files: readonly EmittedFile[]
}

export type { Fault }

/** Somebody from outside who knows what is right: a compiler, a linter, a formatter. */
export type Judge = {
  readonly name: string
  readonly targets: readonly TargetId[]
  /** It is code of ours, which changes without any version: it is asked anew each time. */
  readonly isOurs?: boolean
  /** Looks at all projects of one target at once. `folder` holds them, each by its name. */
  judge(folder: string, projects: readonly Project[], target: TargetId): Promise<readonly Fault[]>
}
