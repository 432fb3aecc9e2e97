import { convert, type Settings } from '../convert.js'
import { design, frame } from '../testing/design.js'
import { at, words } from '../testing/page.js'
import { inColor, solid } from '../testing/roles.js'
import { libraryScreen } from './library-screen.js'

type Json = Record<string, unknown>

const variant = (i: number, values: Json, fill: string): Json => ({
  type: 'component',
  key: `v${i}`,
  name: 'Tag',
  variant: values,
  ...at(0, 0, 120, 44),
  ...solid(fill),
  layout: { kind: 'row', padding: 10, gap: 8, align: 'centre' },
  sizing: { width: 'fit', height: 'fit' },
  children: [{ ...inColor('#ffffff', `label-${i}`, 'Label', 10, 10), bind: { text: 'Label' } }],
})

const TAG: Json = {
  key: 'tag',
  name: 'Shore tag',
  properties: [
    { kind: 'variant', name: 'Kind', values: ['Calm', 'Wild', 'Deep'], default: 'Calm' },
    { kind: 'variant', name: 'State', values: ['Rest', 'Hover'], default: 'Rest' },
    { kind: 'text', name: 'Label', default: 'Gannet Spit' },
  ],
  variants: [
    variant(0, { Kind: 'Calm', State: 'Rest' }, '#1b3a2f'),
    variant(1, { Kind: 'Calm', State: 'Hover' }, '#2b4a3f'),
    variant(2, { Kind: 'Wild', State: 'Rest' }, '#6b2a10'),
    variant(3, { Kind: 'Deep', State: 'Rest' }, '#112233'),
  ],
}

const page = frame(
  'page',
  [
    words('title', 'Shores', 40, 40, 32),
    {
      type: 'instance',
      key: 'one',
      name: 'Tag',
      component: 'tag',
      variant: { Kind: 'Wild' },
      ...at(40, 120, 120, 44),
    },
  ],
  { ...at(0, 0, 640, 400), ...solid('#ffffff'), name: 'Shores' },
)

const filesOf = (settings: Partial<Settings>): ReadonlyMap<string, string> => {
  const result = convert(design([page], { components: [TAG] }), [], {
    target: 'react',
    ...settings,
  })
  if (!result.ok) throw new Error(result.notes.map(({ message }) => message).join('\n'))
  return new Map(
    result.value.files.flatMap(({ path, content }) =>
      content.kind === 'text' ? [[path, content.text] as const] : [],
    ),
  )
}

describe('a page of all components', () => {
  test('shows every variant that is not a state, each once', () => {
    const screen = libraryScreen(design([page], { components: [TAG] }))!
    const shown: unknown[] = []
    const look = (layer: { type: string; children?: unknown[] }): void => {
      if (layer.type === 'instance') shown.push((layer as unknown as { variant: unknown }).variant)
      for (const child of layer.children ?? []) look(child as typeof layer)
    }
    look(screen as never)
    expect(shown).toEqual([
      { Kind: 'Calm', State: 'Rest' },
      { Kind: 'Wild', State: 'Rest' },
      { Kind: 'Deep', State: 'Rest' },
    ])
  })

  test('stands beside the screens, and gives its component every look that is drawn', () => {
    const plain = filesOf({})
    expect([...plain.keys()]).not.toContain('src/screens/Components.tsx')
    const files = filesOf({ library: 'page' })
    expect([...files.keys()]).toEqual(
      expect.arrayContaining(['src/screens/Shores.tsx', 'src/screens/Components.tsx']),
    )
    const tag = files.get('src/components/ShoreTag.tsx')!
    for (const kind of ['calm', 'wild', 'deep']) expect(tag).toContain(`"${kind}"`)
    expect(files.get('src/App.tsx')).toContain('/components')
  })

  test('can be converted alone', () => {
    const files = filesOf({ library: 'only' })
    const screens = [...files.keys()].filter((path) => path.startsWith('src/screens/'))
    expect(screens).toEqual(['src/screens/Components.tsx'])
  })

  test('is refused where there are no components', () => {
    const plain = frame('plain', [words('text', 'Kelp', 0, 0)])
    const result = convert(design([plain]), [], { target: 'html', library: 'only' })
    expect(result.ok).toBe(false)
    expect(result.notes.map(({ code }) => code)).toContain('parts/no-components')
  })
})
