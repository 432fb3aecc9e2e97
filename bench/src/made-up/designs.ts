import { mkdirSync, readdirSync, rmSync, statSync, writeFileSync } from 'node:fs'
import { basename, dirname, extname, join, relative } from 'node:path'
import { makeUpPage } from './index.js'

/** What becomes one project: a design file, or several of one folder. */
export type Input = { readonly name: string; readonly files: readonly string[] }

const DESIGNS = /\.(svg|json|zip)$/

/** Every design file of a folder, and every folder of them in it, as one project each. */
export const designsIn = (dir: string): Input[] =>
  readdirSync(dir)
    .sort()
    .flatMap((entry): Input[] => {
      const path = join(dir, entry)
      if (DESIGNS.test(entry)) return [{ name: basename(entry, extname(entry)), files: [path] }]
      if (!statSync(path).isDirectory()) return []
      const files = readdirSync(path).filter((file) => DESIGNS.test(file))
      return files.length === 0
        ? []
        : [{ name: entry, files: files.sort().map((file) => join(path, file)) }]
    })

/** The inputs of the fixtures: each shows one thing, among them every state and interaction. */
const fixturesIn = (dir: string): Input[] =>
  readdirSync(dir, { recursive: true, withFileTypes: true })
    .filter((entry) => entry.isFile() && /^input\.(svg|json)$/.test(entry.name))
    .map(({ parentPath, name }) => ({
      name: relative(dir, parentPath).replaceAll('/', '-'),
      files: [join(parentPath, name)],
    }))
    .sort((a, b) => (a.name < b.name ? -1 : 1))

const PROJECTS = 4
const PAGES = 25

/** A hundred pages nobody designed, in projects of 25. Writes them to a folder. */
const madeUpIn = (dir: string): Input[] => {
  rmSync(dir, { recursive: true, force: true })
  return Array.from({ length: PROJECTS }, (_, project) => {
    const name = `made-up-${project + 1}`
    const files = Array.from({ length: PAGES }, (_, page) => {
      const file = join(dir, name, `page-${String(page + 1).padStart(2, '0')}.svg`)
      mkdirSync(dirname(file), { recursive: true })
      writeFileSync(file, makeUpPage(project * PAGES + page + 1))
      return file
    })
    return { name, files }
  })
}

/** All designs that we have: the demos, the fixtures, and a hundred pages made up into the folder `work`. */
export const ownDesigns = (root: string, work: string): Input[] => [
  ...designsIn(join(root, 'demo/designs')),
  ...fixturesIn(join(root, 'core/fixtures')),
  ...madeUpIn(join(work, 'made-up')),
]
