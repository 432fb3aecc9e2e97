import { design, frame, layer, text } from '../testing/design.js'
import { resolveInstances } from '../design/resolve-instances.js'
import { readDesign } from '../design/read-design.js'
import { summarise } from './summary.js'
import { takeScreens } from './take-screens.js'

const asset = { name: 'a.png', mime: 'image/png', data: 'AAAA' }
const made = () =>
  design(
    [
      frame('home', [
        layer('image', 'photo', { asset: 'sea' }),
        layer('instance', 'save', { component: 'Button' }),
        text('more', 'More', { link: { kind: 'screen', screen: 'list' } }),
      ]),
      frame('home phone', [text('t', 'Hi')], { box: { x: 0, y: 0, width: 390, height: 800 } }),
      frame('list', [layer('image', 'map', { asset: 'map' })]),
    ],
    {
      assets: { sea: asset, map: asset },
      components: [
        {
          key: 'Button',
          name: 'Button',
          variants: [
            layer('component', 'b', { children: [layer('instance', 'i', { component: 'Icon' })] }),
          ],
        },
        { key: 'Icon', name: 'Icon', variants: [layer('component', 'c')] },
        { key: 'Menu', name: 'Menu', variants: [layer('component', 'd')] },
      ],
    },
  )

test('what a screen that stays does not need goes with the ones that go', () => {
  const taken = takeScreens(made(), { screens: ['home'], artboards: [] })
  expect(taken.screens.map((s) => s.key)).toEqual(['home'])
  expect(Object.keys(taken.assets)).toEqual(['sea'])
  expect(taken.components.map((c) => c.key)).toEqual(['Button', 'Icon'])
  // A link to a screen that was left out would lead nowhere.
  expect(taken.screens[0]!.children[2]).not.toHaveProperty('link')
  expect(readDesign(JSON.parse(JSON.stringify(taken))).ok).toBe(true)
})

test('taking all changes nothing but what belongs together', () => {
  const before = made()
  const screens = before.screens.map((s) => s.key)
  const taken = takeScreens(before, { screens, artboards: [['home', 'home phone'], ['list']] })
  expect(taken).toEqual({ ...before, artboards: [{ screens: ['home', 'home phone'] }] })
})

test('a summary counts, and proposes what looks like one screen', () => {
  const before = made()
  const summary = summarise(before, resolveInstances(before))
  expect(summary.screens[0]).toMatchObject({ layerCount: 5, textCount: 1, pictureCount: 1 })
  expect(summary.artboards).toEqual([['home', 'home phone']])
  expect(summary.fonts).toEqual([{ family: 'Inter', styles: [{ weight: 400, italic: false }] }])
  expect(summary.colors).toEqual([{ color: '#112233', count: 2 }])
})
