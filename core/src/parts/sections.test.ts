import { convert, prepare, type Settings } from '../convert.js'
import type { Edit } from '../edits/edit.js'
import { TARGETS } from '../emit/index.js'
import { design, frame, layer } from '../testing/design.js'
import { at, words } from '../testing/page.js'
import type { UiBox, UiNode } from '../ui/nodes.js'
import { box, field, inColor, solid } from '../testing/roles.js'

type Json = Record<string, unknown>

/** A block with a heading and some rows that are not alike. */
const block = (key: string, heading: string, y: number, rows: number): Json[] => [
  box(key, at(0, y, 1280, 100 + rows * 60), solid(y % 200 === 0 ? '#e8f0ec' : '#f4f1ea')),
  words(`${key}-heading`, heading, 48, y + 24, 32),
  ...Array.from({ length: rows }, (_, i) => [
    words(`${key}-a${i}`, `Walked ${i + 2} times`, 48, y + 84 + i * 60, 16 + (i % 3) * 2),
    words(`${key}-b${i}`, `Row ${i} of ${heading}`, 480 + i * 24, y + 84 + i * 60, 14),
  ]).flat(),
]

const longPage = (...more: Json[]): Json[] => [
  words('title', 'Shores', 48, 40, 48),
  ...block('one', 'TIDES TODAY', 160, 7),
  ...block('two', 'What the sea’s left', 700, 7),
  ...block('three', 'Walk with us', 1240, 7),
  ...more,
]

const PAGE = { ...at(0, 0, 1280, 1900), ...solid('#ffffff'), name: 'Shores' }

const filesOf = (
  children: Json[],
  settings: Partial<Settings> = {},
  edits: readonly Edit[] = [],
): ReadonlyMap<string, string> => {
  const result = convert(design([frame('page', children, PAGE)]), edits, {
    target: 'react',
    ...settings,
  })
  if (!result.ok) throw new Error('not converted')
  return new Map(
    result.value.files.flatMap(({ path, content }) =>
      content.kind === 'text' ? [[path, content.text] as const] : [],
    ),
  )
}

const sectionsIn = (files: ReadonlyMap<string, string>): readonly string[] =>
  [...files.keys()].filter((path) => path.startsWith('src/sections/'))

describe('a long page', () => {
  test('is a page that composes its sections, which are named by their headings', () => {
    const files = filesOf(longPage())
    expect(sectionsIn(files)).toEqual([
      'src/sections/TidesToday.tsx',
      'src/sections/WhatTheSeasLeft.tsx',
      'src/sections/WalkWithUs.tsx',
    ])
    const page = files.get('src/screens/Shores.tsx')!
    expect(page).toContain('import { TidesToday } from "../sections/TidesToday";')
    expect(page.indexOf('<TidesToday />')).toBeLessThan(page.indexOf('<WhatTheSeasLeft />'))
    expect(page).not.toContain('Walked')
    expect(files.get('src/sections/WalkWithUs.tsx')).toContain('Row 6 of Walk with us')
  })

  test('is one file where a person wants it so', () => {
    const files = filesOf(longPage(), { grain: 'page' })
    expect(sectionsIn(files)).toEqual([])
    expect(files.get('src/screens/Shores.tsx')).toContain('Row 6 of Walk with us')
  })

  test('keeps a section where it stands, or calls it, as a person says', () => {
    const files = filesOf(longPage(), {}, [
      { kind: 'set-part', layers: ['one'], as: 'none' },
      { kind: 'set-part', layers: ['two'], name: 'Finds' },
    ])
    expect(sectionsIn(files)).toEqual(['src/sections/Finds.tsx', 'src/sections/WalkWithUs.tsx'])
    expect(files.get('src/screens/Shores.tsx')).toContain('Row 6 of TIDES TODAY')
  })

  test('what opens a dialog stays with the page that holds it', () => {
    const opens = {
      ...inColor('#1b3a2f', 'opens', 'What is low water?', 48, 1700),
      link: { kind: 'open', screen: 'help', as: 'dialog' },
    }
    const help = frame('help', [words('help-text', 'The sea at its lowest', 24, 24)], {
      ...at(1400, 0, 400, 200),
      ...solid('#ffffff'),
    })
    const page = frame('page', longPage(opens), PAGE)
    const result = convert(design([page, help]), [], { target: 'react' })
    if (!result.ok) throw new Error('not converted')
    const paths = result.value.files.map(({ path }) => path)
    expect(paths).not.toContain('src/sections/WalkWithUs.tsx')
    expect(paths).toContain('src/sections/TidesToday.tsx')
  })
})

describe('a short page', () => {
  const short = [
    words('title', 'Shores', 48, 40, 48),
    ...block('one', 'Tides', 160, 2),
    ...block('two', 'Finds', 440, 2),
    ...block('three', 'Walks', 720, 2),
  ]

  test('is one file', () => {
    expect(sectionsIn(filesOf(short))).toEqual([])
  })

  test('a form is a section with its fields, its code and its answers', () => {
    const form = [
      box('form', at(0, 1800, 1280, 500), solid('#eef2f7')),
      words('form-heading', 'Log a sighting', 48, 1824, 32),
      ...['Species', 'Place', 'Your name'].flatMap((label, i) => [
        words(`label-${i}`, label, 48, 1890 + i * 90, 14),
        field(`field-${i}`, 48, 1914 + i * 90),
      ]),
      layer('rectangle', 'send', { ...at(48, 2180, 160, 44), ...solid('#1b3a2f'), radius: 6 }),
      inColor('#ffffff', 'send-label', 'Send', 109, 2190),
    ]
    const files = filesOf(longPage(...form))
    const path = sectionsIn(files).find((one) => one.includes('Log'))
    expect(path).toBe('src/sections/LogASightingForm.tsx')
    expect(files.get(path!)).toContain('<form')
  })
})

test('a section that is built in two ways, for different widths, is two files', () => {
  const prepared = prepare(design([frame('page', longPage(), PAGE)]), [])
  if (!prepared.ok) throw new Error('not converted')
  const project = prepared.value
  const [page] = project.pages
  const root = page!.root as UiBox
  const section = root.children.find(
    (node): node is UiBox => node.type === 'box' && !!node.section,
  )!
  const other: UiNode = { ...section, children: section.children.slice(1) }
  const pages = [{ ...page!, root: { ...root, children: [...root.children, other] } }]
  const { files } = TARGETS.react.emit({ ...project, pages }, { marks: false })
  const count = (all: typeof files): number =>
    all.filter(({ path }) => path.startsWith('src/sections/')).length
  const before = TARGETS.react.emit(project, { marks: false }).files
  expect(count(files)).toBe(count(before) + 1)
})
