// All judges that are installed, on a folder of designs (`npm run judge -- DIR`) or on all designs that we have. Each design
// file, or each folder of several artboards in it, is converted to every target; the table says how many faults each finds.

import { createHash } from 'node:crypto'
import { existsSync, mkdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs'
import { dirname, join, resolve } from 'node:path'
import { parseArgs } from 'node:util'
import { readInputs, writeFiles } from '@unimorph/cli'
import {
  EXTRAS,
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
    fresh: { type: 'boolean', default: false },
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

const lock = readFileSync(join(ROOT, 'package-lock.json'))

/** What a judge would be shown: files and the versions of all tools. What passed once need not be shown again. */
const markOf = (judge: string, target: TargetId, projects: readonly Project[]): string => {
  const hash = createHash('sha256').update(lock).update(`${judge} ${target}`)
  for (const { name, files } of projects)
    for (const { path, content } of files)
      hash.update(`${name}/${path}`).update(content.kind === 'text' ? content.text : content.base64)
  return hash.digest('hex')
}

/** So many marks are kept. */
const MOST_MARKS = 500
const PASSED = join(ROOT, 'node_modules/.unimorph/judged.json')
const passed = new Set<string>(
  existsSync(PASSED) && !values.fresh ? (JSON.parse(readFileSync(PASSED, 'utf8')) as string[]) : [],
)
const stillPassed = new Set<string>()

for (const target of targets) {
  const folder = join(WORK, target)
  rmSync(folder, { recursive: true, force: true })
  mkdirSync(folder, { recursive: true })
  const projects = designs.map(({ name, project }, i): Project => {
    const own = join(folder, name)
    const { files } = TARGETS[target].emit(project, {
      marks: false,
      styling: stylingOf(target, i),
      // Half of them with all that may be asked for too.
      extras: i % 2 === 0 ? EXTRAS : [],
    })
    writeFiles(own, files, { force: true })
    return { name, folder: own, files }
  })
  note(target, 'read', unread)
  for (const { name, targets: own, isOurs, judge } of judges) {
    if (!own.includes(target) || projects.length === 0) continue
    const mark = isOurs ? undefined : markOf(name, target, projects)
    const isKnown = mark !== undefined && passed.has(mark)
    const faults = isKnown ? [] : await judge(folder, projects, target)
    if (faults.length === 0 && mark !== undefined) stillPassed.add(mark)
    note(target, name, faults)
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
mkdirSync(dirname(PASSED), { recursive: true })
const before = [...passed].filter((mark) => !stillPassed.has(mark))
writeFileSync(PASSED, JSON.stringify([...before, ...stillPassed].slice(-MOST_MARKS)))
const list = join(WORK, 'faults.txt')
writeFileSync(list, `${listed.join('\n')}\n`)
console.log(`All of them: ${list}`)
process.exitCode = listed.length === 0 ? 0 : 1
