import { printDocument } from '../shared/print-document.js'
import type { Prop } from '../shared/prop.js'
import { printPropsComment } from './props-comment.js'

const prop = (more: Partial<Prop>): Prop => ({
  id: 'x',
  name: 'label',
  kind: 'text',
  isOptional: false,
  ...more,
})

const print = (...props: Prop[]): string =>
  printDocument(printPropsComment('CardProps', props), 80).text

test('props are told with their types, those that may be left out in brackets', () => {
  expect(
    print(
      prop({}),
      prop({ name: 'tone', kind: 'choice', options: ['rust', 'kelp'], standard: 'rust' }),
      prop({ name: 'icon', kind: 'slot', isOptional: true }),
      prop({ name: 'title', of: { tag: 'Head', prop: 'title' } }),
    ),
  ).toBe(
    [
      '/**',
      ' * @typedef {object} CardProps',
      ' * @property {string} label',
      ' * @property {"rust" | "kelp"} [tone]',
      ' * @property {import("react").ReactNode} [icon]',
      ' * @property {import("./Head").HeadProps["title"]} title',
      ' */',
    ].join('\n'),
  )
})

test('words of a design do not end the comment', () => {
  const text = print(prop({ only: ['*/ alert(1) /*', 'calm'] }))
  expect(text.indexOf('*/')).toBe(text.length - 2)
})
