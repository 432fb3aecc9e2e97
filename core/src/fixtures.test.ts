import {
  existsSync,
  mkdirSync,
  readdirSync,
  readFileSync,
  rmSync,
  statSync,
  writeFileSync,
} from 'node:fs'
import { dirname, join, relative } from 'node:path'
import { format } from 'prettier'
import { convert } from './convert.js'
import { TARGETS, type TargetId } from './emit/index.js'
import { STYLINGS, type StylingId } from './emit/styling/styling.js'
import type { EmittedFile } from './emit/shared/emitted-file.js'
import { readFiles } from './intake/index.js'

/**
 * Every folder under `fixtures/` with an `input.json` or `input.svg` is a test: its name is the title, and
 * `expected/` holds what each target writes. `npm run fixtures:update` rewrites what differs.
 */
const ROOT = join(__dirname, '../fixtures')
const UPDATE = process.env['UPDATE_FIXTURES'] === '1'

const OTHER_STYLINGS = STYLINGS.filter((styling) => styling !== 'tailwind')

const listFiles = (folder: string): string[] =>
  !existsSync(folder)
    ? []
    : readdirSync(folder)
        .sort()
        .flatMap((name) => {
          const path = join(folder, name)
          return statSync(path).isDirectory() ? listFiles(path) : [path]
        })

const findCases = (folder: string): string[] => {
  const names = readdirSync(folder)
  if (names.some((n) => n.startsWith('input.'))) return [folder]
  return names
    .map((n) => join(folder, n))
    .filter((p) => statSync(p).isDirectory())
    .flatMap(findCases)
}

/** Files that are the same whatever is converted. */
const CONSTANT =
  /^\w+\/(package\.json|eslint\.config\.js|public\/favicon\.svg|favicon\.svg|\.(gitignore|nvmrc|htmlvalidate\.json)|angular\.json|tsconfig\.json|vite\.config\.ts|README\.md|\.p.*|src\/main\.tsx?)$|^(react|vue)\/(index\.html|src\/behaviour\/.*)$|^vue\/src\/(index\.css|forms\/.*)$|^html\/behaviour\.js$|^flutter\/(analysis_options\.yaml|lib\/(main|shared\/.*)\.dart|lib\/shared\/.*)$|^angular\/src\/(styles\.css|index\.html|app\/(app\.(config\.)?ts|behaviour\/.*))$/

const PARSERS: Readonly<Record<string, string>> = {
  css: 'css',
  scss: 'scss',
  vue: 'vue',
  html: 'html',
  js: 'babel',
  tsx: 'typescript',
  ts: 'typescript',
  json: 'json',
  md: 'markdown',
}

/** Of the files whose endings do not tell, and of those that a target's own settings say otherwise of. */
const parserOf = (target: string, path: string): string => {
  if (/(^|\/)\.(prettier|postcss)rc/.test(path)) return 'json'
  const ending = path.slice(path.lastIndexOf('.') + 1)
  return target === 'angular' && ending === 'html' ? 'angular' : (PARSERS[ending] ?? '')
}

/** Files that Prettier leaves as they are, by parser and text: most files of a project are the same in many. */
const formatted = new Set<string>()

const expectFormatted = async (target: string, files: readonly EmittedFile[]): Promise<void> => {
  for (const { path, content } of files) {
    const parser = parserOf(target, path)
    if (parser === '' || content.kind !== 'text') continue
    const id = `${parser} ${content.text}`
    if (formatted.has(id)) continue
    expect(await format(content.text, { parser, printWidth: 80 })).toBe(content.text)
    formatted.add(id)
  }
}

/** A case in every target, or in those that have a styling. */
const convertCase = (folder: string, more: { readonly styling?: StylingId } = {}) => {
  const input = readdirSync(folder).find((n) => n.startsWith('input.'))!
  const intake = readFiles([{ name: input, bytes: readFileSync(join(folder, input)) }])
  const optionsFile = join(folder, 'options.json')
  const options = existsSync(optionsFile)
    ? (JSON.parse(readFileSync(optionsFile, 'utf8')) as { select?: string[]; styling?: StylingId })
    : {}
  if (!intake.design) throw new Error(intake.notes.map((n) => n.message).join('\n'))
  const { styling } = more
  const targets = Object.entries(TARGETS).filter(
    ([, { stylings }]) => styling === undefined || stylings.includes(styling),
  )
  const results = targets.map(([target]) => {
    const result = convert(intake.design!, [], {
      target: target as TargetId,
      ...options,
      ...more,
    })
    if (!result.ok) throw new Error(result.notes.map((n) => n.message).join('\n'))
    return { target, ...result }
  })
  return { intake, results }
}

type Case = ReturnType<typeof convertCase>
const cases = new Map<string, Case>()

/** A case as Tailwind styles it, converted once for all tests of it. */
const runCase = (folder: string): Case => {
  const known = cases.get(folder) ?? convertCase(folder)
  cases.set(folder, known)
  return known
}

const buildActual = (folder: string): Map<string, string> => {
  const { intake, results } = runCase(folder)
  const actual = new Map<string, string>()
  for (const { target, value } of results) {
    for (const { path, content } of value.files) {
      if (CONSTANT.test(`${target}/${path}`) || content.kind !== 'text') continue
      actual.set(join(target, path), content.text)
    }
  }
  const notes = [...intake.notes, ...results[0]!.notes].map((n) =>
    `${n.code} ${n.where.layer ?? ''} ${n.where.path ?? ''}`.trim(),
  )
  actual.set('notes.txt', `${notes.join('\n')}\n`)
  return actual
}

const update = (expected: string, actual: ReadonlyMap<string, string>): void => {
  for (const file of listFiles(expected)) if (!actual.has(relative(expected, file))) rmSync(file)
  for (const [path, content] of actual) {
    const file = join(expected, path)
    if (existsSync(file) && readFileSync(file, 'utf8') === content) continue
    mkdirSync(dirname(file), { recursive: true })
    writeFileSync(file, content)
    console.log(`wrote ${relative(ROOT, file)}`)
  }
}

describe.each(findCases(ROOT).map((folder) => [relative(ROOT, folder), folder] as const))(
  '%s',
  (_name, folder) => {
    const expected = join(folder, 'expected')

    test('gives the expected files (npm run fixtures:update rewrites them)', () => {
      const actual = buildActual(folder)
      if (UPDATE) update(expected, actual)
      const known = new Map(
        listFiles(expected).map((f) => [relative(expected, f), readFileSync(f, 'utf8')]),
      )
      expect(Object.fromEntries(actual)).toEqual(Object.fromEntries(known))
    })

    test('Prettier changes nothing in any delivered file', async () => {
      for (const { target, value } of runCase(folder).results) {
        await expectFormatted(target, value.files)
      }
    })

    test.each(OTHER_STYLINGS)('so it does styled by %s', async (styling) => {
      for (const { target, value } of convertCase(folder, { styling }).results) {
        await expectFormatted(target, value.files)
      }
    })

    test('every span lies in its file and covers the code of its layer', () => {
      for (const { value } of runCase(folder).results) {
        for (const { content, spans } of value.files) {
          if (content.kind !== 'text') continue
          for (const span of spans) {
            const code = content.text.slice(span.start, span.end)
            expect(code.replace(/^[/>]+/, '')).toMatch(/^(<\w|\{|\(|(const )?[A-Z]\w*[.(])/)
          }
        }
      }
    })
  },
)
