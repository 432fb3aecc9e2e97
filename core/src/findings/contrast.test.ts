import { design, frame, layer } from '../testing/design.js'
import { at, words } from '../testing/page.js'
import { inColor, solid } from '../testing/roles.js'
import { listContrastPairs } from './contrast.js'

const tokens = [
  { name: 'color.ink', type: 'color', values: { default: '#112233' } },
  { name: 'color.sand', type: 'color', values: { default: '#f4f1ea' } },
]
const PAGE = { ...at(0, 0, 640, 400), ...solid('#f4f1ea') }

const pairsOf = (children: Record<string, unknown>[], page = PAGE) =>
  listContrastPairs(design([frame('page', children, page)], { tokens }))

describe('pairs of colours', () => {
  test('are told once, with the texts in them, by their tokens where they have some', () => {
    const named = { tokens: { 'style.color': 'color.ink' } }
    const pairs = pairsOf(
      [
        { ...words('a', 'Low Saltern', 24, 24), ...named },
        { ...words('b', 'Gannet Spit', 24, 64), ...named },
      ],
      { ...PAGE, tokens: { 'fills.0.color': 'color.sand' } } as typeof PAGE,
    )
    expect(pairs).toHaveLength(1)
    expect(pairs[0]).toMatchObject({
      ink: { color: '#112233', token: 'color.ink' },
      ground: { color: '#f4f1ea', token: 'color.sand' },
      needed: 4.5,
      layers: ['a', 'b'],
    })
    expect(pairs[0]!.contrast).toBeCloseTo(14.2, 0)
  })

  test('the worst come first; large letters need less', () => {
    const pairs = pairsOf([
      words('fine', 'Kelp Pier', 24, 24),
      inColor('#c9c4b8', 'pale', 'Rope and floats', 24, 64),
      inColor('#767676', 'large', 'Sea beans', 24, 120, 32),
    ])
    expect(pairs.map(({ layers }) => layers)).toEqual([['pale'], ['large'], ['fine']])
    expect(pairs.map(({ needed }) => needed)).toEqual([4.5, 3, 4.5])
  })

  test('tell what they are like in the other modes of their tokens', () => {
    const named = { tokens: { 'style.color': 'color.ink' } }
    const [pair] = listContrastPairs(
      design([frame('page', [{ ...words('a', 'Low Saltern', 24, 24), ...named }], PAGE)], {
        modes: ['day', 'night'],
        tokens: [
          { name: 'color.ink', type: 'color', values: { day: '#112233', night: '#eeeeee' } },
        ],
      }),
    )
    expect(pair!.inModes).toEqual([{ mode: 'night', contrast: expect.closeTo(1.03, 1) }])
  })

  test('are of what is seen: the nearest ground, and nothing over pictures or gradients', () => {
    const gradient = {
      fills: [
        {
          kind: 'linear',
          from: { x: 0, y: 0 },
          to: { x: 1, y: 0 },
          stops: [
            { offset: 0, color: '#000000' },
            { offset: 1, color: '#ffffff' },
          ],
        },
      ],
    }
    const pairs = pairsOf([
      layer('rectangle', 'card', { ...at(16, 16, 300, 80), ...solid('#112233') }),
      inColor('#ffffff', 'on-card', 'Low water', 32, 32),
      layer('rectangle', 'sky', { ...at(16, 200, 300, 80), ...gradient }),
      words('on-sky', 'Evening', 32, 220),
    ])
    expect(pairs.map(({ ink, ground }) => [ink.color, ground.color])).toEqual([
      ['#ffffff', '#112233'],
    ])
  })
})
