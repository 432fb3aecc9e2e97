import { createTableMeasure, findAll, inferLayout, readDesign, readRoles } from '@unimorph/core'
import { generateFlat } from './generate-flat.js'

/** Times layout and findings of loose layers in a process of its own. Argument: number of layers. */
const RUNS = 5

const read = readDesign(generateFlat(Number(process.argv[2])))
if (!read.ok) throw new Error(read.notes.map((n) => n.message).join('\n'))
const design = read.value
const measure = createTableMeasure()

const time = (work: () => unknown): number => {
  const times = Array.from({ length: RUNS }, () => {
    const start = performance.now()
    work()
    return performance.now() - start
  })
  return times.sort((a, b) => a - b)[Math.floor(RUNS / 2)]!
}

const tree = inferLayout(design.screens[0]!, { measure, assets: {} })

console.log(
  JSON.stringify({
    layout: time(() => inferLayout(design.screens[0]!, { measure, assets: {} })),
    findings: time(() => findAll(design, measure)),
    roles: time(() => readRoles([tree], { rulings: {}, title: undefined })),
  }),
)
