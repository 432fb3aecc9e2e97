import { useEffect, useState } from 'react'
import { bundleOnce, type Bundled, type FilesOf } from './bundle'
import { codebaseProject, useDesk } from './desk-store'

/**
 * Bundles the sources of something anew whenever that changes; until they are there, the ones before are given. `source`
 * and `filesOf` stay the same while nothing changes; nothing is bundled where there are no files.
 */
export const useBundle = <T extends object>(
  source: T | undefined,
  filesOf: FilesOf<T>,
): (Bundled & { readonly of: T }) | undefined => {
  const [bundled, setBundled] = useState<Bundled & { readonly of: T }>()
  useEffect(() => {
    if (source === undefined) return
    let isCurrent = true
    void bundleOnce(source, filesOf, codebaseProject(useDesk.getState()))?.then((made) => {
      if (isCurrent) setBundled({ of: source, ...made })
    })
    return () => {
      isCurrent = false
    }
  }, [source, filesOf])
  return bundled
}
