import { createTableMeasure, findAll, inferLayout, readDesign, readRoles } from '@unimorph/core'
import { generateFlat } from './generate-flat.js'
import { medianTime } from './median-time.js'

/** Times layout and findings of loose layers in a process of its own. Argument: number of layers. */
const RUNS = 5

const read = readDesign(generateFlat(Number(process.argv[2])))
if (!read.ok) throw new Error(read.notes.map((n) => n.message).join('\n'))
const design = read.value

/** A measure that has measured nothing yet: what it has measured it remembers. */
const fresh = () => ({ measure: createTableMeasure(), assets: {} })
const tree = inferLayout(design.screens[0]!, fresh())

console.log(
  JSON.stringify({
    layout: await medianTime(RUNS, () => inferLayout(design.screens[0]!, fresh())),
    findings: await medianTime(RUNS, () => findAll(design, fresh().measure)),
    roles: await medianTime(RUNS, () => readRoles([tree], { rulings: {}, title: undefined })),
  }),
)
