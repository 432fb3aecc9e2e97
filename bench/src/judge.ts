// All judges that are installed, on a folder of designs (`npm run judge -- DIR`) or on all designs that we have. Each design
// file, or each folder of several artboards in it, is converted to every target; the table says how many faults each finds.

import { mkdirSync, rmSync, writeFileSync } from 'node:fs'
import { join, resolve } from 'node:path'
import { parseArgs } from 'node:util'
import { readInputs, writeFiles } from '@unimorph/cli'
import {
  prepare,
  readFiles,
  TARGETS,
  type StylingId,
  type TargetId,
  type UiProject,
} from '@unimorph/core'
import { JUDGES } from './judges/index.js'
import type { Fault, Project } from './judges/judge.js'
import { designsIn, ownDesigns } from './made-up/designs.js'

const ROOT = resolve(import.meta.dirname, '../..')
const WORK = join(ROOT, '.cache/judge')

const { values, positionals } = parseArgs({
  allowPositionals: true,
  options: {
    target: { type: 'string', multiple: true },
    judge: { type: 'string', multiple: true },
    only: { type: 'string' },
  },
})
const [dir] = positionals
const inputs = (dir === undefined ? ownDesigns(ROOT, WORK) : designsIn(dir)).filter(
  ({ name }) => !values.only || values.only.split(',').includes(name),
)

const targets = (values.target ?? Object.keys(TARGETS)) as TargetId[]
const judges = JUDGES.filter(({ name }) => !values.judge || values.judge.includes(name))
const counts = new Map<string, number>()
const faulty = new Map<string, ReadonlySet<string>>()
const listed: string[] = []

/** Each design is styled in another way, so that all ways are seen. */
const stylingOf = (target: TargetId, index: number): StylingId | undefined => {
  const { stylings } = TARGETS[target]
  return stylings[index % stylings.length]
}

const note = (target: TargetId, judge: string, faults: readonly Fault[]): void => {
  const cell = `${judge} ${target}`
  counts.set(cell, faults.length)
  faulty.set(cell, new Set(faults.map(({ file }) => file.split('/')[0]!)))
  for (const { file, line, message } of faults)
    listed.push(`${target} ${judge} ${file}:${line} ${message}`)
}

type Read = { readonly name: string; readonly project: UiProject }

/** Reads a design and plans its pages, once for all targets. */
const readDesign = (files: readonly string[]): UiProject => {
  const { design, notes } = readFiles(readInputs(files))
  if (!design) throw new Error(notes.map(({ message }) => message).join(' '))
  const planned = prepare(design, [], [], [], { derivesStates: true })
  if (!planned.ok) throw new Error(planned.notes.map(({ message }) => message).join(' '))
  return planned.value
}

const unread: Fault[] = []
const designs = inputs.flatMap(({ name, files }): Read[] => {
  try {
    return [{ name, project: readDesign(files) }]
  } catch (error) {
    unread.push({ file: name, line: 0, message: (error as Error).message.split('\n')[0]! })
    return []
  }
})

for (const target of targets) {
  const folder = join(WORK, target)
  rmSync(folder, { recursive: true, force: true })
  mkdirSync(folder, { recursive: true })
  const projects = designs.map(({ name, project }, i): Project => {
    const own = join(folder, name)
    const { files } = TARGETS[target].emit(project, { marks: false, styling: stylingOf(target, i) })
    writeFiles(own, files, { force: true })
    return { name, folder: own, files }
  })
  note(target, 'read', unread)
  for (const { name, targets: own, judge } of judges) {
    if (own.includes(target) && projects.length > 0)
      note(target, name, await judge(folder, projects, target))
  }
}

const rows = ['read', ...judges.map(({ name }) => name)]
const cell = (judge: string, target: TargetId): string => {
  const key = `${judge} ${target}`
  const count = counts.get(key)
  return count === undefined ? '–' : `${count} in ${faulty.get(key)!.size}`
}
console.log(`${inputs.length} designs; faults, and in how many projects`)
console.log(['judge'.padEnd(10), ...targets.map((target) => target.padStart(14))].join(''))
for (const judge of rows)
  console.log(
    [judge.padEnd(10), ...targets.map((target) => cell(judge, target).padStart(14))].join(''),
  )
const list = join(WORK, 'faults.txt')
writeFileSync(list, `${listed.join('\n')}\n`)
console.log(`All of them: ${list}`)
process.exitCode = listed.length === 0 ? 0 : 1
