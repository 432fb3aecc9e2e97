import { readFileSync } from 'node:fs'
import { join } from 'node:path'
import { convert } from '../../convert.js'
import { readFiles } from '../../intake/index.js'
import type { TargetId } from '../index.js'
import type { EmittedFile } from '../shared/emitted-file.js'
import type { StylingId } from './styling.js'

const TIDEWRACK = join(__dirname, '../../../../demo/designs/tidewrack.json')
const design = readFiles([{ name: 'tidewrack.json', bytes: readFileSync(TIDEWRACK) }]).design!

const made = (target: TargetId, styling: StylingId) => {
  const result = convert(design, [], { target, styling })
  if (!result.ok) throw new Error('It was not converted.')
  const texts = new Map(
    result.value.files.flatMap(({ path, content }: EmittedFile) =>
      content.kind === 'text' ? [[path, content.text] as const] : [],
    ),
  )
  return { texts, notes: result.notes }
}

const all = (text: string, pattern: RegExp): string[] => [
  ...new Set([...text.matchAll(pattern)].map(([, name]) => name!)),
]

/** The classes that a sheet has, by the rules that begin a line. */
const classesOf = (sheet: string): string[] => all(sheet, /^\.([\w-]+) \{$/gm).sort()

const withEnding = (texts: ReadonlyMap<string, string>, ending: string) =>
  [...texts].filter(([path]) => path.endsWith(ending))

describe('modules of CSS', () => {
  test('are beside each React component that has a look, with a rule for each class it names and no other', () => {
    const { texts } = made('react', 'css-modules')
    const sheets = withEnding(texts, '.module.css')
    expect(sheets.length).toBeGreaterThan(5)
    for (const [path, sheet] of sheets) {
      const component = texts.get(path.replace('.module.css', '.tsx'))!
      const name = path.slice(path.lastIndexOf('/') + 1)
      expect(component).toContain(`import styles from "./${name}";`)
      expect([path, all(component, /\bstyles\.(\w+)/g).sort()]).toEqual([path, classesOf(sheet)])
    }
  })

  test('are blocks of Vue’s components, which name the same classes', () => {
    const { texts } = made('vue', 'css-modules')
    const styled = withEnding(texts, '.vue').filter(([, text]) => text.includes('<style module>'))
    expect(styled.length).toBeGreaterThan(5)
    for (const [path, text] of styled) {
      const [component, sheet] = text.split('<style module>')
      expect([path, all(component!, /\$?\bstyle\.(\w+)/g).sort()]).toEqual([
        path,
        classesOf(sheet!),
      ])
    }
  })

  test('are sheets of their own in Angular and HTML, whose names are found in the markup beside', () => {
    const angular = made('angular', 'css-modules').texts
    const sheets = withEnding(angular, '.css').filter(([path]) => path.startsWith('src/app/'))
    expect(sheets.length).toBeGreaterThan(5)
    for (const [path, sheet] of sheets) {
      const beside = ['.ts', '.html'].map((end) => angular.get(path.replace('.css', end))).join()
      for (const name of classesOf(sheet))
        expect([path, beside]).toEqual([path, expect.stringContaining(name)])
    }
    const html = made('html', 'css-modules').texts
    expect(html.get('index.html')).toContain('<link rel="stylesheet" href="styles/index.css" />')
    expect(classesOf(html.get('styles/index.css')!)).toContain('today-on-the-shore__hero')
    expect(html.get('styles.css')).not.toContain('today-on-the-shore')
  })

  test('reach what others look at by the name it has everywhere', () => {
    const { texts } = made('react', 'css-modules')
    expect(texts.get('src/components/ButtonLink.module.css')).toContain(':global(.group):hover & {')
  })
})

describe('CSS in JS', () => {
  test('is an object beside each React component, with a class for each name that is used', () => {
    const { texts } = made('react', 'css-in-js')
    const objects = withEnding(texts, '.styles.ts')
    expect(objects.length).toBeGreaterThan(5)
    for (const [path, text] of objects) {
      const component = texts.get(path.replace('.styles.ts', '.tsx'))!
      expect([path, all(component, /\bstyles\.(\w+)/g).sort()]).toEqual([
        path,
        all(text, /^ {2}(\w+): css\(/gm).sort(),
      ])
    }
    expect(texts.get('package.json')).toContain('"@emotion/css"')
  })

  test('is for React: elsewhere plain CSS is written, and that is said', () => {
    const { texts, notes } = made('vue', 'css-in-js')
    expect(texts).toEqual(made('vue', 'css').texts)
    expect(notes.map(({ message }) => message)).toContain(
      'Vue is not styled by css-in-js: plain CSS was written.',
    )
  })
})

describe('SCSS', () => {
  test('has a file for each component, all of which the first one uses', () => {
    const { texts } = made('react', 'scss')
    const used = all(texts.get('src/styles/index.scss')!, /^@use "([\w-]+)";$/gm)
    expect(used.map((name) => `src/styles/_${name}.scss`).sort()).toEqual(
      withEnding(texts, '.scss')
        .map(([path]) => path)
        .filter((path) => !path.endsWith('/index.scss'))
        .sort(),
    )
    expect(texts.get('src/main.tsx')).toContain('import "./styles/index.scss";')
    expect(texts.get('src/styles/_button-link.scss')).toMatch(
      /^\.button-link \{[\s\S]*\n {2}&__label/,
    )
  })

  test('is delivered with the sheet it becomes, where pages are opened as they are', () => {
    const scss = made('html', 'scss').texts
    expect(scss.get('styles.css')).toBe(made('html', 'css').texts.get('styles.css'))
    expect(JSON.parse(scss.get('package.json')!)).toMatchObject({
      scripts: { build: 'sass --no-source-map src/styles/index.scss styles.css' },
    })
  })
})
