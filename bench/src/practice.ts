import { spawnSync } from 'node:child_process'
import { existsSync, mkdtempSync, readdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join, resolve } from 'node:path'
import { fileURLToPath } from 'node:url'
import { compareDrawings } from './drawing.js'
import { measureRepeated } from './repeated.js'
import { measureStructure } from './structure.js'

// Converts captured pages with the command line and has them scored by the scorer that lies beside them.
const ROOT = resolve(fileURLToPath(new URL('../..', import.meta.url)))
const PRACTICE = resolve(process.env['PRACTICE_DIR'] ?? join(ROOT, '../shared/practice'))

/** The targets whose delivered pages are scored: all that build into a site, where that is asked for. */
const TARGETS = (process.env['PRACTICE_TARGETS'] ?? 'html').split(',')

type Means = Record<string, Record<string, number | null> & number>

const quote = (text: string): string => `'${text.replaceAll("'", "'\\''")}'`

/** Which files of a page are converted together. */
type Source = { readonly variant: 'layered' | 'flat'; readonly from: 'the widest' | 'all widths' }

const SOURCES: readonly Source[] = [
  { variant: 'layered', from: 'the widest' },
  { variant: 'flat', from: 'the widest' },
  { variant: 'layered', from: 'all widths' },
  { variant: 'flat', from: 'all widths' },
]

const percent = (value: number | null | undefined): string => `${((value ?? 0) * 100).toFixed(1)} %`

const score = (
  { variant, from }: Source,
  target: string,
  folder: string,
  extra: readonly string[],
): void => {
  const cli = quote(join(ROOT, 'cli/bin/unimorph.mjs'))
  const script = join(folder, 'convert.sh')
  // The scorer gives the input paths and, last, the folder for the site.
  writeFileSync(
    script,
    `set -e\nout="\${@: -1}"\nset -- "\${@:1:$#-1}"\n${quote(process.execPath)} ${cli} convert "$@" --target ${quote(target)} --out "$out.project"\n` +
      `${quote(process.execPath)} ${cli} build "$out.project" --site "$out"\n`,
  )
  const name = `${target}-${variant}-${from === 'all widths' ? 'all' : 'one'}`
  const json = join(folder, `${name}.json`)
  const options = { set: 'practice', variant, results: join(folder, name), json }
  const args = ['run.mjs', ...Object.entries(options).flatMap(([key, v]) => [`--${key}`, v])]
  if (from === 'all widths') args.push('--multi')
  const command = `bash ${quote(script)} {input} {out}`
  const { status } = spawnSync(process.execPath, [...args, '--cmd', command, ...extra], {
    cwd: PRACTICE,
    stdio: 'inherit',
  })
  if (status !== 0 || !existsSync(json))
    throw new Error(`the scorer failed for the ${variant} files of ${from}, as ${target}`)
  const { means } = JSON.parse(readFileSync(json, 'utf8')) as { means: Means }
  console.log(
    `${target}, ${variant}, from ${from}: macro-F1 of roles ${percent(means['macroF1'])} (goal 85 %, flat 75 %)`,
  )
  for (const width of ['1280', '768', '390']) {
    const at = means[width]
    if (!at) continue
    console.log(
      `${target}, ${variant}, from ${from}, at ${width}: text within 2 px ${percent(at['within2'])}, within 8 px ` +
        `${percent(at['within8'])}, missing ${percent(at['missing'])}; pixels that differ ${percent(at['pixelMismatch'])}; ` +
        `placed absolutely ${percent(at['absoluteShare'])}, with a width in px ${percent(at['pixelWidthShare'])}`,
    )
  }
  console.log()
}

if (!existsSync(join(PRACTICE, 'run.mjs'))) {
  console.log('Skipped: there is no practice set beside this folder (../shared/practice).')
} else if (!existsSync(join(PRACTICE, 'node_modules'))) {
  console.log(`Skipped: run "npm install --ignore-scripts" in ${PRACTICE} first.`)
} else {
  const folder = mkdtempSync(join(tmpdir(), 'unimorph-practice-'))
  try {
    for (const target of TARGETS) {
      for (const source of SOURCES) score(source, target, folder, process.argv.slice(2))
    }
    const pages = readdirSync(PRACTICE, { withFileTypes: true })
      .map((entry) => entry.name)
      .filter((name) => existsSync(join(PRACTICE, name, 'design-1280.svg')))
    const files = pages.map((name) => join(PRACTICE, name, 'design-1280.svg'))
    for (const name of pages) {
      const flat = join(PRACTICE, name, 'design-1280-flat.svg')
      const { similarity, overlays, fixed } = measureStructure(
        join(PRACTICE, name, 'design-1280.svg'),
        flat,
      )
      console.log(
        `${name}: layouts of both files alike by ${similarity.toFixed(3)} (goal 0.85); of the flat one ` +
          `${(overlays * 100).toFixed(1)} % over the flow, ${(fixed * 100).toFixed(1)} % of fixed width, pictures aside (goals 3 % and 20 %)`,
      )
    }
    for (const variant of ['', '-flat']) {
      const all = pages.map((name) =>
        measureRepeated(join(PRACTICE, name, `design-1280${variant}.svg`)),
      )
      const sum = (of: 'runs' | 'once'): number => all.reduce((total, one) => total + one[of], 0)
      console.log(
        `${variant === '' ? 'layered' : 'flat'}: ${sum('once')} of ${sum('runs')} runs of alike siblings are written once, ` +
          `${percent(sum('once') / sum('runs'))} (goal 80 %)`,
      )
    }
    const drawings = await compareDrawings(files)
    const worst = Math.max(...drawings.map(({ share }) => share))
    console.log(
      `our drawing of the ${files.length} designs differs from the browser's by at most ${(worst * 100).toFixed(2)} % of pixels (goal 1 %)`,
    )
  } finally {
    rmSync(folder, { recursive: true, force: true })
  }
}
