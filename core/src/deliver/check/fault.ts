/** Something in a delivered file that cannot work: where it begins in the text, and what it is, as the end of a sentence. */
export type Fault = { readonly at: number; readonly what: string }

export type TextFile = { readonly path: string; readonly text: string }

/** The paths of all files of a project. */
export type Paths = Pick<ReadonlySet<string>, 'has'>

/** Finds one kind of fault in a file; `paths`: those of all files of the project. */
export type FaultFinder = (
  file: TextFile,
  paths: Paths,
) => readonly Fault[] | Promise<readonly Fault[]>
