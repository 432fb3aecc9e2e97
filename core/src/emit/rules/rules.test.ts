import { convert, type Settings } from '../../convert.js'
import { readSettings } from '../../settings/settings-file.js'
import { design, frame, layer, text } from '../../testing/design.js'
import type { TargetId } from '../index.js'
import { ValueNames } from '../styling/tailwind/name-values.js'
import type { HouseRules } from './house-rules.js'

type Json = Record<string, unknown>
const PNG =
  'iVBORw0KGgoAAAANSUhEUgAAAAEAAAABCAYAAAAfFcSJAAAADUlEQVR42mNk+M9QDwADhgGAWjR9awAAAABJRU5ErkJggg=='
const paint = (color: string): Json => ({ fills: [{ kind: 'solid', color }] })

const DRAWN = design(
  [
    frame(
      'page',
      [
        layer('image', 'shore', { name: 'Shore', asset: 'a', alt: 'The shore', fit: 'cover' }),
        frame(
          'card',
          [
            text('words', 'Low water', {
              style: { family: 'Inter', size: 26, lineHeight: 34, color: '#13233f' },
            }),
          ],
          {
            name: 'Card',
            ...paint('#182a4a'),
            radius: 7,
            layout: { kind: 'column', gap: 0, padding: 17.5 },
          },
        ),
      ],
      { name: 'Page', layout: { kind: 'column', gap: 8, padding: 16 }, ...paint('#ffffff') },
    ),
  ],
  { assets: { a: { name: 'shore.png', mime: 'image/png', data: PNG } } },
)

const emit = (target: TargetId, settings: Partial<Settings>) => {
  const result = convert(DRAWN, [], { target, ...settings })
  if (!result.ok) throw new Error(result.notes.map(({ message }) => message).join('\n'))
  const { files } = result.value
  return {
    paths: files.map(({ path }) => path),
    code: files
      .flatMap(({ content }) => (content.kind === 'text' ? [content.text] : []))
      .join('\n'),
  }
}

const ORDER: HouseRules = [
  { rule: 'attribute-order', of: 'img', order: ['class', 'alt', '*'] },
  { rule: 'attribute-order', order: ['id', '*'] },
]

test.each([
  ['html', /<img\s+class="[^"]*"\s+alt="The shore"\s+src=/],
  ['react', /<img\s+className="[^"]*"\s+alt="The shore"\s+src=/],
  ['vue', /<img\s+class="[^"]*"\s+alt="The shore"\s+:src=/],
  ['angular', /<img\s+class="[^"]*"\s+alt="The shore"\s+src=/],
] as const)('%s writes attributes in the order that is wanted of an element', (target, order) => {
  expect(emit(target, {}).code).not.toMatch(order)
  expect(emit(target, { rules: ORDER }).code).toMatch(order)
  // The first rule that is for an element holds.
  expect(emit(target, { rules: [...ORDER].reverse() }).code).not.toMatch(order)
})

test('elements get what they always have, under the name their framework has for it', () => {
  const rules: HouseRules = [
    { rule: 'add-attribute', of: 'img', name: 'fetchpriority', value: 'low' },
    { rule: 'add-attribute', of: 'img', name: 'alt' as never, value: 'never' },
  ]
  expect(emit('react', { rules }).code).toContain('fetchPriority="low"')
  expect(emit('vue', { rules }).code).toContain('fetchpriority="low"')
  expect(emit('html', { rules }).code).not.toContain('never')
})

test.each([
  [{ rule: 'add-attribute', of: 'img', name: 'onerror', value: 'alert(1)' }],
  [{ rule: 'add-attribute', of: 'a', name: 'href', value: 'javascript:x' }],
  [{ rule: 'attribute-order', order: [] }],
  [{ rule: 'attribute-order', order: ['{x}'] }],
  [{ rule: 'be-nice' }],
])('%j is no rule', (rule) => {
  expect(readSettings({ rules: [rule] }).ok).toBe(false)
})

test('classes have no values in brackets, the theme has names for them', () => {
  const brackets = /class(Name)?="[^"]*-\[[^"]*"/
  expect(emit('react', {}).code).toMatch(brackets)
  const { code } = emit('react', { rules: [{ rule: 'no-arbitrary-values' }] })
  expect(code).not.toMatch(brackets)
  expect(code).toMatch(/\bp-17\.5px\b/)
  expect(code).toContain('--spacing-17_5px: 17.5px;')
  expect(code).toContain('--text-26px: 26px;')
  expect(code).toMatch(/--color-blue(-2)?: #182a4a;/)
})

test.each([
  ['hover:bg-[#13233f]/50', 'hover:bg-blue/50', ['--color-blue: #13233f']],
  ['-ml-[3px]', '-ml-3px', ['--spacing-3px: 3px']],
  ['m-[-3px]', '-m-3px', ['--spacing-3px: 3px']],
  ['text-[26px]/8.5', 'text-26px/8.5', ['--text-26px: 26px']],
  ['rounded-t-[1.5rem]', 'rounded-t-1.5rem', ['--radius-1_5rem: 1.5rem']],
  ['shadow-[0_4px_12px_#0b152640]', 'shadow-drawn', ['--shadow-drawn: 0 4px 12px #0b152640']],
  [
    'min-[67.5rem]:w-[985px]',
    'from-1080:w-985px',
    ['--breakpoint-from-1080: 67.5rem', '--spacing-985px: 985px'],
  ],
  ['max-w-[calc(100%-95px)]', 'max-w-drawn', ['--spacing-drawn: calc(100% - 95px)']],
  ['grid-cols-[1fr_2fr]', 'grid-cols-drawn', ['--grid-template-columns-drawn: 1fr 2fr']],
  [
    'bg-[url(../assets/pier_2-1.png)]',
    'bg-drawn',
    ['--background-image-drawn: url(../assets/pier_2-1.png)'],
  ],
  ['p-4', 'p-4', []],
])('%s is %s', (before, after, declared) => {
  const names = new ValueNames([])
  expect(names.name(before)).toBe(after)
  expect([...names.declarations].map(([name, value]) => `${name}: ${value}`)).toEqual(declared)
})

test('one colour has one name, and none that a token has', () => {
  const names = new ValueNames(['blue'])
  const all = ['bg-[#13233f]', 'text-[#13233f]', 'bg-[#182a4a]'].map((one) => names.name(one))
  expect(all).toEqual(['bg-blue-2', 'text-blue-2', 'bg-blue-3'])
})

test.each(['react', 'vue'] as const)(
  '%s shows pictures as modules, or by their address',
  (target) => {
    expect(emit(target, {}).paths).toContain('src/assets/shore.png')
    const { paths, code } = emit(target, { pictures: 'public' })
    expect(paths).toContain('public/assets/shore.png')
    expect(code).toContain('src="assets/shore.png"')
    expect(code).not.toContain('import shore')
  },
)
