import fc from 'fast-check'
import { toKebab, toPascal, UniqueNames } from './names.js'

test.each([
  ['Log a sighting', 'log-a-sighting', 'LogASighting'],
  ['Übersicht 2', 'ubersicht-2', 'Ubersicht2'],
  ['iconButton', 'icon-button', 'IconButton'],
  ['  --  ', 'page', 'Page'],
  ['404 page', '404-page', 'Page404Page'],
  ['../../etc', 'etc', 'Etc'],
  ['Image', 'image', 'ImageScreen'],
])('%s', (name, kebab, pascal) => {
  expect([toKebab(name, 'page'), toPascal(name, 'Page')]).toEqual([kebab, pascal])
})

test('names from any text are valid identifiers and file names (seed 2)', () => {
  fc.assert(
    fc.property(fc.string({ unit: 'binary', maxLength: 200 }), (text) => {
      expect(toKebab(text, 'x')).toMatch(/^[a-z0-9]+(-[a-z0-9]+)*$/)
      expect(toPascal(text, 'X')).toMatch(/^[A-Z][A-Za-z0-9]*$/)
    }),
    { seed: 2 },
  )
})

test('equal names are counted, whatever their case', () => {
  const names = new UniqueNames('-', ['index'])
  expect(['Home', 'home', 'index', 'home'].map((n) => names.take(n))).toEqual([
    'Home',
    'home-2',
    'index-2',
    'home-3',
  ])
})
