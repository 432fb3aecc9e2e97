import { svgLayers } from '../../testing/design.js'

const HARD =
  '<feColorMatrix in="SourceAlpha" values="0 0 0 0 0 0 0 0 0 0 0 0 0 0 0 0 0 0 127 0" result="hard"/>'
const TRANSPARENT = '<feFlood flood-opacity="0" result="BackgroundImageFix"/>'
const tint = (alpha: number): string =>
  `<feColorMatrix values="0 0 0 0 1 0 0 0 0 0 0 0 0 0 0 0 0 0 ${alpha} 0"/>`

const read = (steps: string, element = '<rect width="50" height="50" filter="url(#f)"/>') => {
  const { layers, notes } = svgLayers(`<filter id="f">${steps}</filter>${element}`)
  return { effects: layers[0]!.effects, notes: notes.map((n) => n.message) }
}
const shadow = { kind: 'shadow', inset: false, x: 0, y: 0, blur: 0, spread: 0, color: '#000000' }

describe('chains of filter steps', () => {
  test('a drop shadow written in eight steps, with spread', () => {
    const { effects, notes } = read(
      `${TRANSPARENT}${HARD}<feMorphology radius="3" operator="dilate" in="SourceAlpha"/><feOffset dx="1" dy="4"/>` +
        `<feGaussianBlur stdDeviation="2"/><feComposite in2="hard" operator="out"/>${tint(0.5)}` +
        '<feBlend in2="BackgroundImageFix" result="a"/><feBlend in="SourceGraphic" in2="a"/>',
    )
    expect(effects).toEqual([{ ...shadow, x: 1, y: 4, blur: 4, spread: 3, color: '#ff000080' }])
    expect(notes).toEqual([])
  })

  test('an inner shadow is the rim that the moved outline leaves', () => {
    const { effects } = read(
      `${TRANSPARENT}<feBlend in="SourceGraphic" in2="BackgroundImageFix" result="shape"/>${HARD}` +
        '<feMorphology radius="2" operator="erode" in="SourceAlpha"/><feOffset dy="4"/><feGaussianBlur stdDeviation="3"/>' +
        `<feComposite in2="hard" operator="arithmetic" k2="-1" k3="1"/>${tint(1)}<feBlend in2="shape"/>`,
    )
    expect(effects).toEqual([
      { ...shadow, inset: true, y: 4, blur: 6, spread: 2, color: '#ff0000' },
    ])
  })

  test('two shadows keep their order: the upper one first', () => {
    const one = (dy: number, under: string, result: string): string =>
      `<feOffset in="SourceAlpha" dy="${dy}"/>${tint(1)}<feBlend in2="${under}" result="${result}"/>`
    const { effects } = read(
      `${TRANSPARENT}${one(1, 'BackgroundImageFix', 'a')}${one(9, 'a', 'b')}<feBlend in="SourceGraphic" in2="b"/>`,
    )
    expect(effects).toMatchObject([{ y: 9 }, { y: 1 }])
  })

  test('blur of the layer, and of what lies behind it', () => {
    expect(read('<feGaussianBlur stdDeviation="4"/>').effects).toEqual([
      { kind: 'blur', radius: 4 },
    ])
    expect(
      read(
        `${TRANSPARENT}<feGaussianBlur in="BackgroundImageFix" stdDeviation="8"/><feComposite in2="SourceAlpha" operator="in" result="a"/>` +
          '<feBlend in="SourceGraphic" in2="a"/>',
      ).effects,
    ).toEqual([{ kind: 'backdrop-blur', radius: 8 }])
  })

  test('merged steps, a flood as colour, and the scale of the layer', () => {
    const steps =
      '<feGaussianBlur in="SourceAlpha" stdDeviation="3"/><feOffset dx="4" result="m"/><feFlood flood-color="#0f0" flood-opacity=".5"/>' +
      '<feComposite in2="m" operator="in"/><feMerge><feMergeNode/><feMergeNode in="SourceGraphic"/></feMerge>'
    const element = '<g transform="scale(2)"><rect width="9" height="9" filter="url(#f)"/></g>'
    const { layers } = svgLayers(`<filter id="f">${steps}</filter>${element}`)
    const group = layers[0]!
    expect(group.type === 'group' && group.children[0]!.effects).toEqual([
      { ...shadow, x: 8, blur: 12, color: '#00ff0080' },
    ])
  })

  test('a step without a meaning in designs is named; what was understood before it stays', () => {
    const { effects, notes } = read('<feDropShadow dx="0" dy="4"/><feTurbulence/>')
    expect(effects).toMatchObject([{ kind: 'shadow', y: 4 }])
    expect(notes).toEqual([
      'The filter step feTurbulence on "rect" cannot be read and was left out.',
    ])
  })
})

test("CSS's own functions", () => {
  const { effects } = read(
    '',
    '<rect width="9" height="9" style="filter:drop-shadow(1px 2px 3px rgb(0 0 255 / .5)) blur(2px);backdrop-filter:blur(5px)"/>',
  )
  expect(effects).toEqual([
    { ...shadow, x: 1, y: 2, blur: 6, color: '#0000ff80' },
    { kind: 'blur', radius: 2 },
    { kind: 'backdrop-blur', radius: 5 },
  ])
})

test('a foreign box that only blurs belongs to the shape after it', () => {
  const { layers, notes } = svgLayers(
    '<g><foreignObject width="9" height="9"><div xmlns="http://www.w3.org/1999/xhtml" style="backdrop-filter:blur(4px);height:100%"/></foreignObject><rect width="9" height="9"/></g>',
  )
  const group = layers[0]!
  expect(group.type === 'group' && group.children[0]!.effects).toEqual([
    { kind: 'backdrop-blur', radius: 4 },
  ])
  expect(notes).toEqual([])
})
