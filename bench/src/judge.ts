// All judges that are installed on a folder of designs: `npm run judge -- DIR`. Each design file, or each folder of
// several artboards in it, is converted to every target; the table says how many faults each judge finds.

import { mkdirSync, readdirSync, rmSync, statSync, writeFileSync } from 'node:fs'
import { basename, extname, join, resolve } from 'node:path'
import { parseArgs } from 'node:util'
import { convertFiles, writeFiles } from '@unimorph/cli'
import { TARGETS, type TargetId } from '@unimorph/core'
import { JUDGES } from './judges/index.js'
import type { Fault, Project } from './judges/judge.js'

const WORK = resolve(import.meta.dirname, '../../.cache/judge')
const DESIGNS = /\.(svg|json|zip)$/

const { values, positionals } = parseArgs({
  allowPositionals: true,
  options: {
    target: { type: 'string', multiple: true },
    judge: { type: 'string', multiple: true },
    only: { type: 'string' },
  },
})
const [dir] = positionals
if (dir === undefined) {
  console.error(
    'Say which folder of designs: npm run judge -- DIR [--target react] [--judge types]',
  )
  process.exit(2)
}

type Input = { readonly name: string; readonly files: readonly string[] }

const inputs: Input[] = readdirSync(dir)
  .sort()
  .flatMap((entry): Input[] => {
    const path = join(dir, entry)
    if (DESIGNS.test(entry)) return [{ name: basename(entry, extname(entry)), files: [path] }]
    if (!statSync(path).isDirectory()) return []
    const files = readdirSync(path).filter((file) => DESIGNS.test(file))
    return files.length === 0
      ? []
      : [{ name: entry, files: files.sort().map((f) => join(path, f)) }]
  })
  .filter(({ name }) => !values.only || values.only.split(',').includes(name))

const targets = (values.target ?? Object.keys(TARGETS)) as TargetId[]
const judges = JUDGES.filter(({ name }) => !values.judge || values.judge.includes(name))
const counts = new Map<string, number>()
const faulty = new Map<string, ReadonlySet<string>>()
const listed: string[] = []

const note = (target: TargetId, judge: string, faults: readonly Fault[]): void => {
  const cell = `${judge} ${target}`
  counts.set(cell, faults.length)
  faulty.set(cell, new Set(faults.map(({ file }) => file.split('/')[0]!)))
  for (const { file, line, message } of faults)
    listed.push(`${target} ${judge} ${file}:${line} ${message}`)
}

for (const target of targets) {
  const folder = join(WORK, target)
  rmSync(folder, { recursive: true, force: true })
  mkdirSync(folder, { recursive: true })
  const projects: Project[] = []
  const failed: Fault[] = []
  for (const { name, files } of inputs) {
    try {
      const made = await convertFiles([...files], { target })
      if (!made.ok) throw new Error(made.notes.map(({ message }) => message).join(' '))
      const own = join(folder, name)
      writeFiles(own, made.files, { force: true })
      projects.push({ name, folder: own, files: made.files })
    } catch (error) {
      failed.push({ file: name, line: 0, message: (error as Error).message.split('\n')[0]! })
    }
  }
  note(target, 'convert', failed)
  for (const { name, targets: own, judge } of judges) {
    if (own.includes(target) && projects.length > 0)
      note(target, name, await judge(folder, projects, target))
  }
}

const rows = ['convert', ...judges.map(({ name }) => name)]
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
