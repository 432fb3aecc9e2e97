import { svgLayers } from '../../testing/design.js'

// The header of a PNG of 48 x 32 px; only its size is read.
const PICTURE = `data:image/png;base64,${Buffer.from('89504e470d0a1a0a0000000d494844520000003000000020080200000000000000', 'hex').toString('base64')}`
const IMAGE = `<image id="shore" width="48" height="32" href="${PICTURE}"/>`

const fill = (transform: string, element: string) =>
  svgLayers(
    `<defs><pattern id="p" patternContentUnits="objectBoundingBox" width="1" height="1"><use href="#shore" transform="${transform}"/></pattern>${IMAGE}</defs>${element}`,
  )
const RECT = '<rect id="Photo" x="10" y="10" width="96" height="64" rx="8" fill="url(#p)"/>'

test('a picture over the whole of a rectangle makes it a picture layer', () => {
  const { layers, notes, design } = fill('scale(0.0208333 0.03125)', RECT)
  expect(layers[0]).toMatchObject({
    type: 'image',
    name: 'Photo',
    radius: 8,
    box: { x: 10, y: 10, width: 96, height: 64 },
  })
  expect(Object.values(design.assets)).toMatchObject([{ width: 48, height: 32 }])
  expect(notes).toEqual([])
})

test('one that overlaps two sides evenly covers its box', () => {
  const { layers } = fill('matrix(0.0208333 0 0 0.0625 0 -0.5)', RECT.replace('64', '32'))
  expect(layers[0]).toMatchObject({ type: 'image', fit: 'cover' })
})

test('one that is cut out of a larger picture lies whole in a frame that clips', () => {
  const { layers } = fill('matrix(0.04 0 0 0.06 -0.3 -0.5)', RECT)
  expect(layers[0]).toMatchObject({
    type: 'frame',
    clip: true,
    radius: 8,
    children: [{ type: 'image', fit: 'contain', box: { x: -28.8, y: -32 } }],
  })
})

test('on a path it is seen through the outline', () => {
  const { layers } = fill(
    'matrix(0.04 0 0 0.06 -0.3 -0.5)',
    '<path d="M0 0h90v60z" fill="url(#p)"/>',
  )
  expect(layers[0]).toMatchObject({
    type: 'group',
    mask: 'outline',
    children: [{ type: 'path' }, { type: 'image' }],
  })
})

test('a border round a cut picture is kept, and turning turns both', () => {
  const circle =
    '<circle cx="60" cy="60" r="40" fill="url(#p)" stroke="red" transform="rotate(30 60 60)"/>'
  const { layers } = fill('matrix(0.04 0 0 0.06 -0.3 -0.5)', circle)
  expect(layers[0]).toMatchObject({
    type: 'group',
    rotationDeg: 30,
    children: [
      { mask: 'outline', children: [{ rotationDeg: 0 }, { type: 'image' }] },
      { type: 'ellipse', strokes: [{ paint: { color: '#ff0000' } }] },
    ],
  })
})

test('small tiles repeat', () => {
  const { layers } = svgLayers(
    `<pattern id="p" patternUnits="userSpaceOnUse" x="10" y="10" width="12" height="8"><image width="12" height="8" href="${PICTURE}"/></pattern>${RECT}`,
  )
  expect(layers[0]).toMatchObject({
    fills: [{ kind: 'image', fit: 'tile', tile: { x: 0, y: 0, width: 12, height: 8 } }],
  })
})

test('a pattern of shapes is noted', () => {
  const { notes } = svgLayers(
    `<pattern id="p" width="1" height="1"><rect width="4" height="4"/></pattern>${RECT}`,
  )
  expect(notes.map((n) => n.code)).toEqual(['intake/paint-skipped'])
})

test('a mirrored or skewed picture becomes a drawing that shows it so', () => {
  const { layers, design, notes } = svgLayers(
    `<image width="48" height="32" href="${PICTURE}" transform="translate(60 0) scale(-1 1)"/>`,
  )
  const image = layers[0]!
  expect(image).toMatchObject({ type: 'image', box: { x: 12, y: 0, width: 48, height: 32 } })
  const asset = design.assets[image.type === 'image' ? image.asset : '']!
  expect(asset.mime).toBe('image/svg+xml')
  expect(Buffer.from(asset.data, 'base64').toString()).toContain('matrix(-1 0 0 1 48 0)')
  expect(notes).toEqual([])
})

test('a picture without a stated size has its own', () => {
  const { layers } = svgLayers(
    `<image href="${PICTURE}"/><image y="40" width="24" href="${PICTURE}"/>`,
  )
  expect(layers).toMatchObject([
    { box: { width: 48, height: 32 } },
    { box: { width: 24, height: 16 } },
  ])
})
