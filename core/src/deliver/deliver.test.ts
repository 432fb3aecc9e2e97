import { readFileSync } from 'node:fs'
import { join, posix } from 'node:path'
import * as fc from 'fast-check'
import { format } from 'prettier'
import ts from 'typescript'
import { convert } from '../convert.js'
import { TARGETS, type TargetId } from '../emit/index.js'
import type { StylingId } from '../emit/styling/styling.js'
import type { EmittedFile } from '../emit/shared/emitted-file.js'
import { readFiles } from '../intake/index.js'
import { FILE_NAMES, FOLDERS, isSafePath, planMoves, type FileLayout } from './file-layout.js'
import { deliver, type HouseStyle } from './index.js'
import { runs } from '../testing/runs.js'

const DEMO = join(__dirname, '../../../demo/designs/tidewrack.json')
const design = readFiles([{ name: 'tidewrack.json', bytes: readFileSync(DEMO) }]).design!

const emit = (target: TargetId, script?: 'javascript', styling: StylingId = 'css') => {
  const result = convert(design, [], { target, script, styling })
  if (!result.ok) throw new Error('It was not converted.')
  return result.value
}

const make = async (target: TargetId, house: HouseStyle) =>
  deliver(emit(target, house.script === 'javascript' ? 'javascript' : undefined), house, target)

const textsOf = (files: readonly EmittedFile[]): ReadonlyMap<string, string> =>
  new Map(
    files.flatMap(({ path, content }) =>
      content.kind === 'text' ? [[path, content.text] as const] : [],
    ),
  )

