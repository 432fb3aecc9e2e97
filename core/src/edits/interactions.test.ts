import { design, frame, text } from '../testing/design.js'
import { resolveInstances } from '../design/resolve-instances.js'
import { findLayer, walkLayers } from '../design/walk.js'
import { convert } from '../convert.js'
import type { Edit } from './edit.js'
import { applyEdits } from './index.js'

const made = design([
  frame('home', [
    text('title', 'Tides'),
    text('more', 'More', { link: { kind: 'address', url: 'https://tidewrack.example' } }),
    frame('details', [text('words', 'Springs')]),
  ]),
  frame('rota', [text('rota-title', 'Rota')]),
])

const pressOf = (edits: Edit[], key: string) => {
  const { design: edited, adrift } = applyEdits(made, edits)
  let press: unknown
  for (const screen of resolveInstances(edited)) {
    walkLayers(screen, (layer) => void (layer.key === key && (press = layer.link)))
  }
  return { press, adrift: adrift.length }
}
const say = (layer: string, press: Extract<Edit, { kind: 'set-interaction' }>['press']): Edit => ({
  kind: 'set-interaction',
  layers: [layer],
  press,
})

test('what a person says stands in the place of what the design says, and can take it away', () => {
  const screen = { kind: 'screen', screen: 'rota' } as const
  expect(pressOf([say('more', screen)], 'more')).toEqual({ press: screen, adrift: 0 })
  expect(pressOf([say('more', null)], 'more')).toEqual({ press: undefined, adrift: 0 })
  // The layer itself is as it was drawn.
  expect(findLayer(applyEdits(made, [say('more', null)]).design, 'more')!.link).toBeDefined()
})

test('parts that are not said stay as they were said before', () => {
  const hover = { effects: [{ kind: 'lift', px: 4 }], durationMs: 200 } as const
  const { design: edited } = applyEdits(made, [
    say('title', { kind: 'toggle', layer: 'details', starts: 'hidden' }),
    {
      kind: 'set-interaction',
      layers: ['title'],
      hover: { ...hover, effects: [...hover.effects] },
    },
  ])
  expect(edited.interactions!['title']).toMatchObject({ press: { kind: 'toggle' }, hover })
})

test.each([
  ['a layer that is gone', say('old', { kind: 'close' })],
  ['a screen that is gone', say('title', { kind: 'screen', screen: 'old' })],
  ['a target that is gone', say('title', { kind: 'section', layer: 'old' })],
  ['a form that is gone', { kind: 'set-form', layer: 'old', form: { to: { kind: 'handler' } } }],
] as [string, Edit][])('an edit of %s is adrift', (_what, edit) => {
  expect(applyEdits(made, [edit]).adrift).toEqual([edit])
})

test('what cannot be done is said: a panel outside the conversion, an address for answers that is no web address', () => {
  const edits = [
    say('title', { kind: 'open', screen: 'rota', as: 'dialog', side: 'end' }),
    say('more', { kind: 'close' }),
  ]
  const result = convert(made, edits, { target: 'html', select: ['home'] })
  if (!result.ok) throw new Error('not converted')
  const lost = result.notes.filter(({ code }) => code === 'account/lost')
  expect(lost.map(({ where }) => where.layer)).toEqual(['title', 'more'])
})

test('a screen that is shown in two ways is one panel, shown as the first of them says', () => {
  const edits = [
    say('title', { kind: 'open', screen: 'rota', as: 'drawer', side: 'start' }),
    say('more', { kind: 'open', screen: 'rota', as: 'overlay', side: 'end' }),
  ]
  const result = convert(made, edits, { target: 'html' })
  if (!result.ok) throw new Error('not converted')
  const page = result.value.files.find((file) => file.path === 'index.html')!.content
  const text = page.kind === 'text' ? page.text : ''
  expect(text.match(/<dialog/g)).toHaveLength(1)
  expect(text.match(/command="show-modal"/g)).toHaveLength(2)
  expect(result.value.files.map((file) => file.path)).not.toContain('rota.html')
})

test('hover effects follow the tokens they name', () => {
  const hover = {
    effects: [{ kind: 'tint', color: '#e7efe9', token: 'color.mist' }, { kind: 'shadow' }],
    durationMs: 200,
  } as const
  const token = { type: 'color', name: 'color.mist', values: { default: '#e7efe9' } } as const
  const own = { ...made, modes: ['default'], tokens: [token] } as typeof made
  const apply = (...edits: Edit[]) => applyEdits(own, edits).design.interactions!['title']!.hover
  const said: Edit = {
    kind: 'set-interaction',
    layers: ['title'],
    hover: { ...hover, effects: [...hover.effects] },
  }
  expect(apply(said)).toEqual(hover)
  expect(apply(said, { kind: 'rename-token', token: 'color.mist', name: 'color.fog' })).toEqual({
    ...hover,
    effects: [{ kind: 'tint', color: '#e7efe9', token: 'color.fog' }, { kind: 'shadow' }],
  })
  expect(apply(said, { kind: 'remove-token', token: 'color.mist' })).toEqual({
    ...hover,
    effects: [{ kind: 'tint', color: '#e7efe9' }, { kind: 'shadow' }],
  })
})
