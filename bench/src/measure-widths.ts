import {
  composeScreen,
  createTableMeasure,
  inferLayout,
  matchArtboards,
  readDesign,
  sweepWidths,
} from '@unimorph/core'
import { generateFlat, PAGES } from './generate-flat.js'

/** Times one screen that was drawn at three widths in a process of its own. Argument: number of layers of each. */
const RUNS = 7

const measure = createTableMeasure()
const trees = PAGES.map((page) => {
  const read = readDesign(generateFlat(Number(process.argv[2]), page))
  if (!read.ok) throw new Error(read.notes.map((n) => n.message).join('\n'))
  return inferLayout(read.value.screens[0]!, { measure, assets: {} })
})

const time = (work: () => unknown): number => {
  const times = Array.from({ length: RUNS }, () => {
    const start = performance.now()
    work()
    return performance.now() - start
  })
  return times.sort((a, b) => a - b)[Math.floor(RUNS / 2)]!
}

const compose = () => composeScreen(trees, { measure, assets: {}, isScreen: true })
const { steps } = compose()

console.log(
  JSON.stringify({
    match: time(() => trees.slice(1).map((other) => matchArtboards(trees[0]!, other, {}, {}))),
    compose: time(compose),
    sweep: time(() => [...sweepWidths(steps, { measure })]),
  }),
)
