import { useEffect } from 'react'
import { useStage } from './stage-store'

/** While it is held, the layer that is pointed at or selected is shown alone. */
const KEY = 'a'

const isTyping = (target: EventTarget | null): boolean =>
  target instanceof HTMLElement &&
  (/^(input|textarea|select)$/i.test(target.tagName) || target.isContentEditable)

/** Shows one layer alone for as long as the key for it is held. */
export const useAloneKey = (): void => {
  useEffect(() => {
    const set = (isAlone: boolean): void => {
      if (useStage.getState().isAlone !== isAlone) useStage.getState().set({ isAlone })
    }
    const onKeyDown = (event: KeyboardEvent): void => {
      const isPlain = !event.ctrlKey && !event.metaKey && !event.altKey
      if (event.key.toLowerCase() === KEY && isPlain && !isTyping(event.target)) set(true)
    }
    const onKeyUp = (event: KeyboardEvent): void => {
      if (event.key.toLowerCase() === KEY) set(false)
    }
    const onBlur = (): void => set(false)
    window.addEventListener('keydown', onKeyDown)
    window.addEventListener('keyup', onKeyUp)
    window.addEventListener('blur', onBlur)
    return () => {
      window.removeEventListener('keydown', onKeyDown)
      window.removeEventListener('keyup', onKeyUp)
      window.removeEventListener('blur', onBlur)
      set(false)
    }
  }, [])
}
