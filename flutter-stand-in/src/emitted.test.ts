import { existsSync, readdirSync, readFileSync, statSync } from 'node:fs'
import { join, relative } from 'node:path'
import { convert, FLUTTER, readFiles } from '@unimorph/core'
import { checkDart, type DartFile } from './check/index.js'
import { screensOf } from './lay-out-app.js'
import { readProgram } from './program.js'
import type { Syntax } from './syntax.js'
import { createDartParser } from './testing.js'
import { KNOWN_WIDGETS, SHARED_WIDGETS } from './index.js'

const ROOT = join(__dirname, '../../core/fixtures/emit')

const findCases = (folder: string): string[] => {
  const names = readdirSync(folder)
  if (names.some((name) => name.startsWith('input.'))) return [folder]
  return names
    .map((name) => join(folder, name))
    .filter((path) => statSync(path).isDirectory())
    .flatMap(findCases)
}

const CASES = [
  ...findCases(ROOT).map((folder) => [relative(ROOT, folder), folder] as const),
  ...['tidewrack.json', 'night-ferry-kiosk.svg'].map(
    (name) => [name, join(__dirname, '../../demo/designs', name)] as const,
  ),
]

let parse: (code: string) => Syntax
beforeAll(async () => {
  parse = await createDartParser()
})

/** The files of Dart that a design becomes, parsed. */
const emit = (path: string): readonly DartFile[] => {
  const isFolder = statSync(path).isDirectory()
  const file = isFolder
    ? join(
        path,
        readdirSync(path).find((name) => name.startsWith('input.'))!,
      )
    : path
  const options =
    isFolder && existsSync(join(path, 'options.json'))
      ? (JSON.parse(readFileSync(join(path, 'options.json'), 'utf8')) as { select?: string[] })
      : {}
  const intake = readFiles([
    { name: file.slice(file.lastIndexOf('/') + 1), bytes: readFileSync(file) },
  ])
  const result = convert(intake.design!, [], { target: 'flutter', ...options })
  if (!result.ok) throw new Error('It was not converted.')
  return result.value.files.flatMap(({ path: name, content }) =>
    name.endsWith('.dart') && content.kind === 'text'
      ? [{ path: name, syntax: parse(content.text) }]
      : [],
  )
}

test.each(CASES)(
  '%s is Dart that calls only what Flutter has, and is laid out at every width',
  (_name, path) => {
    const files = emit(path)
    const program = readProgram(files.map(({ syntax }) => syntax))
    expect(program.classes.get('App')).toBeDefined()
    expect(screensOf(program).length).toBeGreaterThan(0)
    expect(checkDart(files)).toEqual([])
  },
)

test('everything that is written for Flutter is laid out', () => {
  const widgets = Object.entries(FLUTTER)
    .filter(([, { named }]) => named && 'key' in named)
    .map(([name]) => name)
  const known = new Set([...KNOWN_WIDGETS, ...SHARED_WIDGETS])
  // What is held by its edges is laid out by the stack it stands in.
  const left = widgets.filter((name) => !known.has(name) && !name.startsWith('Positioned'))
  expect(left).toEqual([])
})
