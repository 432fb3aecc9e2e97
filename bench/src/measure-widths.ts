import {
  composeScreen,
  createTableMeasure,
  inferLayout,
  matchArtboards,
  readDesign,
  sweepWidths,
} from '@unimorph/core'
import { generateFlat, PAGES } from './generate-flat.js'
import { medianTime } from './median-time.js'

/** Times one screen that was drawn at three widths in a process of its own. Argument: number of layers of each. */
const RUNS = 7

/** A measure that has measured nothing yet: what it has measured it remembers. */
const fresh = () => ({ measure: createTableMeasure(), assets: {} })
const trees = PAGES.map((page) => {
  const read = readDesign(generateFlat(Number(process.argv[2]), page))
  if (!read.ok) throw new Error(read.notes.map((n) => n.message).join('\n'))
  return inferLayout(read.value.screens[0]!, fresh())
})

const compose = () => composeScreen(trees, { ...fresh(), isScreen: true })
const { steps } = compose()

console.log(
  JSON.stringify({
    match: await medianTime(RUNS, () =>
      trees.slice(1).map((other) => matchArtboards(trees[0]!, other, {}, {})),
    ),
    compose: await medianTime(RUNS, compose),
    sweep: await medianTime(RUNS, () => [...sweepWidths(steps, { measure: fresh().measure })]),
  }),
)
