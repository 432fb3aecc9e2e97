import { symlinkSync } from 'node:fs'
import { join } from 'node:path'
import type { Codebase } from '@unimorph/core'
import ts from 'typescript'
import { createCache, readCache, writeCache } from './cache.js'
import { scanCodebase } from './scan.js'
import { createFolder, find, linesOf } from './testing.js'

let folder: ReturnType<typeof createFolder>
const scan = (files: Readonly<Record<string, string>>): Promise<Codebase> => {
  folder = createFolder(files)
  return scanCodebase(folder.root, createCache())
}
afterEach(() => folder.remove())

describe('React', () => {
  test('types are followed through imports, unions, extends and generics', async () => {
    const found = await scan({
      'src/tone.ts': "export type Tone = 'solid' | 'quiet'",
      'src/base.ts': 'export interface Base<T> { value: T; note?: string }',
      'src/Field.tsx': `
        import type { ReactNode } from 'react'
        import type { Base } from './base'
        import type { Tone } from './tone'
        interface Props extends Base<number> { tone: Tone; icon?: ReactNode; wide?: boolean; onPick?: (id: string) => void; rest?: { a: 1 } }
        /** A field. */
        export function Field({ tone, wide = true }: Props) { return <i>{tone}{wide}</i> }`,
    })
    const field = find(found, 'src/Field.tsx#Field')
    expect(field.about).toBe('A field.')
    expect([...linesOf(field)].sort()).toEqual([
      'event onPick?: handler',
      'icon?: node',
      'note?: string',
      'rest?: other',
      'tone: choice(solid, quiet)',
      'value: number',
      'wide?: boolean = true',
    ])
  })

  test.each([
    ['memo', 'export const A = memo(function A({ a }: P) { return <i>{a}</i> })'],
    [
      'forwardRef',
      'export const A = forwardRef<HTMLElement, P>(({ a }, ref) => <i ref={ref}>{a}</i>)',
    ],
    ['an arrow', 'export const A = ({ a }: P) => <i>{a}</i>'],
    ['a typed constant', 'export const A: FC<P> = ({ a }) => <i>{a}</i>'],
    [
      'a class',
      'export class A extends Component<P> { render() { return <i>{this.props.a}</i> } }',
    ],
    ['a default', 'export default function A({ a }: P) { return <i>{a}</i> }'],
    ['a default by name', 'const A = ({ a }: P) => <i>{a}</i>\nexport default memo(A)'],
  ])('%s is a component', async (_what, code) => {
    const found = await scan({
      'A.tsx': `import { Component, forwardRef, memo, type FC } from 'react'\ntype P = { a: string }\n${code}\nexport const helper = () => 1\nexport type A2 = P`,
    })
    expect(found.components.map(({ name }) => name)).toEqual(['A'])
    expect(linesOf(found.components[0]!)).toEqual(['a: string'])
  })

  test('JavaScript is read by its propTypes', async () => {
    const found = await scan({
      'Card.jsx': `
        import PropTypes from 'prop-types'
        export const Card = ({ kind = 'flat', children }) => <div>{kind}{children}</div>
        Card.propTypes = { kind: PropTypes.oneOf(['flat', 'raised']), count: PropTypes.number.isRequired, children: PropTypes.node, onPick: PropTypes.func }`,
    })
    expect(linesOf(find(found, 'Card.jsx#Card'))).toEqual([
      'kind?: choice(flat, raised) = flat',
      'count: number',
      'slot children?: node',
      'event onPick?: handler',
    ])
  })

  test('what an element takes is known, and marked', async () => {
    const found = await scan({
      'Btn.tsx': `import type { ComponentProps } from 'react'
        export const Btn = ({ tone, ...rest }: ComponentProps<'button'> & { tone?: 'a' }) => <button {...rest}>{tone}</button>`,
    })
    const { props, placedBy } = find(found, 'Btn.tsx#Btn')
    expect(placedBy).toBe('className')
    expect(props.find(({ name }) => name === 'onClick')).toMatchObject({
      as: 'event',
      isInherited: true,
    })
    expect(props.find(({ name }) => name === 'tone')).not.toHaveProperty('isInherited')
  })

  test('how others import it, and how often they use it, is counted', async () => {
    const found = await scan({
      'tsconfig.json': '{ "compilerOptions": { "paths": { "@/*": ["./src/*"] } } }',
      'src/ui/Btn.tsx': 'export const Btn = () => <b />',
      'src/ui/index.ts': "export { Btn as Button } from './Btn'",
      'src/ui/Tag.tsx': 'export default function Tag() { return <i /> }',
      'src/Home.tsx':
        "import { Button } from '@/ui'\nexport const Home = () => <p><Button /><Button /></p>",
    })
    expect(find(found, 'src/ui/Btn.tsx#Btn')).toMatchObject({
      specifier: '@/ui',
      exported: 'Button',
      uses: 2,
    })
    // Nobody uses it yet: it is imported as the others are.
    expect(find(found, 'src/ui/Tag.tsx#default')).toMatchObject({
      specifier: '@/ui/Tag',
      name: 'Tag',
    })
  })

  test('tests and stories show components, and are none', async () => {
    const found = await scan({
      'A.tsx': 'export const A = () => <i />',
      'A.stories.tsx': 'export const Primary = () => <i />',
      '__tests__/B.tsx': 'export const B = () => <i />',
    })
    expect(found.components.map(({ name }) => name)).toEqual(['A'])
  })
})

