import { text, type MarkupElement } from './markup.js'
import { tidyShapes } from './tidy-shapes.js'

const shape = (
  tag: string,
  attributes: Record<string, string>,
  children: MarkupElement[] = [],
): MarkupElement => ({
  kind: 'element',
  tag,
  content: 'blocks',
  attributes: Object.entries(attributes).map(([name, value]) => text(name, value)),
  children,
})
const pen = { stroke: '#123', fill: 'none', 'stroke-width': '3' }

test('a group that only moves one shape is that shape, moved by both', () => {
  const inner = shape('path', { d: 'M0 0', transform: 'scale(2)', fill: 'red' })
  expect(tidyShapes([shape('g', { transform: 'translate(1 2)' }, [inner])])).toEqual([
    shape('path', { d: 'M0 0', fill: 'red', transform: 'translate(1 2) scale(2)' }),
  ])
})

test('what shapes are painted with is said once', () => {
  const tidy = tidyShapes([
    shape('path', { d: 'M0 0', fill: 'red' }),
    shape('path', { d: 'M1 1', ...pen }),
    shape('g', { transform: 'translate(4 5)' }, [shape('path', { d: 'M1 1', ...pen })]),
  ])
  expect(tidy).toEqual([
    shape('path', { d: 'M0 0', fill: 'red' }),
    shape('g', pen, [
      shape('path', { d: 'M1 1' }),
      shape('path', { d: 'M1 1', transform: 'translate(4 5)' }),
    ]),
  ])
})

test('a group with an opacity of its own stays, and shapes with one thing in common stay apart', () => {
  const faded = shape('g', { opacity: '0.5' }, [shape('path', { d: 'M0 0', fill: 'red' })])
  const shapes = [faded, shape('path', { d: 'M1 1', fill: 'red' })]
  expect(tidyShapes(shapes)).toEqual(shapes)
})
