/** Something in a delivered file that cannot work: where it begins in the text, and what it is, as the end of a sentence. */
export type Fault = { readonly at: number; readonly what: string }

export type TextFile = { readonly path: string; readonly text: string }

/** Finds one kind of fault in a file; `paths`: all files of the project. */
export type FaultFinder = (
  file: TextFile,
  paths: ReadonlySet<string>,
) => readonly Fault[] | Promise<readonly Fault[]>
