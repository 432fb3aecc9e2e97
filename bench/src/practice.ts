import { existsSync, mkdirSync, readFileSync, writeFileSync } from 'node:fs'
import { dirname, join, resolve } from 'node:path'
import { fileURLToPath } from 'node:url'
import { parseArgs } from 'node:util'
import { SOURCES, type PageRun, type SourceId } from './practice/figures.js'
import { shareOut } from './practice/share-out.js'
import type { Job } from './practice/score-page.js'
import { meansOf, printChanges, printRoles, printTable, type Means } from './practice/table.js'
import { compareDrawings } from './drawing.js'
import { measureRepeated } from './repeated.js'

// Converts captured pages to HTML and has them scored by the scorer that lies beside them.
const ROOT = resolve(fileURLToPath(new URL('../..', import.meta.url)))
const PRACTICE = resolve(process.env['PRACTICE_DIR'] ?? join(ROOT, '../shared/practice'))
/** The means of all pages, committed; what single pages give is kept beside the built sites only. */
const COMMITTED = join(ROOT, 'bench/practice.json')
const RESULTS = join(ROOT, '.cache/practice')
const LAST = join(RESULTS, 'last.json')

const { values: options } = parseArgs({
  options: {
    /** Sources to convert from, by their ids. */
    sources: { type: 'string', default: 'one,three' },
    /** What pages are converted to; the committed figures are those of HTML. */
    target: { type: 'string', default: 'html' },
    /** Pages, by their names, or families. */
    only: { type: 'string' },
    /** Keeps pictures of each page and of what differs. */
    shots: { type: 'boolean', default: false },
    /** Prints the pages that changed most in a figure, such as within8@1280. */
    changes: { type: 'string' },
    roles: { type: 'boolean', default: false },
    /** How often what a page repeats is written once, in React. */
    repeated: { type: 'boolean', default: false },
    /** Compares our drawing of the designs with the browser's. */
    drawings: { type: 'boolean', default: false },
    /** Writes the means as those to compare with. */
    write: { type: 'boolean', default: false },
  },
})

const readJson = <T>(file: string, otherwise: T): T =>
  existsSync(file) ? (JSON.parse(readFileSync(file, 'utf8')) as T) : otherwise

type Page = { readonly name: string; readonly family: string }

const choosePages = (): readonly Page[] => {
  const { pages } = readJson<{ pages: readonly Page[] }>(join(PRACTICE, 'pages.json'), {
    pages: [],
  })
  const wanted = options.only?.split(',')
  return wanted
    ? pages.filter(({ name, family }) => wanted.includes(name) || wanted.includes(family))
    : pages
}

const chooseSources = (): readonly SourceId[] =>
  options.sources.split(',').map((name) => {
    if (name in SOURCES) return name as SourceId
    throw new Error(`--sources ${name}: not known; allowed: ${Object.keys(SOURCES).join(', ')}`)
  })

const printProblems = (runs: readonly PageRun[]): void => {
  for (const { page, source, errors, invalid } of runs) {
    for (const error of errors) console.log(`FAILED ${source} ${page}: ${error}`)
    if (invalid.length > 0) console.log(`Invalid in ${source} ${page}: ${invalid.join('; ')}`)
  }
}

const printRepeated = (pages: readonly Page[]): void => {
  const all = pages.map(({ name }) => measureRepeated(join(PRACTICE, name, 'design-1280-flat.svg')))
  const sum = (of: 'runs' | 'once'): number => all.reduce((total, one) => total + one[of], 0)
  console.log(
    `\nFlat: ${sum('once')} of ${sum('runs')} runs of alike siblings are written once (goal 80 %)`,
  )
}

const printDrawings = async (pages: readonly Page[]): Promise<void> => {
  const files = pages.map(({ name }) => join(PRACTICE, name, 'design-1280.svg'))
  const drawings = await compareDrawings(files)
  const worst = Math.max(...drawings.map(({ share }) => share))
  console.log(
    `\nOur drawing of the ${files.length} designs differs from the browser's by at most ${(worst * 100).toFixed(2)} % of pixels (goal 1 %)`,
  )
}

const main = async (): Promise<void> => {
  if (options.write && (options.only !== undefined || options.target !== 'html')) {
    throw new Error('--write: the committed figures are those of all pages as HTML')
  }
  const pages = choosePages()
  const sources = chooseSources()
  const jobs: Job[] = sources.flatMap((source) =>
    pages.map(({ name, family }) => ({ page: name, family, source })),
  )
  const began = Date.now()
  const runs = await shareOut(
    jobs,
    [PRACTICE, RESULTS, options.target, ...(options.shots ? ['shots'] : [])],
    (done) => {
      if (process.stderr.isTTY) process.stderr.write(`\r${done} of ${jobs.length} pages`)
    },
  )
  if (process.stderr.isTTY) process.stderr.write('\r')
  const committed = readJson<Means>(COMMITTED, {})
  const before = readJson<readonly PageRun[]>(LAST, [])
  console.log(printTable(runs, sources, committed))
  for (const source of sources) {
    if (!options.roles) continue
    console.log(`\n${SOURCES[source].title}`)
    console.log(printRoles(runs.filter((run) => run.source === source)))
  }
  for (const name of options.changes?.split(',') ?? []) {
    console.log(`\n${printChanges(runs, before, name)}`)
  }
  console.log()
  printProblems(runs)
  if (options.repeated) printRepeated(pages)
  if (options.drawings) await printDrawings(pages)
  console.log(`${runs.length} pages in ${((Date.now() - began) / 1000).toFixed(0)} s`)
  const isSame = (a: PageRun, b: PageRun): boolean => a.page === b.page && a.source === b.source
  const kept = before.filter((old) => !runs.some((run) => isSame(run, old)))
  mkdirSync(dirname(LAST), { recursive: true })
  writeFileSync(LAST, JSON.stringify([...kept, ...runs]))
  if (options.write) {
    writeFileSync(COMMITTED, `${JSON.stringify({ ...committed, ...meansOf(runs) }, null, 2)}\n`)
  }
}

if (!existsSync(join(PRACTICE, 'score.mjs'))) {
  console.log('Skipped: there is no practice set beside this folder (../shared/practice).')
} else if (!existsSync(join(PRACTICE, 'node_modules'))) {
  console.log(`Skipped: run "npm install --ignore-scripts" in ${PRACTICE} first.`)
} else await main()
