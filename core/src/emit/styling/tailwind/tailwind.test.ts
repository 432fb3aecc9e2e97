import { design, frame, layer, text } from '../../../testing/design.js'
import { convert } from '../../../convert.js'
import { valueSlot } from './slots.js'
import { cssPaint, signedSpacing, spacing } from './values.js'

type Json = Record<string, unknown>

/** The classes of one layer of a screen with the given layout. */
const classesOf = (child: Json, screen: Json = {}, rest: Json = {}): string => {
  const made = design([frame('home', [child], screen)], rest)
  const result = convert(made, [], { target: 'html', marks: true })
  if (!result.ok) throw new Error('not converted')
  const page = result.value.files[0]!.content
  const html = page.kind === 'text' ? page.text.replace(/\s+/g, ' ') : ''
  const tag = html
    .match(/<[^>]*>/g)!
    .find((t) => t.includes(`data-layer="${child['key'] as string}"`))!
  return /class="([^"]*)"/.exec(tag)?.[1] ?? ''
}

const row = { layout: { kind: 'row' } }
const column = { layout: { kind: 'column' } }
const box = (rest: Json = {}): Json => layer('rectangle', 'r', rest)

describe('sizes in the flow', () => {
  test.each([
    ['fixed in a row does not shrink', box(), row, 'w-25 h-10 shrink-0'],
    ['stretching along a row', box({ sizing: { width: 'stretch' } }), row, 'h-10 min-w-0 flex-1'],
    [
      'stretching across a row',
      box({ sizing: { height: 'stretch' } }),
      row,
      'w-25 shrink-0 self-stretch',
    ],
    [
      'stretching along a column',
      box({ sizing: { height: 'stretch' } }),
      column,
      'w-25 min-h-0 flex-1',
    ],
    [
      'stretching across a column',
      box({ sizing: { width: 'stretch' } }),
      column,
      'h-10 shrink-0 self-stretch',
    ],
    [
      'stretching across a column that stretches its children anyway',
      box({ sizing: { width: 'stretch' } }),
      { layout: { kind: 'column', align: 'stretch' } },
      'h-10 shrink-0',
    ],
    [
      'limits',
      box({ limits: { minWidth: 40, maxWidth: 320 } }),
      row,
      'w-25 h-10 min-w-10 shrink-0 max-w-80',
    ],
    ['a square', box({ box: { x: 0, y: 0, width: 24, height: 24 } }), row, 'size-6 shrink-0'],
  ])('%s', (_what, child, screen, classes) => {
    expect(classesOf(child, screen)).toBe(classes)
  })
})

describe('arrangement', () => {
  const inner = (layout: Json): Json =>
    frame('r', [text('t', 'x')], { layout, sizing: { width: 'fit', height: 'fit' } })
  test.each([
    [
      'gap and padding',
      { kind: 'row', gap: 13, padding: { top: 4, right: 8, bottom: 4, left: 8 } },
      'flex gap-3.25 px-2 py-1 items-start',
    ],
    [
      'four paddings',
      { kind: 'row', padding: { top: 1, right: 2, bottom: 4, left: 0 } },
      'flex pr-0.5 pt-px pb-1 items-start',
    ],
    [
      'alignment',
      { kind: 'column', align: 'centre', distribute: 'between' },
      'flex flex-col items-center justify-between',
    ],
    ['stretching children is what flex does', { kind: 'row', align: 'stretch' }, 'flex'],
    [
      'wrapping with a line gap of its own',
      { kind: 'row', wrap: true, gap: 8, lineGap: 16 },
      'flex flex-wrap gap-x-2 gap-y-4 items-start',
    ],
    ['a grid', { kind: 'grid', columns: 3, columnGap: 8, rowGap: 8 }, 'grid grid-cols-3 gap-2'],
  ])('%s', (_what, layout, classes) => {
    expect(classesOf(inner(layout), row)).toBe(classes)
  })
})

describe('place out of the flow', () => {
  test('distances are counted from inside the parent’s border, from the nearer edge or the middle', () => {
    const at = (x: number, y: number, screen: Json = row): string =>
      classesOf(box({ flow: 'out', box: { x, y, width: 8, height: 8 } }), screen)
    expect(at(10, 20)).toBe('absolute left-2.5 top-5 size-2')
    const stroke = { paint: { kind: 'solid', color: '#000000' }, width: 2, align: 'inside' }
    expect(at(10, 20, { ...row, strokes: [stroke] })).toBe('absolute left-2 top-4.5 size-2')
    expect(at(380, 280)).toBe('absolute right-3 bottom-3 size-2')
    expect(at(196, -4)).toBe('absolute left-1/2 -translate-x-1/2 -top-1 size-2')
  })

  test.each([
    ['start', 'absolute left-2.5 top-0'],
    ['centre', 'absolute left-15 -translate-x-1/2 top-0'],
    ['end', 'absolute left-27.5 -translate-x-full top-0'],
  ])('text aligned to the %s is held there', (align, classes) => {
    const place = { flow: 'out', box: { x: 10, y: 0, width: 100, height: 24 } }
    const child = text('t', 'x', { align, ...place })
    expect(classesOf(child, row)).toMatch(new RegExp(`^${classes.replace(/[.*/]/g, '\\$&')} `))
  })
})