/** What a file says of others by a relative path, whatever kind of file it is. */
const RELATIVE =
  /(?:from |import |Url: |url\(|src=|href=|@use )["'](\.{1,2}\/[^"']+|[\w/-]+\.(?:png|css|js|html|dart)|(?<=@use ")[\w/-]+)["']|(src\/[\w./-]+\.s?css)/g

/** The relative paths that lead nowhere. */
const findLost = (files: readonly EmittedFile[]): readonly string[] => {
  const paths = new Set(files.map(({ path }) => path))
  return [...textsOf(files)].flatMap(([path, text]) =>
    [...text.matchAll(RELATIVE)].flatMap(([, named, told]) => {
      const address = named ?? told
      const full = posix.join(posix.dirname(path), address!)
      const beside = `${posix.join(posix.dirname(path), posix.dirname(address!))}/_${posix.basename(address!)}.scss`
      const isThere =
        paths.has(address!) ||
        paths.has(beside.replace(/^\.\//, '')) ||
        ['', '.ts', '.tsx', '.js', '.jsx', '.vue'].some((end) => paths.has(full + end)) ||
        paths.has(`public/${address!}`)
      return isThere ? [] : [`${path}: ${address!}`]
    }),
  )
}

/** The words of the layers in the order of their code: what a formatter must not change. */
const wordsOf = ({ content, spans }: EmittedFile): readonly string[] =>
  content.kind === 'text'
    ? spans.map(
        ({ layer, start, end }) =>
          `${layer} ${content.text.slice(start, end).replace(/[^\p{L}\p{N}<>/]/gu, '')}`,
      )
    : []

describe('the style of a house', () => {
  test('changes nothing where nothing is asked for', async () => {
    const emitted = emit('react')
    const { files, notes } = await deliver(emitted, { code: { quotes: 'double' } }, 'react')
    expect(files).toBe(emitted.files)
    expect(notes).toEqual([])
  })

  test.each(['react', 'vue', 'angular', 'html'] as const)(
    'is how %s is formatted, and what its own Prettier is set to',
    async (target) => {
      const code = {
        quotes: 'single',
        semicolons: false,
        indent: 4,
        width: 100,
        trailingCommas: 'none',
        attributes: 'one-per-line',
        brackets: 'same-line',
        arrows: 'avoid',
      } as const
      const { files } = await make(target, { code })
      const texts = textsOf(files)
      const options = JSON.parse(texts.get('.prettierrc')!) as Record<string, unknown>
      expect(options).toMatchObject({
        singleQuote: true,
        semi: false,
        tabWidth: 4,
        printWidth: 100,
        trailingComma: 'none',
        singleAttributePerLine: true,
        bracketSameLine: true,
        arrowParens: 'avoid',
      })
      for (const [path, text] of texts) {
        if (!/\.(tsx?|vue|html|css)$/.test(path)) continue
        const isAngular = target === 'angular' && path.endsWith('.html')
        const how = { ...options, overrides: [], filepath: path }
        expect([path, await format(text, isAngular ? { ...how, parser: 'angular' } : how)]).toEqual(
          [path, text],
        )
      }
    },
  )

  test('leaves what the formatter cannot read as it is, and says so', async () => {
    const emitted = emit('react')
    const broken = emitted.files.map((file): EmittedFile =>
      file.path === 'src/App.tsx'
        ? { ...file, content: { kind: 'text', text: 'export const = ;\n' } }
        : file,
    )
    const { files, notes } = await deliver(
      { ...emitted, files: broken },
      { code: { quotes: 'single' } },
      'react',
    )
    expect(textsOf(files).get('src/App.tsx')).toBe('export const = ;\n')
    expect(textsOf(files).get('src/main.tsx')).toContain("from 'react'")
    expect(notes.map(({ code }) => code)).toEqual(['deliver/not-formatted'])
  })

  test.each(['react', 'vue', 'angular', 'html'] as const)(
    'leaves every layer of %s joined to the same code',
    async (target) => {
      const before = emit(target)
      const { files } = await deliver(
        before,
        { code: { indent: 'tab', width: 60, semicolons: false, quotes: 'single' } },
        target,
      )
      expect(files.map(wordsOf)).toEqual(before.files.map(wordsOf))
    },
  )
})

describe('JavaScript', () => {
  test('is React without types: they stand in comments', async () => {
    const { files, pages } = await make('react', { script: 'javascript' })
    const texts = textsOf(files)
    expect([...texts.keys()].filter((path) => /\.tsx?$|tsconfig/.test(path))).toEqual([])
    expect(texts.get('package.json')).not.toMatch(/typescript|@types/)
    expect(texts.get('index.html')).toContain('src="/src/main.jsx"')
    expect(texts.get('src/components/ButtonLink.jsx')).toContain(
      ' * @property {"primary" | "plain"} [tone]',
    )
    expect(Object.values(pages).map(({ path }) => path)).toContain(
      'src/screens/TodayOnTheShore.jsx',
    )
    for (const [path, text] of texts) {
      if (!/\.jsx?$/.test(path)) continue
      const { diagnostics } = ts.transpileModule(text, {
        fileName: path,
        reportDiagnostics: true,
        compilerOptions: {
          allowJs: true,
          jsx: ts.JsxEmit.Preserve,
          target: ts.ScriptTarget.ES2022,
        },
      })
      expect([path, diagnostics!.map(({ messageText }) => messageText)]).toEqual([path, []])
    }
  })

  test('keeps layers joined to their code', async () => {
    const typed = emit('react')
    const { files } = await make('react', { script: 'javascript' })
    const layersOf = (all: readonly EmittedFile[]): string[] =>
      all.flatMap(({ spans }) => spans.map(({ layer }) => layer)).sort()
    expect(layersOf(files)).toEqual(layersOf(typed.files))
  })

  test('is for React alone', async () => {
    const { files } = await make('vue', { script: 'javascript' })
    expect([...textsOf(files).keys()]).toContain('src/main.ts')
  })
})

describe('files', () => {
  test('are named and put where a house has them, and what names them follows', async () => {
    const { files, components } = await make('react', {
      files: {
        names: 'kebab',
        folders: { components: 'ui', assets: 'media/pictures' },
        renamed: { 'src/components/Field.tsx': 'src/fields/Field.tsx' },
      },
    })
    const paths = files.map(({ path }) => path)
    expect(paths).toEqual(
      expect.arrayContaining([
        'src/ui/button-link.tsx',
        'src/fields/Field.tsx',
        'src/screens/log-a-sighting.tsx',
        'src/media/pictures/shore.png',
      ]),
    )
    const texts = textsOf(files)
    expect(texts.get('src/screens/log-a-sighting.tsx')).toContain('from "../fields/Field";')
    expect(texts.get('.prettierignore')).toContain('src/media/pictures')
    expect(components.map(({ path }) => path)).toContain('src/ui/button-link.tsx')
    expect(findLost(files)).toEqual([])
  })

  const folder = fc.constantFrom('ui', 'parts/own', 'X', 'a_b', '(group)')
  const layouts: fc.Arbitrary<FileLayout> = fc.record({
    names: fc.option(fc.constantFrom(...FILE_NAMES), { nil: undefined }),
    folders: fc
      .uniqueArray(fc.tuple(fc.constantFrom(...FOLDERS), folder), { selector: ([name]) => name })
      .map((all) => Object.fromEntries(all)),
  })

  test.each(Object.keys(TARGETS) as TargetId[])(
    'of %s are found by what names them, in any layout',
    async (target) => {
      const emitted = emit(target, undefined, 'scss')
      expect(findLost(emitted.files)).toEqual([])
      await fc.assert(
        fc.asyncProperty(layouts, async (layout) => {
          const { files } = await deliver(emitted, { files: layout }, target)
          expect(new Set(files.map(({ path }) => path.toLowerCase())).size).toBe(files.length)
          expect(findLost(files)).toEqual([])
        }),
        runs(8),
      )
    },
  )

  test('of Flutter are listed where they are', async () => {
    const { files, notes } = await make('flutter', {
      files: { folders: { assets: 'pictures' }, renamed: { 'assets/shore.png': 'x/shore.png' } },
    })
    const texts = textsOf(files)
    expect(texts.get('pubspec.yaml')).toContain('\n  assets:\n    - pictures/\n')
    const code = [...texts.values()].join('')
    expect(code).toMatch(/'pictures\/[\w-]+\.\w+'/)
    expect(code).not.toContain("'assets/")
    expect(notes).toHaveLength(1)
  })

  test('that tools look for by name stay, and so do those whose place is taken', async () => {
    const renamed = {
      'package.json': 'manifest.json',
      'src/components/Field.tsx': 'src/components/figure.tsx',
      'src/components/Nowhere.tsx': 'src/components/Somewhere.tsx',
    }
    const { files, notes } = await make('react', { files: { renamed } })
    expect(files.map(({ path }) => path)).toEqual(
      expect.arrayContaining(['package.json', 'src/components/Field.tsx']),
    )
    expect(notes.map(({ message }) => message)).toEqual([
      'package.json was not moved to manifest.json: the tools of the project look for it where it is.',
      'src/components/Field.tsx was not moved to src/components/figure.tsx: another file is there.',
      'There is no file src/components/Nowhere.tsx that could be moved to src/components/Somewhere.tsx.',
    ])
  })

  test('change places where both move', () => {
    const renamed = { 'a/A.ts': 'a/C.ts', 'a/B.ts': 'a/A.ts' }
    const { moves, refused } = planMoves(['a/A.ts', 'a/B.ts'], { renamed }, () => false)
    expect([...moves]).toEqual([
      ['a/A.ts', 'a/C.ts'],
      ['a/B.ts', 'a/A.ts'],
    ])
    expect(refused).toEqual([])
  })

  test.each([
    '../x.ts',
    '/etc/x',
    'a/../b',
    'a//b',
    '',
    'a/.',
    '.git/config',
    'a\\b',
    'a b.ts',
    'C:x',
  ])('never have the path %j', (path) => expect(isSafePath(path)).toBe(false))
})
