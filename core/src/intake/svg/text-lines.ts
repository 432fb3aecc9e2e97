import type { Box } from '../../design/geometry.js'
import type { TextStyle } from '../../design/text.js'
import { median, spread } from '../../math/statistics.js'
import type { TextMeasure } from '../../text/measure.js'

// Which pieces of a text stand in one line, and what the lines are to each other.

/** A piece of text in one style, with the start of its baseline and its width. */
export type Placed = {
  readonly text: string
  readonly style: TextStyle
  readonly x: number
  readonly y: number
  readonly width: number
}

export type LineAlign = 'start' | 'centre' | 'end'

const SAME_LINE_PX = 0.5
/** Raised or lowered letters stand no further from the baseline than this share of the size of those they follow. */
const MOST_RAISED = 0.6

/** Whether a piece goes on in the line of the one before: on its baseline, or raised or lowered right after it. */
const goesOn = (last: Placed, piece: Placed): boolean => {
  const off = Math.abs(last.y - piece.y)
  if (off <= SAME_LINE_PX) return piece.x >= last.x
  const { size } = last.style
  return off < size * MOST_RAISED && piece.x >= last.x + last.width - size / 4
}

/** Pieces in the order of the file, as lines. */
export const groupLines = (placed: readonly Placed[]): Placed[][] => {
  const lines: Placed[][] = []
  for (const piece of placed) {
    const line = lines.at(-1)
    const last = line?.at(-1)
    if (line && last && goesOn(last, piece)) line.push(piece)
    else lines.push([piece])
  }
  return lines
}

// A word that misses the edge by less than this was wrapped: the table of widths is that inexact.
const WRAP_SLACK = 0.05

/** Whether a line stops although the first word of the next would have fitted beside it. */
export const endsParagraph = (
  line: Box,
  next: readonly Placed[],
  wrapWidth: number,
  measure: TextMeasure,
): boolean => {
  const first = next[0]!
  const word = first.text.trimStart().split(/\s/)[0] ?? ''
  const needed = line.width + measure.width(` ${word}`, first.style)
  return needed < wrapWidth * (1 - WRAP_SLACK) - 1
}

/** How lines of different length stand under each other; one line stands as its anchor says. */
export const alignOf = (anchor: string | undefined, lines: readonly Box[]): LineAlign => {
  const stated = anchor === 'middle' ? 'centre' : anchor === 'end' ? 'end' : 'start'
  if (stated !== 'start' || spread(lines.map((l) => l.width)) < 2) return stated
  const left = spread(lines.map((l) => l.x))
  if (left <= 1) return 'start'
  const centre = spread(lines.map((l) => l.x + l.width / 2))
  const right = spread(lines.map((l) => l.x + l.width))
  const tolerance = Math.max(2, Math.max(...lines.map((l) => l.width)) * 0.02)
  if (centre <= tolerance && centre <= right) return 'centre'
  return right <= tolerance ? 'end' : 'start'
}

/** A line that is moved in stands at a whole number of spaces, give or take this share of one. */
const INDENT_ERROR = 0.2

/**
 * How many spaces each line of code is moved in; undefined for other texts. Lines of code do not all begin at one place, but each
 * a whole number of spaces further in.
 */
export const findIndents = (
  lines: readonly Box[],
  align: LineAlign,
  spacePx: number,
): readonly number[] | undefined => {
  const isDownward = lines.every((l, i) => i === 0 || l.y > lines[i - 1]!.y)
  const left = Math.min(...lines.map((l) => l.x))
  const moved = lines.map((l) => (l.x - left) / spacePx)
  if (align !== 'start' || !isDownward || moved.every((by) => by < 1 - INDENT_ERROR))
    return undefined
  const indents = moved.map(Math.round)
  const isEven = moved.every((by, i) => Math.abs(by - indents[i]!) <= INDENT_ERROR)
  return isEven ? indents : undefined
}

export const NO_BREAK_SPACE = '\u00a0'

/** How far from a whole number steps between lines may be, in shares of a line. */
const WHOLE_ERROR = 0.05

const isWhole = (lines: number): boolean => Math.abs(lines - Math.round(lines)) < WHOLE_ERROR

/** From one baseline to the next, in px: the smallest step, where all others are so many of it. */
export const stepOf = (steps: readonly number[]): number => {
  const least = Math.min(...steps)
  const areWhole = steps.every((step) => isWhole(step / least))
  return areWhole ? median(steps.filter((step) => step < least * 1.5)) : median(steps)
}

/** How many empty lines were left out between two that are drawn so far apart. */
export const emptyLines = (stepPx: number, lineHeightPx: number): number => {
  const lines = stepPx / lineHeightPx
  return isWhole(lines) ? Math.max(0, Math.round(lines) - 1) : 0
}
