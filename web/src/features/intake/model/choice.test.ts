import type { Summary } from '@unimorph/core'
import { setSameAs, startDraft, toChoice, toggleScreen } from './choice'

const screen = (key: string, width: number) => ({
  key,
  name: key,
  width,
  height: 800,
  layerCount: 1,
  textCount: 0,
  pictureCount: 0,
})
const summary: Summary = {
  screens: [screen('home-390', 390), screen('home', 1280), screen('list', 1280)],
  fonts: [],
  colors: [],
  artboards: [['home-390', 'home']],
}

test('everything is taken at first, artboards as proposed under the widest', () => {
  const draft = startDraft(summary)
  expect(draft.sameAs.get('home-390')).toBe('home')
  expect(toChoice(draft, summary)).toEqual({
    screens: ['home-390', 'home', 'list'],
    artboards: [['home-390', 'home']],
  })
})

test('a screen that is left out leaves its group', () => {
  const draft = toggleScreen(startDraft(summary), 'home')
  expect(toChoice(draft, summary)).toEqual({ screens: ['home-390', 'list'], artboards: [] })
})

test('screens can be said to be different, or widths of another', () => {
  const apart = setSameAs(startDraft(summary), 'home-390', undefined)
  expect(toChoice(apart, summary).artboards).toEqual([])
  const joined = setSameAs(startDraft(summary), 'list', 'home')
  expect(toChoice(joined, summary).artboards).toEqual([['home-390', 'home', 'list']])
})

test('when the one that stands for a group joins another, the group comes along', () => {
  const moved = setSameAs(startDraft(summary), 'home', 'list')
  expect(toChoice(moved, summary).artboards).toEqual([['home-390', 'home', 'list']])
})
