import { existsSync, readdirSync, readFileSync, writeFileSync } from 'node:fs'
import { join, relative } from 'node:path'
import { format } from 'prettier'
import { convert, type Settings } from './convert.js'
import { readDesign } from './design/read-design.js'
import { TARGETS, type TargetId } from './emit/index.js'
import { STYLINGS, type StylingId } from './emit/styling/styling.js'

/**
 * One idea a folder, in every target: `layers.json` has what stands on a screen, and what else the design or the settings say;
 * `expected.md` has the code of the screen. `npm run fixtures:update` rewrites what differs.
 */
const ROOT = join(__dirname, '../fixtures/small')
const UPDATE = process.env['UPDATE_FIXTURES'] === '1'

type Case = {
  readonly screen: object
  readonly children: readonly object[]
  readonly settings?: Partial<Settings> & { readonly styling?: StylingId }
  readonly [more: string]: unknown
}

const folders = readdirSync(ROOT).flatMap((topic) =>
  readdirSync(join(ROOT, topic)).map((name) => join(ROOT, topic, name)),
)

const readCase = (folder: string) => {
  const { screen, children, settings, ...more } = JSON.parse(
    readFileSync(join(folder, 'layers.json'), 'utf8'),
  ) as Case
  const read = readDesign({
    format: 'unimorph-design',
    version: 2,
    name: 'Case',
    ...more,
    screens: [
      {
        type: 'frame',
        key: 'home',
        name: 'Home',
        box: { x: 0, y: 0, width: 400, height: 300 },
        ...screen,
        children,
      },
    ],
  })
  if (!read.ok) throw new Error(read.notes.map(({ message }) => message).join('\n'))
  return { design: read.value, settings: settings ?? {} }
}

const PARSERS: Readonly<Record<string, string>> = {
  css: 'css',
  dart: '',
  html: 'html',
  ts: 'typescript',
  tsx: 'typescript',
  vue: 'vue',
}

const endingOf = (path: string): string => path.slice(path.lastIndexOf('.') + 1)

/** The files in which the code of screens and components stands. */
const OWN =
  /^(?:[\w-]+\.html|src\/(?:screens|components|app\/screens|app\/components)\/.+|lib\/(?:screens|widgets|components)\/.+|src\/styles\.css|styles\.css)$/

const between = (text: string, pattern: RegExp): string | undefined => pattern.exec(text)?.[1]

/** What of a file says something of the case, where the rest is as in all; undefined when nothing does. */
const essenceOf = (target: string, path: string, text: string): string | undefined => {
  switch (endingOf(path)) {
    case 'html':
      if (target === 'html') return between(text, /<body>\n([^]*)<\/body>/) ?? text
      // Where apps put themselves.
      return path === 'index.html' ? undefined : text
    case 'vue':
      return text.replace(
        /^<script setup lang="ts">\nimport \{ usePage \} from "[^"]*";\n\nusePage\("[^"]*"\);\n<\/script>\n\n/,
        '',
      )
    case 'ts':
      return /export class \w+ \{\n(?: {2}constructor\(\) \{\n {4}usePage\("[^"]*"\);\n {2}\}\n)?\}\n$/.test(
        text,
      )
        ? undefined
        : text
    case 'dart':
      return (
        between(
          text,
          /^(?:import [^\n]+\n|\n|\/\/\/[^\n]*\n)*class \w+ extends StatelessWidget \{\n {2}const \w+\(\{super\.key\}\);\n\n {2}@override\n {2}Widget build\(BuildContext context\) \{\n {4}return ([^]*);\n {2}\}\n\}\n$/,
        ) ?? text
      )
    default:
      return text
  }
}

const dedent = (text: string): string => {
  const lines = text.split('\n')
  const depths = lines.filter((line) => line.trim() !== '').map((line) => line.search(/\S/))
  const least = Math.min(...depths)
  return lines.map((line) => line.slice(least)).join('\n')
}

const convertCase = (folder: string) => {
  const { design, settings } = readCase(folder)
  const { styling = 'tailwind' } = settings
  return Object.entries(TARGETS).flatMap(([id, { label, stylings }]) => {
    const hasStyling = stylings.length === 0 || stylings.includes(styling)
    const result = convert(design, [], { ...settings, target: id as TargetId })
    if (!result.ok) throw new Error(result.notes.map(({ message }) => message).join('\n'))
    const files = result.value.files.flatMap(({ path, content }) =>
      content.kind === 'text' && OWN.test(path) ? [{ path, text: content.text }] : [],
    )
    return hasStyling ? [{ id, label, files }] : []
  })
}

const print = (converted: ReturnType<typeof convertCase>): string =>
  converted
    .map(({ id, label, files }) => {
      const blocks = files
        .filter(({ path }) => !path.endsWith('styles.css'))
        .flatMap(({ path, text }) => {
          const essence = essenceOf(id, path, text)
          if (essence === undefined) return []
          return [`\`${path}\`\n\n~~~${endingOf(path)}\n${dedent(essence).trimEnd()}\n~~~\n`]
        })
      return `## ${label}\n\n${blocks.join('\n')}`
    })
    .join('\n')

test('every styling and every target is shown', () => {
  const shown = folders.map((folder) => readCase(folder).settings.styling)
  expect(
    STYLINGS.filter((id) => id !== 'tailwind' && id !== 'scss' && !shown.includes(id)),
  ).toEqual([])
  expect(folders.length).toBeGreaterThanOrEqual(100)
})

test.each(folders.map((folder) => [relative(ROOT, folder), folder] as const))(
  '%s',
  async (_name, folder) => {
    const converted = convertCase(folder)
    const file = join(folder, 'expected.md')
    const actual = print(converted)
    if (UPDATE && (!existsSync(file) || readFileSync(file, 'utf8') !== actual)) {
      writeFileSync(file, actual)
      console.log(`wrote ${relative(ROOT, file)}`)
    }
    expect(actual).toBe(existsSync(file) ? readFileSync(file, 'utf8') : 'npm run fixtures:update')
    for (const { id, files } of converted) {
      for (const { path, text } of files) {
        const parser =
          id === 'angular' && path.endsWith('.html') ? 'angular' : PARSERS[endingOf(path)]
        if (parser) expect(await format(text, { parser, printWidth: 80 })).toBe(text)
      }
    }
  },
)
