import { useEffect, useState } from 'react'
import { useDesk } from './desk-store'
import { api, messageOf, type Bundle, type PreviewFile } from '../../../shared/lib/api'

/** What was bundled, and from what. */
export type Bundled<T> = { readonly of: T; readonly bundle: Bundle }

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
    api
      .bundle(files, useDesk.getState().codebase && useDesk.getState().project?.id)
      .catch((error: unknown): Bundle => ({ errors: [messageOf(error)] }))
      .then((bundle) => {
        if (isCurrent) setBundled({ of: source, bundle })
      })
      .catch(() => undefined)
    return () => {
      isCurrent = false
    }
  }, [source, filesOf])
  return bundled
}
