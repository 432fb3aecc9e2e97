import { PropNames } from './prop-names.js'

test('a name is given once, and none that the languages keep', () => {
  const names = new PropNames()
  expect(['picture', 'picture', 'class'].map((wanted) => names.take(wanted).name)).toEqual([
    'picture',
    'picture2',
    'classText',
  ])
})

test('what the component uses under a name keeps it', () => {
  expect(new PropNames({}, ['picture']).take('picture').name).toBe('picture2')
})
