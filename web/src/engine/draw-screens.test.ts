import { readDesign, type Design } from '@unimorph/core'
import { applyAndResolve, drawScreens } from './draw-screens'

const box = (x: number, y: number) => ({ x, y, width: 50, height: 20 })
const label = (key: string, rest = {}) => ({
  type: 'text',
  key,
  name: key,
  box: box(5, 5),
  style: { family: 'Inter', size: 16, color: '#000000' },
  runs: [{ text: 'Press' }],
  ...rest,
})

const design = (): Design => {
  const read = readDesign({
    format: 'unimorph-design',
    version: 1,
    components: [
      {
        key: 'Button',
        name: 'Button',
        properties: [{ kind: 'text', name: 'Label', default: 'Press' }],
        variants: [
          {
            type: 'component',
            key: 'drawn',
            box: box(0, 0),
            children: [label('words', { bind: { text: 'Label' } })],
          },
        ],
      },
    ],
    screens: [
      {
        type: 'frame',
        key: 'home',
        name: 'Home',
        box: { x: 900, y: 0, width: 200, height: 100 },
        children: [
          { type: 'group', key: 'row', name: 'Row', box: box(10, 20), children: [label('title')] },
          {
            type: 'instance',
            key: 'save',
            name: 'Save',
            component: 'Button',
            props: { Label: 'Save' },
            box: box(100, 50),
          },
        ],
      },
    ],
  })
  if (!read.ok) throw new Error(read.notes[0]!.message)
  return read.value
}

test('the rows list every layer with its place on the screen, parents first', () => {
  const { layers } = drawScreens(applyAndResolve(design(), []))
  expect(layers.map(({ key, depth, box }) => [key, depth, box.x, box.y])).toEqual([
    ['home', 0, 0, 0],
    ['row', 1, 10, 20],
    ['title', 2, 15, 25],
    ['save', 1, 100, 50],
    ['save/words', 2, 105, 55],
  ])
})

test('what is inside an instance shows its own text and cannot be edited there', () => {
  const { layers } = drawScreens(applyAndResolve(design(), []))
  const inside = layers.find((l) => l.key === 'save/words')!
  expect([inside.text, inside.editable]).toEqual(['Save', false])
  expect(layers.find((l) => l.key === 'save')!.editable).toBe(true)
})

test('edits are applied to rows and drawing, and those adrift do no harm', () => {
  const drawn = drawScreens(
    applyAndResolve(design(), [
      { kind: 'rename', layer: 'title', name: 'Heading' },
      { kind: 'hide', layer: 'save', hidden: true },
      { kind: 'remove', layer: 'gone' },
    ]),
  )
  expect(drawn.layers.find((l) => l.key === 'title')!.name).toBe('Heading')
  expect(drawn.screens[0]!.sheets.join('')).not.toContain('Save')
})
