import { compileStyles, type Emitted } from '@unimorph/core'

type Styles = Emitted['styles']

/** What is run and what is delivered, of the target that is shown and of the one beside it. */
const MOST_KEPT = 6

/**
 * Compiles style sheets, those that were compiled of the same not again: most edits change no class. `library`: the text of
 * Tailwind's own sheet.
 */
export const createStyleCompiler = (
  library: string,
  compile: typeof compileStyles = compileStyles,
): ((styles: Pick<Styles, 'source' | 'classes'>) => Promise<string>) => {
  const kept = new Map<string, Promise<string>>()
  return ({ source, classes }) => {
    const key = JSON.stringify([source, classes])
    const made = kept.get(key) ?? compile(source, classes, library)
    // The one used last is the last to be forgotten.
    kept.delete(key)
    kept.set(key, made)
    made.catch(() => kept.delete(key))
    if (kept.size > MOST_KEPT) kept.delete(kept.keys().next().value!)
    return made
  }
}
