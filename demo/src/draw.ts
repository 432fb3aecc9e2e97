import { writeFileSync } from 'node:fs'
import { readDesign, writeDesign } from '@unimorph/core'
import { layOut } from './lay-out.js'
import { buildTidewrack } from './tidewrack.js'

/** Writes the demo designs that are made by a program: `npm run draw -w demo`. */
const read = readDesign(layOut(buildTidewrack()))
if (!read.ok) throw new Error(read.notes.map((n) => n.message).join('\n'))
const file = new URL('../designs/tidewrack.json', import.meta.url)
writeFileSync(file, `${JSON.stringify(writeDesign(read.value), null, 1)}\n`)
