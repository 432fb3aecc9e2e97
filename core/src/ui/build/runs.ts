import type { TextLayer } from '../../design/layer.js'
import { ownLineHeight, textOf } from '../../text/wrap.js'
import type { UiRun } from '../nodes.js'

/** Splits text at line ends: `a\nb` → a, break, b. */
const splitBreaks = (text: string, style: Extract<UiRun, { kind: 'text' }>['style']): UiRun[] =>
  text.split('\n').flatMap((part, i): UiRun[] => {
    const run: UiRun[] = part === '' ? [] : [{ kind: 'text', text: part, style }]
    return i === 0 ? run : [{ kind: 'break' }, ...run]
  })

/** Where the drawn lines end, as positions in the text, without the last. */
const lineEnds = (layer: TextLayer): number[] => (layer.lines ?? []).slice(0, -1).map((l) => l.end)

/** Whether a line end stands in the text at a position. */
const endsByItself = (layer: TextLayer, position: number): boolean =>
  textOf(layer).startsWith('\n', position)

/**
 * The runs of a text. `keepLines`: the line ends the design program drew become breaks, which is right
 * only for text that is placed by coordinates and does not follow the width.
 */
export const buildRuns = (layer: TextLayer, keepLines: boolean): UiRun[] => {
  const ends = keepLines ? lineEnds(layer) : []
  const runs: UiRun[] = []
  let position = 0
  for (const run of layer.runs) {
    let from = position
    const to = position + run.text.length
    const lineHeight = ownLineHeight(layer, run)
    const style = lineHeight === undefined ? run.style : { ...run.style, lineHeight }
    for (const end of [...ends.filter((e) => e > position && e < to), to]) {
      runs.push(...splitBreaks(run.text.slice(from - position, end - position), style))
      // Where the text itself ends the line, its own line end is the break.
      if (ends.includes(end) && !endsByItself(layer, end)) runs.push({ kind: 'break' })
      from = end
    }
    position = to
  }
  return trimRuns(runs)
}

/** Spaces at the ends of lines are not seen; without them the code is cleaner. */
const trimRuns = (runs: readonly UiRun[]): UiRun[] =>
  runs.flatMap((run, i): UiRun[] => {
    if (run.kind === 'break') return [run]
    let { text } = run
    if (isLineEnd(runs[i - 1])) text = text.trimStart()
    if (isLineEnd(runs[i + 1])) text = text.trimEnd()
    return text === '' ? [] : [{ ...run, text }]
  })

const isLineEnd = (run: UiRun | undefined): boolean => run === undefined || run.kind === 'break'
