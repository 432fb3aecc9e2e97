import { call, raw, type Dart } from './dart.js'
import { shareConstants, shareLocals } from './share-values.js'

const white = call('TextStyle', {
  fontSize: '44',
  fontWeight: 'FontWeight.w700',
  color: call('Color', {}, ['0xFFFFFFFF']),
})
const quiet = call('AppType.body.copyWith', { color: 'colors.quiet' })
const text = (style: Dart): Dart => call('Text', { style }, ["'Ebb'"])
const column = (...children: Dart[]): Dart =>
  call('Column', { children: { kind: 'list', items: children } })

test('what widgets of several files repeat is held by the theme, under what one would call it', () => {
  const { widgets, held } = shareConstants([text(white), text(white)], [])
  expect(held.AppType).toEqual([{ name: 'bold44White', value: white }])
  expect(widgets).toEqual([text(raw('AppType.bold44White')), text(raw('AppType.bold44White'))])
})

test('a name that the theme has is not given again', () => {
  const { held } = shareConstants([column(text(white), text(white))], ['bold44White'])
  expect(held.AppType.map(({ name }) => name)).toEqual(['bold44WhiteV2'])
})

test('what stands once, or differs by mode, is no constant', () => {
  const widget = column(text(white), text(quiet), text(quiet))
  const { widgets, held } = shareConstants([widget], [])
  expect(held).toEqual({ AppType: [], AppBox: [], AppButtonStyle: [] })
  expect(widgets).toEqual([widget])
})

test('what depends on the colours or the window is said once before the widget', () => {
  const wide: Dart = { kind: 'choice', condition: 'from768', then: quiet, otherwise: white }
  const { widget, locals } = shareLocals(column(text(wide), text(wide), text(quiet)), [])
  expect(locals).toEqual([
    { name: 'bodyQuiet', value: quiet },
    { name: 'bodyQuietByWidth', value: { ...wide, then: raw('bodyQuiet') } },
  ])
  expect(widget).toEqual(
    column(text(raw('bodyQuietByWidth')), text(raw('bodyQuietByWidth')), text(raw('bodyQuiet'))),
  )
})

test('what depends on a thing of a list stays where the thing is', () => {
  const tinted = call('AppType.body.copyWith', { color: 'gull.color' })
  const widget = column(text(tinted), text(tinted))
  expect(shareLocals(widget, [])).toEqual({ widget, locals: [] })
})
