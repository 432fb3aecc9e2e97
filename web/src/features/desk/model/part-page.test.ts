import type { EmittedComponent, EmittedFile } from '@unimorph/core'
import {
  buildPartFiles,
  buildPartPage,
  findPictures,
  givenBy,
  linesOf,
  readLines,
} from './part-page'

const file = (path: string, text: string): EmittedFile => ({
  path,
  content: { kind: 'text', text },
  spans: [],
})

const converted = (target: 'html' | 'react' | 'vue', files: EmittedFile[]) => ({
  target,
  files,
  origins: {},
  pages: {},
  forms: [],
  flow: [],
  parts: [],
  detached: [],
  refused: [],
  slots: [],
  components: [],
  language: 'en',
  notes: [],
  faults: [],
  alone: { target, files, pages: {}, components: [], css: '.a{}' },
  elapsedMs: 0,
})

const COMPONENT: EmittedComponent = {
  part: 'a',
  tag: 'ShoreCard',
  path: 'src/components/ShoreCard.tsx',
  props: [
    { id: 'title', name: 'title', kind: 'text', isOptional: false },
    { id: 'picture', name: 'picture', kind: 'code', isOptional: false },
    { id: 'rare', name: 'rare', kind: 'flag', isOptional: true, standard: false },
    { id: 'className', name: 'className', kind: 'classes', isOptional: true, standard: '' },
    { id: 'icon', name: 'icon', kind: 'slot', isOptional: false },
    { id: 'finds', name: 'finds', kind: 'list', isOptional: false },
  ],
  uses: [
    { layer: 'a', values: ['Gannet Spit', 'shore', undefined, 'mt-2', 'Gull', 'Rope\nKelp'] },
    { layer: 'b', values: ['Kelp Pier', 'pier', true, '', 'Crab', 'Float'] },
  ],
}

const SOURCES = [
  file('src/main.tsx', 'the app'),
  file(
    'src/screens/Home.tsx',
    'import shore from "../assets/shore.png";\nimport pier from "../assets/pier.png";\n',
  ),
  file('src/index.css', '@theme {\n  --font-inter: "Inter", sans-serif;\n}\n'),
  file('README.md', '# Screens'),
]

describe('a component by itself', () => {
  test('is given what one of its instances gives, but for where that stands and what is shown in it', () => {
    expect(givenBy(COMPONENT, 'b')).toEqual({
      title: 'Kelp Pier',
      picture: { picture: 'pier' },
      rare: true,
      finds: ['Float'],
    })
    expect(givenBy(COMPONENT, 'gone')).toEqual({
      title: 'Gannet Spit',
      picture: { picture: 'shore' },
      finds: ['Rope', 'Kelp'],
    })
  })

  test('runs in an app of its own, with the pictures it may be given', () => {
    const made = converted('react', SOURCES)
    expect([...findPictures(made)]).toEqual([
      ['shore', 'assets/shore.png'],
      ['pier', 'assets/pier.png'],
    ])
    const files = buildPartFiles(made, COMPONENT)!
    expect(files.map(({ path }) => path)).toEqual([
      'src/screens/Home.tsx',
      'src/index.css',
      'src/main.tsx',
    ])
    const entry = files.at(-1)!.content
    expect(entry).toContain('import { ShoreCard as Part } from "./components/ShoreCard";')
    expect(entry).toContain('import pier from "./assets/pier.png";')
    expect(entry).not.toContain('the app')
  })

  test('is a single-file component in Vue, and nothing in HTML', () => {
    const entry = buildPartFiles(converted('vue', SOURCES), COMPONENT)!.at(-1)!
    expect(entry.path).toBe('src/main.ts')
    expect(entry.content).toContain('import Part from "./components/ShoreCard.vue";')
    expect(buildPartFiles(converted('html', SOURCES), COMPONENT)).toBeUndefined()
  })

  test('stands on a page with room around it and the font of the pages', () => {
    const page = buildPartPage(converted('react', SOURCES), {
      script: 'run()',
      runtimes: ['react'],
    })
    expect(page).toContain('<body style="padding:24px;font-family:var(--font-inter)">')
    expect(page).toContain('<script>run()</script>')
  })
})

test('things of a list that have several texts are given as such, and typed a line each', () => {
  const fields = [{ name: 'what' }, { name: 'price' }]
  const component: EmittedComponent = {
    ...COMPONENT,
    props: [{ id: 'items', name: 'items', kind: 'list', fields, isOptional: false }],
    uses: [{ layer: 'a', values: ['Tide tables\t€ 1\nMail\t€ 2'] }],
  }
  const { items } = givenBy(component, 'a')
  const things = [
    { what: 'Tide tables', price: '€ 1' },
    { what: 'Mail', price: '€ 2' },
  ]
  expect(items).toEqual(things)
  expect(linesOf(items)).toBe('Tide tables | € 1\nMail | € 2')
  expect(readLines(linesOf(items), fields)).toEqual(things)
  expect(readLines('Mail', fields)).toEqual([{ what: 'Mail', price: '' }])
})

test('words that are numbers are given as numbers', () => {
  const component: EmittedComponent = {
    ...COMPONENT,
    props: [{ id: 'count', name: 'count', kind: 'number', isOptional: false }],
    uses: [{ layer: 'a', values: ['12'] }],
  }
  expect(givenBy(component, 'a')).toEqual({ count: 12 })
})
