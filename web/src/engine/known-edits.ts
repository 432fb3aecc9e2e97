import type { Edit } from '@unimorph/core'

/**
 * Gives edits that come as copies, as all that is sent to a worker does, as the objects they were when they came last: by
 * those it is known what was made of them.
 */
export const createKnownEdits = (): ((edits: readonly Edit[]) => readonly Edit[]) => {
  let last: readonly { readonly edit: Edit; readonly written: string }[] = []
  return (edits) => {
    last = edits.map((edit, i) => {
      const written = JSON.stringify(edit)
      const known = last[i]
      return known?.written === written ? known : { edit, written }
    })
    return last.map(({ edit }) => edit)
  }
}
