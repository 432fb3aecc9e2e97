import type { UiAsset } from '../../ui/nodes.js'
import { code, text, type Attribute, type MarkupElement } from './markup.js'
import { listPictureFacts, withPictureFacts } from './picture-facts.js'

const picture = (id: string, size?: { width: number; height: number }): UiAsset => ({
  id,
  name: id,
  content: { kind: 'bytes', base64: '', extension: 'png', ...(size ? { size } : {}) },
})
const assets = [picture('shore', { width: 2250, height: 1000 }), picture('odd')]
const img = (...attributes: Attribute[]): MarkupElement => ({
  kind: 'element',
  tag: 'img',
  content: 'text',
  attributes,
  children: [],
})
const page = (...children: MarkupElement[]): MarkupElement => ({
  kind: 'element',
  tag: 'main',
  content: 'blocks',
  attributes: [],
  children,
})
const SIZE = [text('width', '2250'), text('height', '1000')]

test.each([
  ['an address', (id: string) => text('src', `assets/${id}.png`)],
  ['a module', (id: string) => code('src', id)],
])('a picture that is shown by %s says its own size', (_how, sourceOf) => {
  const facts = listPictureFacts(assets, sourceOf)
  const shore = img(sourceOf('shore'), text('alt', ''))
  expect(withPictureFacts(page(shore), facts)).toEqual(
    page(img(sourceOf('shore'), ...SIZE, text('alt', ''))),
  )
})

test('what has no known size, what is given, and what is no picture stay as they are', () => {
  const facts = listPictureFacts(assets, (id) => code('src', id))
  const markup = page(img(code('src', 'odd')), img(code('src', 'picture')), {
    ...img(code('src', 'shore')),
    tag: 'video',
  })
  expect(withPictureFacts(markup, facts)).toEqual(markup)
})
