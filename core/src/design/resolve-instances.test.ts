import { design, frame, layer, text } from '../testing/design.js'
import { resolveInstances } from './resolve-instances.js'
import { findLayer } from './walk.js'

const button = (tone: string) =>
  layer('component', `button-${tone}`, {
    variant: { Tone: tone },
    fills: [{ kind: 'solid', color: tone === 'Loud' ? '#ff0000' : '#ffffff' }],
    children: [
      text(`${tone}-label`, 'Label', { bind: { text: 'Label' } }),
      layer('ellipse', `${tone}-dot`, { bind: { visible: 'Dot' } }),
    ],
  })

const components = [
  {
    key: 'Button',
    name: 'Button',
    properties: [
      { kind: 'variant', name: 'Tone', values: ['Quiet', 'Loud'], default: 'Quiet' },
      { kind: 'text', name: 'Label', default: 'Press' },
      { kind: 'switch', name: 'Dot', default: false },
    ],
    variants: [button('Quiet'), button('Loud')],
  },
]

const resolve = (instance: Record<string, unknown>) => {
  const made = design(
    [frame('home', [layer('instance', 'save', { component: 'Button', ...instance })])],
    { components },
  )
  const [screen] = resolveInstances(made)
  return { ...made, screens: [screen!] }
}

test('an instance becomes the drawing of its variant, with keys of its own', () => {
  const resolved = resolve({ variant: { Tone: 'Loud' }, props: { Label: 'Save' } })
  expect(findLayer(resolved, 'save')).toMatchObject({
    type: 'frame',
    fills: [{ color: '#ff0000' }],
  })
  expect(findLayer(resolved, 'save/Loud-label')).toMatchObject({ runs: [{ text: 'Save' }] })
})

test('what an instance does not say has its default', () => {
  const resolved = resolve({})
  expect(findLayer(resolved, 'save/Quiet-label')).toMatchObject({ runs: [{ text: 'Press' }] })
  expect(findLayer(resolved, 'save/Quiet-dot')).toMatchObject({ visible: false })
})

test('switches show layers, and an instance can have boxes of its own', () => {
  const box = { x: 1, y: 2, width: 30, height: 4 }
  const resolved = resolve({ props: { Dot: true }, boxes: { 'Quiet-dot': box } })
  expect(findLayer(resolved, 'save/Quiet-dot')).toMatchObject({ visible: true, box })
})

test('a screen without instances stays the same object', () => {
  const made = design([frame('home', [layer('rectangle', 'r')])])
  expect(resolveInstances(made)[0]).toBe(made.screens[0])
})
