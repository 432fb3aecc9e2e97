import { TARGETS } from '../emit/index.js'
import { findUnsupported } from './unsupported.js'

const fieldsOf = (target: keyof typeof TARGETS, settings: Parameters<typeof findUnsupported>[1]) =>
  findUnsupported(TARGETS[target], settings).map(({ field, value }) => `${field} ${value}`)

test.each([
  ['vue', { styling: 'css-in-js' }, ['styling css-in-js']],
  ['vue', { script: 'javascript' }, ['script javascript']],
  ['flutter', { styling: 'tailwind', units: 'rem' }, ['styling tailwind', 'units rem']],
  ['html', { extras: ['comments', 'tests'] }, ['extras tests']],
  ['react', { templates: 'class' }, ['templates class']],
] as const)('%s refuses %j', (target, settings, fields) => {
  expect(fieldsOf(target, settings as never)).toEqual(fields)
})

test.each([
  ['react', { styling: 'css-in-js', script: 'javascript', extras: ['tests'] }],
  ['vue', { styling: 'css-modules', script: 'typescript', units: 'rem' }],
  ['angular', { templates: 'class', extras: ['tests', 'comments'] }],
  ['flutter', {}],
] as const)('%s has all of %j', (target, settings) => {
  expect(fieldsOf(target, settings as never)).toEqual([])
})

test('what is refused comes with what there is', () => {
  expect(findUnsupported(TARGETS.vue, { styling: 'css-in-js' })[0]?.allowed).toEqual(
    TARGETS.vue.stylings,
  )
})
