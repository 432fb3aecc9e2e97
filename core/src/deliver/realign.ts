import type { Span } from '../emit/shared/print-document.js'

/** What a formatter may add or take away: white space, quotes, and what ends or encloses things, as in `{" "}`. */
const IDLE = /[\s;,'"`(){}\\]/

/** So many signs in a row that agree are the same place again. */
const SURE = 12

type Signs = { readonly text: string; readonly places: readonly number[] }

const signsOf = (text: string): Signs => {
  const places: number[] = []
  let signs = ''
  for (let i = 0; i < text.length; i++) {
    if (IDLE.test(text[i]!)) continue
    places.push(i)
    signs += text[i]!
  }
  return { text: signs, places }
}

/**
 * For each sign of `before` the sign of `after` that it became, from the end on; -1 for those that were taken out. Nothing but
 * whole stretches may have been.
 */
const match = (before: string, after: string): Int32Array => {
  const found = new Int32Array(before.length).fill(-1)
  let i = before.length - 1
  let j = after.length - 1
  while (i >= 0 && j >= 0) {
    if (before[i] === after[j]) {
      found[i--] = j--
      continue
    }
    const sure = after.slice(Math.max(0, j - SURE + 1), j + 1)
    const at = before.lastIndexOf(sure, i - sure.length)
    if (at < 0) break
    i = at + sure.length - 1
  }
  return found
}

/** Where layers stand in a text that was formatted. What cannot be found again has no place. */
export const realign = (before: string, after: string, spans: readonly Span[]): readonly Span[] => {
  if (before === after || spans.length === 0) return spans
  const old = signsOf(before)
  const now = signsOf(after)
  const became = match(old.text, now.text)
  const placeOf = (sign: number): number => (became[sign]! < 0 ? -1 : now.places[became[sign]!]!)
  /** The first sign at or after a place. */
  const signAt = (place: number): number => {
    let [low, high] = [0, old.places.length]
    while (low < high) {
      const middle = (low + high) >> 1
      if (old.places[middle]! < place) low = middle + 1
      else high = middle
    }
    return low
  }
  return spans.flatMap((span) => {
    const first = signAt(span.start)
    const last = signAt(span.end) - 1
    if (last < first) return []
    const start = placeOf(first)
    const end = placeOf(last)
    if (start < 0 || end < 0) return []
    const isOpen = before[span.start] === '{'
    const from = isOpen ? after.lastIndexOf('{', start) : start
    const to = before[span.end - 1] === '}' ? after.indexOf('}', end) : end
    return [{ ...span, start: from < 0 ? start : from, end: (to < 0 ? end : to) + 1 }]
  })
}
