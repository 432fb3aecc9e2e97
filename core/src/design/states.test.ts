import { design, frame, layer, text } from '../testing/design.js'
import { findDrawnStates, findStateProperty } from './states.js'

type Json = Record<string, unknown>

const set = (values: string[], name = 'State'): Json => ({
  key: 'Button',
  name: 'Button',
  properties: [{ kind: 'variant', name, values, default: values[0] }],
  variants: values.map((value) =>
    layer('component', `button-${value}`, {
      variant: { [name]: value },
      fills: [{ kind: 'solid', color: value === values[0] ? '#22543d' : '#123456' }],
      children: [text(`label-${value}`, 'Save', { name: 'Label' })],
    }),
  ),
})
const withButton = (component: Json, variant: Json = {}) =>
  design([frame('home', [layer('instance', 'save', { component: 'Button', variant })])], {
    components: [component],
  })

test.each([
  [
    ['Rest', 'Hover', 'Disabled'],
    ['hover', 'disabled'],
  ],
  [
    ['Standard', 'Überfahren', 'Fokus'],
    ['hover', 'focus'],
  ],
  [['Default', 'Wrong'], ['invalid']],
])('%j names states', (values, states) => {
  const made = withButton(set(values))
  expect([...findStateProperty(made.components[0]!)!.states.values()]).toEqual(states)
})

test.each([[['Small', 'Large']], [['Hover', 'Pressed']]])('%j names none', (values) => {
  expect(findStateProperty(withButton(set(values)).components[0]!)).toBeUndefined()
})

test('the layers of a state are paired with those of the rest, under the keys of the instance', () => {
  const states = findDrawnStates(withButton(set(['Rest', 'Hover']))).get('save')!
  expect(states.own).toBeUndefined()
  const [hover] = states.drawn
  expect(hover!.state).toBe('hover')
  expect([...hover!.layers.keys()]).toEqual(['save', 'save/label-Rest'])
  expect(hover!.layers.get('save')).toMatchObject({ fills: [{ color: '#123456' }] })
})

test('an instance that is drawn in a state is in it', () => {
  const states = findDrawnStates(withButton(set(['Rest', 'Disabled']), { State: 'Disabled' }))
  expect(states.get('save')).toEqual({ own: 'disabled', drawn: [] })
})