describe('text', () => {
  test.each([
    [{ size: 14, lineHeight: 20 }, 'text-sm/5'],
    [{ size: 15, lineHeight: 21 }, 'text-[15px]/5.25'],
    [{ size: 16, weight: 650 }, 'text-base/[normal] font-[650]'],
    [
      {
        size: 16,
        lineHeight: 24,
        italic: true,
        letterSpacing: 0.5,
        decoration: 'underline',
        case: 'upper',
      },
      'text-base/6 italic tracking-[0.5px]',
    ],
  ])('%j', (style, classes) => {
    const child = text('t', 'x', { style: { family: 'Inter', color: '#000000', ...style } })
    expect(classesOf(child, row)).toContain(classes)
  })

  test('the family most texts have is set once; others say theirs', () => {
    const made = design([
      frame(
        'home',
        [
          text('a', 'x'),
          text('b', 'x'),
          text('c', 'x', { style: { family: 'Plex Mono', size: 16, color: '#000000' } }),
        ],
        row,
      ),
    ])
    const result = convert(made, [], { target: 'html' })
    const css = result.ok ? result.value.styles.source : ''
    expect(css).toContain('--font-plex-mono: "Plex Mono", monospace;')
    expect(classesOf(text('t', 'x'), row)).not.toContain('font-')
  })

  test('a family’s name cannot leave its string in the style sheet', () => {
    const child = text('t', 'x', {
      style: { family: 'A"; } body { color: red', size: 16, color: '#000000' },
    })
    const result = convert(design([frame('home', [child], row)]), [], { target: 'html' })
    expect(result.ok && result.value.styles.source).toContain(
      '"A\\22 \\3b  \\7d  body \\7b  color\\3a  red"',
    )
  })
})

test.each([
  [0, '0'],
  [1, 'px'],
  [2, '0.5'],
  [4, '1'],
  [13, '3.25'],
  [10.25, '[10.25px]'],
])('%d px is %s on the scale', (px, step) => expect(spacing(px)).toBe(step))

test('negative lengths', () => {
  const signed = (name: string, px: number): string => valueSlot(name, signedSpacing(px)).token
  expect([signed('left', -12), signed('left', -10.5), signed('top', 0)]).toEqual([
    '-left-3',
    'left-[-10.5px]',
    'top-0',
  ])
})

describe('gradients', () => {
  const stops = [
    { offset: 0, color: '#ff0000' },
    { offset: 1, color: '#0000ff' },
  ]
  const common = { opacity: 1, blend: 'normal' } as const
  test.each([
    ['to the right', { x: 0, y: 0 }, { x: 1, y: 0 }, 'linear-gradient(90deg,#f00_0%,#00f_100%)'],
    ['down', { x: 0, y: 0 }, { x: 0, y: 1 }, 'linear-gradient(180deg,#f00_0%,#00f_100%)'],
    [
      'over the middle half',
      { x: 0.25, y: 0 },
      { x: 0.75, y: 0 },
      'linear-gradient(90deg,#f00_25%,#00f_75%)',
    ],
    [
      'from corner to corner of a square',
      { x: 0, y: 0 },
      { x: 1, y: 1 },
      'linear-gradient(135deg,#f00_0%,#00f_100%)',
    ],
    [
      'nowhere: the last colour',
      { x: 0.5, y: 0.5 },
      { x: 0.5, y: 0.5 },
      'linear-gradient(#00f,#00f)',
    ],
  ])('%s', (_what, from, to, css) => {
    const square = { width: 100, height: 100 }
    expect(cssPaint({ kind: 'linear', from, to, stops, ...common }, square, () => '')).toBe(css)
  })
})

describe('hover effects that name tokens', () => {
  const tokens = [
    { type: 'color', name: 'color.mist', values: { default: '#e7efe9' } },
    {
      type: 'shadow',
      name: 'shadow.card',
      values: {
        default: [
          { kind: 'shadow', x: 0, y: 2, blur: 6, spread: 0, color: '#00000033', inset: false },
        ],
      },
    },
  ]
  const hover = (effects: Json[]): Json => box({ hover: { effects, durationMs: 200 } })
  test.each([
    ['a background', { kind: 'tint', color: '#ffffff', token: 'color.mist' }, 'hover:bg-mist'],
    ['a shadow', { kind: 'shadow', token: 'shadow.card' }, 'hover:shadow-card'],
    [
      'a token that is gone',
      { kind: 'tint', color: '#e7efe9', token: 'color.fog' },
      'hover:bg-[#e7efe9]',
    ],
    ['no token', { kind: 'shadow' }, 'hover:shadow-lg'],
  ])('%s', (_what, effect, expected) => {
    const classes = classesOf(hover([effect]), column, { tokens }).split(' ')
    expect(classes.filter((name) => name.startsWith('hover:'))).toEqual([expected])
  })
})
