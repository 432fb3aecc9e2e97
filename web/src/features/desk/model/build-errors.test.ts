import type { EmittedFile } from '@unimorph/core'
import type { LayerRow } from '../../../engine/protocol'
import { readBuildError, readFault } from './build-errors'

const file = (path: string, text: string, marks: Record<string, string>): EmittedFile => ({
  path,
  content: { kind: 'text', text },
  spans: Object.entries(marks).map(([layer, part]) => ({
    layer,
    start: text.indexOf(part),
    end: text.indexOf(part) + part.length,
  })),
})
const BUILT = file('src/App.tsx', '<main>\n  <b data-layer="bell">Bell</b>\n</main>\n', {
  bell: '<b data-layer="bell">Bell</b>',
})
const SHOWN = file('src/screens/App.tsx', 'x\n\n<main>\n\t<b>Bell</b>\n</main>\n', {
  bell: '<b>Bell</b>',
})
const LAYERS = [{ key: 'bell', name: 'Bell', depth: 1 }] as unknown as readonly LayerRow[]
const read = (said: string) => readBuildError(said, [BUILT], [SHOWN], LAYERS)

test('an error leads to the layer in whose code it stands, wherever that is delivered', () => {
  expect(read('src/App.tsx:2: Unexpected "Bell"')).toEqual({
    message: 'Unexpected "Bell"',
    path: 'src/screens/App.tsx',
    line: 4,
    layer: 'bell',
    thread: { path: 'src/screens/App.tsx', spans: SHOWN.spans },
  })
})

test.each([
  [
    'src/App.tsx:1: above all layers',
    { message: 'above all layers', path: 'src/App.tsx', line: 1 },
  ],
  ['src/App.vue: no line', { message: 'no line', path: 'src/App.vue' }],
  ['The server does not answer.', { message: 'The server does not answer.' }],
])('%s', (said, error) => {
  expect(read(said)).toEqual(error)
})

test('a fault of the files stands where the file says', () => {
  const fault = { path: 'src/screens/App.tsx', line: 4, what: 'closes b, and i is open' }
  expect(readFault({ ...fault, layer: 'bell' }, [SHOWN], LAYERS)).toEqual({
    message: 'This file closes b, and i is open.',
    path: 'src/screens/App.tsx',
    line: 4,
    layer: 'bell',
    thread: { path: 'src/screens/App.tsx', spans: SHOWN.spans },
  })
})
