import { dedent } from './snippet'

/** More lines are not read at a glance. */
const MOST_LINES = 14

type Stretch = { readonly start: number; readonly end: number }

/**
 * A stretch of code by itself: its lines without the room that all of them begin with, but the first, which begins where its
 * code does; what is too long ends in an ellipsis.
 */
export const excerpt = (text: string, { start, end }: Stretch): string => {
  const lines = dedent(text.slice(start, end)).split('\n')
  return lines.length <= MOST_LINES
    ? lines.join('\n')
    : [...lines.slice(0, MOST_LINES), '…'].join('\n')
}
