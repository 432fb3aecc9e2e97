import { createCounter, COLORS, WORDS } from './counter.js'

type Json = Record<string, unknown>

/** A made-up screen of about `count` layers: lists of cards with texts, dots and curves, in auto layout. */
export const generateDesign = (count: number): Json => {
  const next = createCounter(count)
  let made = 0
  const key = (): string => `l${++made}`
  const phrase = (words: number): string =>
    Array.from({ length: words }, () => WORDS[next(WORDS.length)]).join(' ')
  const box = (width: number, height: number): Json => ({ x: next(20), y: next(20), width, height })
  const fill = (): Json[] => [{ kind: 'solid', color: COLORS[next(COLORS.length)] }]

  const text = (words: number): Json => ({
    type: 'text',
    key: key(),
    name: 'Text',
    box: box(200, 24),
    style: {
      family: 'Inter',
      size: 14 + next(3) * 2,
      lineHeight: 24,
      color: COLORS[next(COLORS.length)],
    },
    runs: [{ text: phrase(words) }],
    sizing: { width: next(2) ? 'fit' : 'stretch', height: 'fit' },
  })
  const dot = (): Json => ({
    type: 'ellipse',
    key: key(),
    name: 'Dot',
    box: box(12, 12),
    fills: fill(),
  })
  const curve = (): Json => ({
    type: 'path',
    key: key(),
    name: 'Curve',
    box: box(24, 24),
    paths: [{ d: `M0 ${next(24)}C6 0 18 24 24 ${next(24)}` }],
    fills: fill(),
  })
  const stack = (kind: 'row' | 'column', children: Json[], extra: Json = {}): Json => ({
    type: 'frame',
    key: key(),
    name: kind,
    box: box(600, 80),
    layout: { kind, gap: 8, padding: 16, align: 'centre' },
    sizing: { width: 'stretch', height: 'fit' },
    children,
    ...extra,
  })
  const card = (): Json =>
    stack(
      'row',
      [
        dot(),
        stack('column', [text(3), text(12), stack('row', [curve(), text(2), text(1)])]),
        text(1),
      ],
      {
        fills: fill(),
        radius: 12,
        strokes: [{ paint: { kind: 'solid', color: '#d9d2c3' }, width: 1, align: 'inside' }],
      },
    )

  const sections: Json[] = []
  while (made < count - 12) {
    const cards: Json[] = []
    for (let i = 0; i < 8 && made < count - 12; i++) cards.push(card())
    sections.push(stack('column', [text(4), ...cards]))
  }
  return {
    format: 'unimorph-design',
    version: 1,
    name: `Generated ${count}`,
    screens: [
      stack('column', sections, { name: 'Screen', sizing: { width: 'fixed', height: 'fixed' } }),
    ],
  }
}
