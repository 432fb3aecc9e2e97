import { useEffect, useState } from 'react'
import type { TokenList } from '../../../engine/protocol'
import { messageOf } from '../../../shared/lib/api'
import { showProblem } from '../../../shared/lib/toast-store'
import { useDesk } from './desk-store'

/** The tokens of the design as last drawn; read again after every edit. */
export const useTokens = (): TokenList | undefined => {
  const drawn = useDesk((s) => s.drawn)
  const listTokens = useDesk((s) => s.listTokens)
  const [list, setList] = useState<TokenList>()
  useEffect(() => {
    if (!drawn) return
    let isCurrent = true
    listTokens()
      .then((next) => {
        if (isCurrent) setList(next)
      })
      .catch((error: unknown) => showProblem(messageOf(error)))
    return () => {
      isCurrent = false
    }
  }, [drawn, listTokens])
  return list
}
