import { showProblem, useToasts } from './toast-store'

/** Puts text on the clipboard and says so. */
export const copyText = (text: string, what = text): void => {
  navigator.clipboard.writeText(text).then(
    () => useToasts.getState().show({ text: `${what} copied.`, tone: 'plain' }),
    () => showProblem('The browser did not allow copying.'),
  )
}
