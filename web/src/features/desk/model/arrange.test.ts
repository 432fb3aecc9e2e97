import type { LayerRow } from '../../../engine/protocol'
import { listArrangeActions } from './arrange'

const row = (key: string, rest: Partial<LayerRow> = {}): LayerRow => ({
  key,
  name: key,
  type: 'rectangle',
  depth: 1,
  childCount: 0,
  screen: 'home',
  box: { x: 0, y: 0, width: 20, height: 20 },
  visible: true,
  editable: true,
  ...rest,
})
const far = { box: { x: 100, y: 0, width: 20, height: 20 } }
const labels = (...rows: LayerRow[]): string[] =>
  listArrangeActions(rows, new Set(rows.map((r) => r.key))).map((action) => action.label)

test('several layers can be grouped, drawn as one, and moved into the container selected last', () => {
  expect(labels(row('a'), row('b', far))).toEqual([
    'Group as row',
    'Group as column',
    'Group as grid',
    'Group as overlay',
    'Make one graphic',
  ])
  expect(labels(row('a'), row('b', { ...far, type: 'frame' }))).toContain('Move into b')
})

test('grouping in a line what lies over each other comes with a warning, an overlay does not', () => {
  const actions = listArrangeActions([row('a'), row('b')], new Set())
  const warned = actions.filter((action) => 'warning' in action && action.warning)
  expect(warned.map((action) => action.label)).toEqual([
    'Group as row',
    'Group as column',
    'Group as grid',
  ])
})

test('a key that is taken is not used again', () => {
  const [first] = listArrangeActions([row('a'), row('b', far)], new Set(['a-row', 'a-row-2']))
  expect(first).toMatchObject({ edit: { kind: 'group', key: 'a-row-3', layers: ['a', 'b'] } })
})

test('what can be done depends on what is selected', () => {
  expect(labels(row('a', { type: 'image' }))).toContain('Crop …')
  expect(labels(row('a', { type: 'frame' }))).toEqual(
    expect.arrayContaining(['Take apart', 'Set auto layout …', 'Read as grid']),
  )
  expect(labels(row('a', { type: 'group' }))).not.toContain('Read as grid')
})

test.each([
  ['a screen', row('a', { depth: 0 })],
  ['a layer of a component', row('a', { editable: false })],
])('%s is left alone', (_what, only) => {
  expect(labels(only)).toEqual([])
})