describe('Vue', () => {
  test('script setup says its props, events, models and slots', async () => {
    const found = await scan({
      'src/kind.ts': "export type Kind = 'a' | 'b'",
      'src/Row.vue': `<script setup lang="ts">
        import type { Kind } from './kind'
        const { size = 'md' } = defineProps<{ kind: Kind; size?: 'sm' | 'md' }>()
        defineEmits<{ pick: [id: string] }>()
        defineModel<string>()
        </script>
        <template><div><slot name="icon" /><slot /></div></template>`,
    })
    expect([...linesOf(find(found, 'src/Row.vue#default'))].sort()).toEqual([
      'event pick?: handler',
      'kind: choice(a, b)',
      'modelValue?: string',
      'size?: choice(sm, md) = md',
      'slot default?: node',
      'slot icon?: node',
    ])
  })

  test('options and run-time props are read', async () => {
    const found = await scan({
      'Old.vue': `<script>
        export default { props: { label: { type: String, required: true }, tone: { type: String, default: 'x', validator: (v) => ['x', 'y'].includes(v) } }, emits: ['go'] }
        </script><template><b /></template>`,
      'New.vue': `<script setup>
        defineProps({ count: Number, on: { type: Boolean, default: true } })
        </script><template><b /></template>`,
    })
    expect(linesOf(find(found, 'Old.vue#default'))).toEqual([
      'label: string',
      'tone?: choice(x, y) = x',
      'event go?: handler',
    ])
    expect(linesOf(find(found, 'New.vue#default'))).toEqual([
      'count?: number',
      'on?: boolean = true',
    ])
  })
})

test('Angular: decorators, signals, selectors and content', async () => {
  const found = await scan({
    'act.ts': `import { Component, input, output, Input, booleanAttribute } from '@angular/core'
      @Component({ selector: 'button[hbAct]', templateUrl: './act.html' })
      export class ActComponent {
        readonly tone = input<'solid' | 'quiet'>('solid')
        readonly label = input.required<string>({ alias: 'words' })
        readonly off = input(false, { transform: booleanAttribute })
        readonly picked = output<string>()
        @Input({ required: true }) old!: number
      }`,
    'act.html': '<ng-content select="[icon]" /><ng-content />',
  })
  const act = find(found, 'act.ts#ActComponent')
  expect(act).toMatchObject({ name: 'Act', selector: 'button[hbAct]' })
  expect(linesOf(act)).toEqual([
    'tone?: choice(solid, quiet) = solid',
    'words: string',
    'off?: boolean = false',
    'event picked?: handler',
    'old: number',
    'slot [icon]?: node',
    'slot default?: node',
  ])
  expect(act.props.find(({ name }) => name === 'type')).toMatchObject({ isInherited: true })
})

test('Flutter: constructors, enums of other files, arguments without names', async () => {
  const found = await scan({
    'lib/tone.dart': 'enum Tone { solid, quiet }',
    'lib/btn.dart': `import 'tone.dart';
      /// A button.
      class Btn extends StatelessWidget {
        const Btn(this.label, {super.key, this.tone = Tone.solid, required this.child, this.onTap});
        Btn.small(this.label) : tone = Tone.quiet;
        final String label; final Tone tone; final Widget child; final VoidCallback? onTap;
      }
      class _Inner extends StatelessWidget { const _Inner(); }`,
    'lib/colors.dart':
      'class C { static const Color brand = Color(0xff112233); static const gap = 8.0; }',
  })
  expect(found.components.map(({ name }) => name)).toEqual(['Btn', 'Btn.small'])
  const btn = find(found, 'lib/btn.dart#Btn')
  expect(btn).toMatchObject({ about: 'A button.', isConst: true })
  expect(find(found, 'lib/btn.dart#Btn.small')).not.toHaveProperty('isConst')
  expect(linesOf(btn)).toEqual([
    'label: string',
    'tone?: choice(solid, quiet) = solid',
    'slot child: node',
    'event onTap?: handler',
  ])
  expect(btn.props[0]!.position).toBe(0)
  expect(found.tokens).toEqual([
    { name: 'C.brand', type: 'color', value: '#112233ff', path: 'lib/colors.dart' },
    { name: 'C.gap', type: 'length', value: '8.0', path: 'lib/colors.dart' },
  ])
})

