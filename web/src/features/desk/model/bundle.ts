import { api, messageOf, type Bundle, type PreviewFile } from '../../../shared/lib/api'
import { runtimeScripts } from '../../../shared/lib/runtimes'

/** What was bundled, and the scripts that must have run in its page before. */
export type Bundled = {
  readonly bundle: Bundle
  readonly scripts: readonly string[]
}

export const NO_SCRIPTS: readonly string[] = []

const bundle = async (
  files: readonly PreviewFile[],
  project: string | undefined,
): Promise<Bundled> => {
  const made = await api.bundle(files, project)
  const scripts = 'script' in made ? await runtimeScripts(made.runtimes) : NO_SCRIPTS
  return { bundle: made, scripts }
}

/** What was begun, by the source and by what is taken of it. */
const begun = new WeakMap<object, WeakMap<object, Promise<Bundled>>>()

/** What of something is bundled; undefined where nothing is. */
export type FilesOf<T> = (source: T) => readonly PreviewFile[] | undefined

/**
 * Bundles the sources of something: once, whoever asks first; undefined where there are none. `project`: the one whose
 * codebase they may need.
 */
export const bundleOnce = <T extends object>(
  source: T,
  filesOf: FilesOf<T>,
  project: string | undefined,
): Promise<Bundled> | undefined => {
  const own = begun.get(source) ?? new WeakMap<object, Promise<Bundled>>()
  begun.set(source, own)
  const known = own.get(filesOf)
  const files = known ? undefined : filesOf(source)
  if (!files) return known
  const made = bundle(files, project).catch((error: unknown): Bundled => {
    // It was not the code that failed: who asks again is answered anew.
    own.delete(filesOf)
    return { bundle: { errors: [messageOf(error)] }, scripts: NO_SCRIPTS }
  })
  own.set(filesOf, made)
  return made
}
