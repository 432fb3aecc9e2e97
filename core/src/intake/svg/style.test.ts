import { svgLayers } from '../../testing/design.js'

const fillOf = (inside: string): unknown => {
  const { layers } = svgLayers(inside)
  const layer = layers.at(-1)!
  return 'fills' in layer ? layer.fills[0] : undefined
}
const sheet = (css: string, element: string): unknown => fillOf(`<style>${css}</style>${element}`)

describe('style sheets', () => {
  test.each([
    ['a class', '.a{fill:#112233}', '<rect class="b a" width="9" height="9"/>'],
    ['one of a list', 'g, .a , circle{fill:#112233}', '<rect class="a" width="9" height="9"/>'],
    ['an id', '#x{fill:#112233}', '<rect id="x" width="9" height="9"/>'],
    ['a tag', 'rect{fill:#112233}', '<rect width="9" height="9"/>'],
    ['an attribute', '[data-k="1"]{fill:#112233}', '<rect data-k="1" width="9" height="9"/>'],
    ['a later rule', '.a{fill:red}.a{fill:#112233}', '<rect class="a" width="9" height="9"/>'],
    [
      'the more specific rule',
      '#x{fill:#112233}.a{fill:red}rect{fill:blue}',
      '<rect id="x" class="a" width="9" height="9"/>',
    ],
    [
      'an important rule over a style',
      '.a{fill:#112233 !important}',
      '<rect class="a" style="fill:red" width="9" height="9"/>',
    ],
    ['a rule over an attribute', 'rect{fill:#112233}', '<rect fill="red" width="9" height="9"/>'],
    [
      'a custom property',
      ':root{--ink:#112233}.a{fill:var(--ink, red)}',
      '<rect class="a" width="9" height="9"/>',
    ],
    ['a fallback', '.a{fill:var(--none, #112233)}', '<rect class="a" width="9" height="9"/>'],
    ['currentColor', 'svg{color:#112233}rect{fill:currentColor}', '<rect width="9" height="9"/>'],
  ])('%s decides', (_what, css, element) => {
    expect(sheet(css, element)).toMatchObject({ color: '#112233' })
  })

  test('descendants and children are told apart', () => {
    const css = '.card > rect{fill:#112233} .card rect{stroke:#445566}'
    const { layers } = svgLayers(
      `<style>${css}</style><g class="card"><rect id="a" width="9" height="9"/><g><rect id="b" x="20" width="9" height="9"/></g></g>`,
    )
    const group = layers[0]!
    if (group.type !== 'group') throw new Error('expected a group')
    expect(group.children[0]).toMatchObject({
      fills: [{ color: '#112233' }],
      strokes: [{ paint: { color: '#445566' } }],
    })
    const inner = group.children[1]!
    expect(inner.type === 'group' && inner.children[0]).toMatchObject({
      fills: [{ color: '#000000' }],
      strokes: [{ paint: { color: '#445566' } }],
    })
  })

  test('rules that mean nothing in a drawing are counted, the others work', () => {
    const { layers, notes } = svgLayers(
      '<style>@media print{rect{fill:red}} rect:hover{fill:red} rect + rect{fill:red} .a{fill:#112233}</style><rect class="a" width="9" height="9"/>',
    )
    expect(layers[0]).toMatchObject({ fills: [{ color: '#112233' }] })
    expect(notes.map((n) => n.message)).toEqual([
      '3 rules of the style sheets in "test.svg" cannot be read and had no effect.',
    ])
  })

  test('geometry may stand in a style', () => {
    const { layers } = svgLayers('<circle style="cx:20px;cy:10px;r:5px"/>')
    expect(layers[0]).toMatchObject({ box: { x: 15, y: 5, width: 10, height: 10 } })
  })
})

test.each([
  ['hsl(120 100% 25%)', '#008000'],
  ['rgb(50% 0% 0% / 50%)', '#80000080'],
  ['oklch(0 0 0)', '#000000'],
  ['color(srgb 1 0 0)', '#ff0000'],
  ['RebeccaPurple', '#663399'],
  ['#abc8', '#aabbcc88'],
])('the colour %s', (written, color) => {
  expect(fillOf(`<rect width="9" height="9" fill="${written}"/>`)).toMatchObject({ color })
})

test('a size in em follows the font size that was inherited', () => {
  const { layers } = svgLayers('<g style="font-size:10px"><rect width="5em" height="2em"/></g>')
  expect(layers[0]).toMatchObject({ box: { width: 50, height: 20 } })
})
