import { svgLayers } from '../../testing/design.js'

const RED = '<rect id="Red" width="80" height="40" fill="red"/>'
const only = (inside: string) => {
  const { layers, notes } = svgLayers(inside)
  expect(notes).toEqual([])
  return layers[0]!
}

describe('clip paths', () => {
  test('a round rectangle over a group is a frame that clips', () => {
    expect(
      only(
        `<clipPath id="c"><rect x="5" y="5" width="50" height="30" rx="6"/></clipPath><g id="Card" clip-path="url(#c)">${RED}</g>`,
      ),
    ).toMatchObject({
      type: 'frame',
      name: 'Card',
      clip: true,
      radius: 6,
      box: { x: 5, y: 5, width: 50, height: 30 },
      children: [{ box: { x: -5, y: -5 } }],
    })
  })

  test('any other shape becomes the outline of a group', () => {
    expect(
      only(
        `<clipPath id="c"><path d="M0 0h40l-20 30z"/></clipPath><g clip-path="url(#c)">${RED}</g>`,
      ),
    ).toMatchObject({
      type: 'group',
      mask: 'outline',
      children: [{ type: 'path' }, { name: 'Red' }],
    })
  })

  test('shapes of one clip path count together', () => {
    const layer = only(
      `<clipPath id="c"><rect width="10" height="10"/><circle cx="40" cy="20" r="9"/></clipPath><g clip-path="url(#c)">${RED}</g>`,
    )
    expect(layer).toMatchObject({ mask: 'outline', children: [{ type: 'group' }, {}] })
  })

  test('shares of the box, insets and transforms are resolved', () => {
    expect(
      only(
        `<clipPath id="c" clipPathUnits="objectBoundingBox"><rect x=".25" y=".5" width=".5" height=".5"/></clipPath><g clip-path="url(#c)">${RED}</g>`,
      ),
    ).toMatchObject({ type: 'frame', box: { x: 20, y: 20, width: 40, height: 20 } })
    expect(only(`<g style="clip-path:inset(4px 8px round 3px)">${RED}</g>`)).toMatchObject({
      box: { x: 8, y: 4, width: 64, height: 32 },
      radius: 3,
    })
  })

  test('what a clip does not cut stays as it is', () => {
    expect(
      only(
        '<clipPath id="c"><rect width="200" height="100"/></clipPath><rect id="Red" width="80" height="40" clip-path="url(#c)"/>',
      ),
    ).toMatchObject({ type: 'rectangle' })
  })

  test('a circle of clip paths ends, with a note', () => {
    const { notes } = svgLayers(
      '<clipPath id="c"><rect width="9" height="9" clip-path="url(#c)"/></clipPath><g clip-path="url(#c)"><rect width="20" height="20"/></g>',
    )
    expect(notes.map((n) => n.code)).toContain('intake/effect-skipped')
  })
})

describe('masks', () => {
  test.each([
    ['opaque, by alpha', 'style="mask-type:alpha"', '#d9d9d9', 'frame'],
    ['white, by luminance', '', 'white', 'frame'],
  ])('an upright rectangle, %s, is a frame that clips', (_what, type, fill, kind) => {
    const layer = only(
      `<mask id="m" ${type}><rect x="5" width="30" height="30" rx="4" fill="${fill}"/></mask><g mask="url(#m)">${RED}</g>`,
    )
    expect(layer).toMatchObject({ type: kind, radius: 4, box: { x: 5, width: 30 } })
  })

  test('grey and half transparent shapes keep their strength', () => {
    const masked = (type: string, rest: string): unknown =>
      only(
        `<mask id="m" style="mask-type:${type}"><rect width="30" height="30" ${rest}/></mask><g mask="url(#m)">${RED}</g>`,
      )
    expect(masked('luminance', 'fill="#888"')).toMatchObject({ mask: 'luminance' })
    expect(masked('alpha', 'fill="#fff" fill-opacity=".5"')).toMatchObject({ mask: 'alpha' })
  })

  test('a masked shape with effects is wrapped, its opacity outside', () => {
    const layer = only(
      '<mask id="m" style="mask-type:alpha"><circle cx="20" cy="20" r="20"/><circle cx="50" cy="20" r="10"/></mask>' +
        '<rect id="Red" width="80" height="40" opacity=".5" mask="url(#m)" style="filter:blur(2px)"/>',
    )
    expect(layer).toMatchObject({
      type: 'group',
      opacity: 0.5,
      mask: 'outline',
      children: [{}, { type: 'rectangle', opacity: 1, effects: [{ kind: 'blur' }] }],
    })
  })
})
