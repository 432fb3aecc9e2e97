import { spawnSync } from 'node:child_process'
import { mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { fileURLToPath } from 'node:url'

type Figures = Record<
  | 'layers'
  | 'read'
  | 'ui'
  | 'edit'
  | 'parts'
  | 'html'
  | 'react'
  | 'draw'
  | 'tailwind'
  | 'all'
  | 'prettierAll'
  | 'prettierHtml'
  | 'prettierReact'
  | 'peakMemoryMb',
  number
>

const SIZES = [100, 1000, 10_000]
const HEAP = '--max-old-space-size=8192'

/** Runs a measurement in a process of its own and reads the figures it prints. */
const measureWith = <T>(script: string, ...args: readonly string[]): T => {
  const file = fileURLToPath(new URL(`./${script}`, import.meta.url))
  const options = { encoding: 'utf8' } as const
  const { stdout, stderr, status } = spawnSync(process.execPath, [HEAP, file, ...args], options)
  if (status !== 0) throw new Error(stderr)
  return JSON.parse(stdout) as T
}

const measureSize = (layers: number): Figures => measureWith('measure-size.js', String(layers))

type Opening = { count: number; elapsedMs: number; bytes: number; peakBytes: number }

const measureIntake = (kind: 'parse' | 'open'): Opening =>
  measureWith('measure-intake.js', kind, '20000', '10000000')

const table = (rows: string[][]): string => {
  const widths = rows[0]!.map((_, i) => Math.max(...rows.map((row) => row[i]!.length)))
  return rows
    .map((row) =>
      row
        .map((cell, i) => (i === 0 ? cell.padEnd(widths[i]!) : cell.padStart(widths[i]!)))
        .join('  '),
    )
    .join('\n')
}

const results = SIZES.map(measureSize)
const row = (label: string, value: (f: Figures) => string): string[] => [
  label,
  ...results.map(value),
]
const ms = (n: number): string => `${n.toFixed(1)} ms`
const toHtml = (f: Figures): number => f.ui + f.parts + f.html
const toReact = (f: Figures): number => f.ui + f.parts + f.react

console.log(
  table([
    row('layers', (f) => String(f.layers)),
    row('read and check', (f) => ms(f.read)),
    row('layout, meaning, ui', (f) => ms(f.ui)),
    row('parts', (f) => ms(f.parts)),
    row('both again, one layer hidden', (f) => ms(f.edit)),
    row('emit HTML', (f) => ms(f.html)),
    row('emit React', (f) => ms(f.react)),
    row('draw the design', (f) => ms(f.draw)),
    row('compile styles', (f) => ms(f.tailwind)),
    row('all five targets', (f) => ms(f.all)),
    row('Prettier on all but Dart', (f) => ms(f.prettierAll)),
    row('Prettier on the HTML', (f) => ms(f.prettierHtml)),
    row('Prettier on the React', (f) => ms(f.prettierReact)),
    row('memory at most', (f) => `${f.peakMemoryMb.toFixed(0)} MB`),
    row('five targets / Prettier', (f) => (f.all / f.prettierAll).toFixed(2)),
    row('HTML / Prettier', (f) => (toHtml(f) / f.prettierHtml).toFixed(2)),
    row('React / Prettier', (f) => (toReact(f) / f.prettierReact).toFixed(2)),
  ]),
)

const [, thousand, tenThousand] = results as [Figures, Figures, Figures]
const check = (label: string, value: number, limit: number): void =>
  console.log(
    `${value <= limit ? 'met   ' : 'MISSED'}  ${label}: ${value.toFixed(2)} (at most ${limit})`,
  )

console.log()
check(
  'five targets of 1,000 layers against Prettier on their files',
  thousand.all / thousand.prettierAll,
  1,
)
check('1,000 layers to HTML, in Prettier times', toHtml(thousand) / thousand.prettierHtml, 0.5)
check('1,000 layers to React, in Prettier times', toReact(thousand) / thousand.prettierReact, 0.5)
check('parts of 10,000 layers, in ms', tenThousand.parts, 500)
check('10,000 layers to HTML, in times of 1,000', toHtml(tenThousand) / toHtml(thousand), 12)
check('10,000 layers to React, in times of 1,000', toReact(tenThousand) / toReact(thousand), 12)

type LayoutFigures = { readonly layout: number; readonly findings: number; readonly roles: number }

const measureLayout = (layers: number): LayoutFigures =>
  measureWith('measure-layout.js', String(layers))

const [few, many] = [measureLayout(1000), measureLayout(10_000)]
console.log(
  `\n1,000 loose layers: laid out in ${ms(few.layout)}, looked through in ${ms(few.findings)}; ` +
    `10,000: ${ms(many.layout)} and ${ms(many.findings)}`,
)
check('1,000 loose layers laid out, in ms', few.layout, 150)
check('10,000 loose layers laid out, in times of 1,000', many.layout / few.layout, 12)
check('10,000 loose layers looked through, in times of 1,000', many.findings / few.findings, 15)
check('roles of 10,000 loose layers, in ms', many.roles, 300)

type WidthFigures = { readonly match: number; readonly compose: number; readonly sweep: number }

const widths = measureWith<WidthFigures>('measure-widths.js', '1000')
console.log(
  `\n1,000 loose layers at three widths: matched in ${ms(widths.match)}, matched and made one in ` +
    `${ms(widths.compose)}, swept from 320 to 2560 px in ${ms(widths.sweep)}`,
)
check('1,000 layers at three widths matched and made one, in ms', widths.compose, 200)

type ScanFigures = { readonly first: number; readonly second: number; readonly check: number }

const scan = measureWith<ScanFigures>('measure-scan.js', '2000')
console.log(
  `\nA codebase of 2,000 components: scanned in ${ms(scan.first)}, again after one change in ${ms(scan.second)}; ` +
    `its types are checked in ${ms(scan.check)}`,
)
check('2,000 components scanned, in times of a check of their types', scan.first / scan.check, 1)
check('scanned again after one change, in times of the first scan', scan.second / scan.first, 0.05)

const [parsed, opened] = [measureIntake('parse'), measureIntake('open')]
console.log(
  `\nAn SVG of ${(opened.bytes / 1e6).toFixed(1)} MB and ${opened.count} layers: plain parse ${ms(parsed.elapsedMs)}, ` +
    `read and drawn ${ms(opened.elapsedMs)}, memory ${(opened.peakBytes / 1e6).toFixed(0)} MB`,
)
check(
  'a large SVG read and drawn, in times of a plain parse',
  opened.elapsedMs / parsed.elapsedMs,
  3,
)
check('memory for it, in times of the file', opened.peakBytes / opened.bytes, 15)

const BIN = fileURLToPath(new URL('../../cli/bin/unimorph.mjs', import.meta.url))
const DEMO = fileURLToPath(new URL('../../demo/designs/night-ferry-kiosk.svg', import.meta.url))

/** The time of the fastest of five starts of a program, in ms; the first fills caches. */
const startOf = (...args: readonly string[]): number => {
  const times = Array.from({ length: 5 }, () => {
    const began = performance.now()
    spawnSync(process.execPath, args)
    return performance.now() - began
  })
  return Math.min(...times)
}

const out = mkdtempSync(join(tmpdir(), 'unimorph-speed-'))
const empty = startOf('--eval', '0')
const converted = startOf(BIN, 'convert', DEMO, '--target', 'react', '--out', out, '--force')
rmSync(out, { recursive: true })
console.log(`\nNode starts in ${ms(empty)}; the command line converts a screen in ${ms(converted)}`)
check('the command line converts a screen, in times of an empty program', converted / empty, 10)