test('HTML: custom elements by their code and by a manifest', async () => {
  const found = await scan({
    'tile.js': `/**
       * @attr {'flat'|'raised'} [look=flat] - how it looks
       * @slot icon - before the words
       */
      class Tile extends HTMLElement { static observedAttributes = ['look', 'size'] }
      customElements.define('hb-tile', Tile)`,
    'custom-elements.json': JSON.stringify({
      schemaVersion: '1.0.0',
      modules: [
        {
          path: 'dist/chip.js',
          declarations: [
            {
              kind: 'class',
              name: 'HbChip',
              tagName: 'hb-chip',
              attributes: [{ name: 'on', type: { text: 'boolean' } }],
              slots: [{ name: '' }],
            },
          ],
        },
      ],
    }),
  })
  expect(linesOf(find(found, 'tile.js#hb-tile'))).toEqual([
    'look?: choice(flat, raised) = flat',
    'slot icon?: node',
    'size?: string',
  ])
  expect(linesOf(find(found, 'dist/chip.js#hb-chip'))).toEqual([
    'on?: boolean',
    'slot default?: node',
  ])
})

test('themes of style sheets are read, and what is said again is as it was said first', async () => {
  const { tokens } = await scan({
    'a.css':
      ':root { --ink: #123; --gap: 0.5rem } .dark { --ink: #fff } @theme { --color-sea: oklch(0.5 0.1 200) }',
  })
  expect(tokens.map(({ name, type, value }) => [name, type, value])).toEqual([
    ['--color-sea', 'color', 'oklch(0.5 0.1 200)'],
    ['--gap', 'length', '0.5rem'],
    ['--ink', 'color', '#123'],
  ])
})

test('conventions are those of most files, and of the formatter where it is set', async () => {
  const { conventions } = await scan({
    'a-b.ts': "import { x } from './c-d'\nexport const y = x\n",
    'c-d.ts': "import { y } from './a-b'\nexport const x = 1\n",
    'package.json': '{ "prettier": { "tabWidth": 4 } }',
  })
  expect(conventions).toMatchObject({
    quotes: 'single',
    semicolons: false,
    indent: 4,
    fileNames: 'kebab',
  })
})

test('what the formatter is told holds, whatever files look like', async () => {
  const { conventions } = await scan({
    'a-b.ts': "import { x } from './c-d'\n",
    '.prettierrc':
      '{ "singleQuote": false, "semi": true, "useTabs": true, "printWidth": 100, "trailingComma": "none" }',
  })
  expect(conventions).toMatchObject({
    quotes: 'double',
    semicolons: true,
    indent: 'tab',
    width: 100,
    trailingCommas: 'none',
  })
})

test('what is broken, ignored, too large or a link out of the folder does not stop it', async () => {
  const outside = createFolder({ 'Secret.tsx': 'export const Secret = () => <i />' })
  folder = createFolder({
    '.gitignore': 'out\n*.gen.tsx\n',
    'A.tsx': 'export const A = () => <i />',
    'out/B.tsx': 'export const B = () => <i />',
    'C.gen.tsx': 'export const C = () => <i />',
    'node_modules/x/D.tsx': 'export const D = () => <i />',
    'Bad.tsx': 'export const Bad = (',
    'Bad.vue': '<template><div></template>',
    'bad.dart': 'class {',
    'big.ts': `export const big = "${'x'.repeat(1_000_001)}"`,
  })
  symlinkSync(outside.root, join(folder.root, 'link'))
  const found = await scanCodebase(folder.root, createCache())
  outside.remove()
  expect(found.components.map(({ name }) => name).filter((name) => name !== 'Bad')).toEqual(['A'])
  expect(found.notes.map(({ path }) => path)).toEqual(['Bad.tsx', 'Bad.vue', 'bad.dart', 'big.ts'])
  expect(found.notes[0]).toMatchObject({ line: 1 })
})

