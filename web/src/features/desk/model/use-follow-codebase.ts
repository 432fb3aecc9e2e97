import { useEffect } from 'react'
import { api } from '../../../shared/lib/api'
import { showProblem } from '../../../shared/lib/toast-store'
import { useDesk } from './desk-store'
import { useGlossary } from './glossary-store'

/**
 * Scans the codebase anew whenever its files change. A page that is not looked at does not listen; what it missed is scanned
 * when it is looked at again.
 */
export const useFollowCodebase = (): void => {
  const project = useDesk((s) => s.project?.id)
  const folder = useDesk((s) => s.codebase?.folder)
  useEffect(() => {
    if (project === undefined || folder === undefined) return undefined
    const { followChanges } = useGlossary.getState()
    let stop: (() => void) | undefined
    let isTold = false
    const onProblem = (message: string): void => {
      // One file too many is as good as a thousand.
      if (!isTold)
        showProblem(`Changes of the codebase cannot be seen: ${message}. Use Scan again.`)
      isTold = true
    }
    const listen = (): void => {
      stop ??= api.followCodebase(project, (paths) => void followChanges(paths), onProblem)
    }
    const onVisibility = (): void => {
      if (document.hidden) {
        stop?.()
        stop = undefined
      } else if (!stop) {
        listen()
        void followChanges([])
      }
    }
    if (!document.hidden) listen()
    document.addEventListener('visibilitychange', onVisibility)
    return () => {
      document.removeEventListener('visibilitychange', onVisibility)
      stop?.()
    }
  }, [project, folder])
}
