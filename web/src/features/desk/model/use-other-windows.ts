import { useEffect } from 'react'
import { hearOthers } from '../../../shared/lib/other-windows'
import { useDesk } from './desk-store'
import { useGlossary } from './glossary-store'

/** Shows what other windows change, at once; what other programs changed, when this window is looked at again. */
export const useOtherWindows = (): void => {
  const project = useDesk((s) => s.project?.id)
  useEffect(() => {
    if (project === undefined) return undefined
    const { catchUp } = useDesk.getState()
    const stop = hearOthers((told) => {
      if (told.project !== project) return
      if (!told.path.startsWith('codebase')) void catchUp()
      else void useGlossary.getState().catchUp()
    })
    const onVisibility = (): void => {
      if (!document.hidden) void catchUp()
    }
    document.addEventListener('visibilitychange', onVisibility)
    return () => {
      stop()
      document.removeEventListener('visibilitychange', onVisibility)
    }
  }, [project])
}
