import { useEffect, useState } from 'react'
import { useDesk } from './desk-store'
import { api, messageOf, type Bundle, type PreviewFile } from '../../../shared/lib/api'
import { runtimeScripts } from '../../../shared/lib/runtimes'

/** What was bundled, from what, and the scripts that must have run in its page before. */
export type Bundled<T> = {
  readonly of: T
  readonly bundle: Bundle
  readonly scripts: readonly string[]
}

export const NO_SCRIPTS: readonly string[] = []

const bundleFiles = async (
  files: readonly PreviewFile[],
): Promise<Omit<Bundled<unknown>, 'of'>> => {
  const { codebase, project } = useDesk.getState()
  try {
    const bundle = await api.bundle(files, codebase && project?.id)
    const scripts = 'script' in bundle ? await runtimeScripts(bundle.runtimes) : NO_SCRIPTS
    return { bundle, scripts }
  } catch (error) {
    return { bundle: { errors: [messageOf(error)] }, scripts: NO_SCRIPTS }
  }
}

/**
 * Bundles the sources of something anew whenever that changes; until they are there, the ones before are given. `source`
 * and `filesOf` stay the same while nothing changes; nothing is bundled where there are no files.
 */
export const useBundle = <T>(
  source: T | undefined,
  filesOf: (source: T) => readonly PreviewFile[] | undefined,
): Bundled<T> | undefined => {
  const [bundled, setBundled] = useState<Bundled<T>>()
  useEffect(() => {
    const files = source === undefined ? undefined : filesOf(source)
    if (source === undefined || !files) return
    let isCurrent = true
    void bundleFiles(files).then((made) => {
      if (isCurrent) setBundled({ of: source, ...made })
    })
    return () => {
      isCurrent = false
    }
  }, [source, filesOf])
  return bundled
}