describe('what lies outside of the folder', () => {
  /** A codebase with a neighbour, and the component that takes its tone from there in some way. */
  const toneFrom = async (
    specifier: string,
    more: Readonly<Record<string, string>> = {},
  ): Promise<readonly string[]> => {
    const around = createFolder({
      'outside/tone.ts': "export type Tone = 'secret'",
      'outside/tsconfig.json': '{ "compilerOptions": { "paths": { "outer/*": ["./*"] } } }',
    })
    folder = createFolder({})
    for (const [path, text] of Object.entries(more))
      around.write(`app/${path}`, text.replaceAll('OUTSIDE', join(around.root, 'outside')))
    const from = specifier.replace('OUTSIDE', join(around.root, 'outside'))
    around.write(
      'app/src/A.tsx',
      `import type { Tone } from '${from}'\nexport const A = (p: { tone: Tone }) => <i>{p.tone}</i>`,
    )
    symlinkSync(join(around.root, 'outside'), join(around.root, 'app/src/link'))
    const read = jest.spyOn(ts.sys, 'readFile')
    const found = await scanCodebase(join(around.root, 'app'), createCache())
    const opened = read.mock.calls.map(([path]) => path)
    read.mockRestore()
    around.remove()
    expect(opened.filter((path) => path.startsWith(join(around.root, 'outside')))).toEqual([])
    return linesOf(find(found, 'src/A.tsx#A'))
  }

  test.each([
    ['by a relative import', '../../outside/tone', {}],
    ['by an absolute import', 'OUTSIDE/tone', {}],
    ['by a link', './link/tone', {}],
    [
      'by paths of its settings',
      'outer/tone',
      { 'tsconfig.json': '{ "compilerOptions": { "paths": { "outer/*": ["../outside/*"] } } }' },
    ],
    [
      'by settings it goes on from',
      'outer/tone',
      { 'tsconfig.json': '{ "extends": "../outside/tsconfig.json" }' },
    ],
    [
      'by absolute settings it goes on from',
      'outer/tone',
      { 'tsconfig.json': '{ "extends": "OUTSIDE/tsconfig.json" }' },
    ],
  ])('is not read %s', async (_way, specifier, more) => {
    expect(await toneFrom(specifier, more as Record<string, string>)).toEqual(['tone: other'])
  })

  test('while settings and types inside of it are', async () => {
    expect(
      await toneFrom('inner/tone', {
        'types/tone.ts': "export type Tone = 'calm'",
        'base.json': '{ "compilerOptions": { "paths": { "inner/*": ["./types/*"] } } }',
        'tsconfig.json': '{ "extends": "./base.json" }',
      }),
    ).toEqual(['tone: choice(calm)'])
  })
})

test('names that would end a text of code are left out', async () => {
  const found = await scan({
    'A.tsx': 'export const A = (p: { "x y\\"z": string; fine: string }) => <i>{p.fine}</i>',
    'B";alert(1);".tsx': 'export const B = () => <i />',
  })
  expect(found.components.map(({ name }) => name)).toEqual(['A'])
  expect(linesOf(found.components[0]!)).toEqual(['fine: string'])
  expect(found.notes[0]!.message).toContain('no import can have')
})

describe('a second scan', () => {
  const FILES = {
    'src/tone.ts': "export type Tone = 'a'",
    'src/A.tsx':
      "import type { Tone } from './tone'\nexport const A = ({ tone }: { tone: Tone }) => <i>{tone}</i>",
    'src/B.tsx': 'export const B = () => <i />',
  }
  const toneOf = (found: Codebase): readonly string[] => linesOf(find(found, 'src/A.tsx#A'))

  test.each([
    ['of the same process', (cache: ReturnType<typeof createCache>) => cache],
    ['of another', (cache: ReturnType<typeof createCache>) => readCache(writeCache(cache))],
  ])('%s sees what changed, also through what changed did', async (_what, carry) => {
    folder = createFolder(FILES)
    const cache = createCache()
    expect(toneOf(await scanCodebase(folder.root, cache))).toEqual(['tone: choice(a)'])
    folder.write('src/tone.ts', "export type Tone = 'a' | 'b'")
    const read: number[] = []
    const next = carry(cache)
    const found = await scanCodebase(folder.root, next, (_done, all) => read.push(all))
    expect(toneOf(found)).toEqual(['tone: choice(a, b)'])
    // The file that changed, and the one that depends on it.
    expect(read.at(-1)).toBe(2)
    expect(found).toEqual(await scanCodebase(folder.root, createCache()))
  })

  test('forgets files that are gone', async () => {
    folder = createFolder(FILES)
    const cache = createCache()
    await scanCodebase(folder.root, cache)
    folder.write('.gitignore', 'B.tsx')
    const found = await scanCodebase(folder.root, cache)
    expect(found.components.map(({ name }) => name)).toEqual(['A'])
  })

  test('a cache that is none is begun anew', () => {
    expect(readCache('{').files.size).toBe(0)
    expect(readCache('{"version":0,"files":[]}').files.size).toBe(0)
  })
})
