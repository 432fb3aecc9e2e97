import { finishPictures } from './finish-pictures.js'
import { optimiseSvg } from './optimise-svg.js'
import { design, frame, layer } from '../testing/design.js'

test('a picture gets smaller, and nothing in it can run or load', () => {
  const svg =
    '<svg xmlns="http://www.w3.org/2000/svg" onload="alert(1)"><!-- made by hand --><script>alert(2)</script>' +
    '<g><path d="M 0.0000 0.0000 L 10.0000 0.0000" onclick="alert(3)"/></g><image href="https://elsewhere.example/a.png"/><a href="javascript:alert(4)"><path d="M0 0h1"/></a></svg>'
  const smaller = optimiseSvg(svg)
  expect(smaller.length).toBeLessThan(svg.length)
  expect(smaller).not.toMatch(/alert|elsewhere|script/)
  expect(smaller).toContain('<path')
})

test('what is no SVG stays as it came', () => {
  expect(optimiseSvg('<svg><g></svg>')).toBe('<svg><g></svg>')
})

test('pictures are completed with what a decoder sees', async () => {
  const data = Buffer.from(
    '<svg xmlns="http://www.w3.org/2000/svg"><g><path d="M0 0h1"/></g></svg>',
  )
  const made = design([frame('home', [layer('image', 'a', { asset: 'a' })])], {
    assets: { a: { name: 'a.svg', mime: 'image/svg+xml', data: data.toString('base64') } },
  })
  const look = { transparent: true, color: '#123456' }
  const done = await finishPictures(
    made,
    () => Promise.resolve(look),
    () => '<svg/>',
  )
  expect(done.assets['a']).toMatchObject({
    ...look,
    data: Buffer.from('<svg/>').toString('base64'),
  })
})
