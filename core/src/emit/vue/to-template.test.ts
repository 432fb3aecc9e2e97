import { code, spread, text, type Attribute, type MarkupElement } from '../shared/markup.js'
import { printDocument } from '../shared/print-document.js'
import { printTags } from '../shared/print-tags.js'
import { escapeWords } from './print-file.js'
import { toTemplate } from './to-template.js'

const element = (
  tag: string,
  attributes: readonly Attribute[],
  children: MarkupElement['children'] = [],
): MarkupElement => ({ kind: 'element', tag, content: 'blocks', attributes, children })

const print = (node: Parameters<typeof toTemplate>[0]): string =>
  printDocument(printTags(toTemplate(node), { escape: escapeWords }), 200).text

describe("Vue's attributes", () => {
  test('code is bound, events are listened to, and what is simply there is bare', () => {
    const attributes = [
      text('type', 'text'),
      code('@input', 'count'),
      code('required', 'true'),
      code('hidden', '!isOpen'),
    ]
    expect(print(element('input', attributes))).toBe(
      '<input type="text" required :hidden="!isOpen" @input="count" />',
    )
  })

  test('components are given their props with hyphens, and switches that are off by name', () => {
    const attributes = [
      text('shoreName', 'Kelp Pier'),
      code('isRare', 'true'),
      code('dot', 'false'),
    ]
    expect(print(element('ShoreTag', attributes))).toBe(
      '<ShoreTag shore-name="Kelp Pier" is-rare :dot="false" />',
    )
  })

  test('what repeats and what is there at times come first, whatever else there is', () => {
    const tag = element('ShoreTag', [spread('tag')])
    expect(print({ kind: 'loop', list: 'tags', item: 'tag', key: 'tag.name', template: tag })).toBe(
      '<ShoreTag v-for="tag in tags" :key="tag.name" v-bind="tag" />',
    )
    expect(print({ kind: 'loop', list: 'tags', item: 'tag', key: undefined, template: tag })).toBe(
      '<ShoreTag v-for="(tag, index) in tags" :key="index" v-bind="tag" />',
    )
    const note = element('p', [text('class', 'p-2'), text('id', 'note')])
    expect(print({ kind: 'when', condition: 'note', content: note })).toBe(
      '<p v-if="note" id="note" class="p-2"></p>',
    )
  })

  test('classes of a choice stand beside those that are always there', () => {
    const classes = (looks: readonly { record: string; prop: string; place?: string }[]) =>
      print(element('p', [{ name: 'class', kind: 'classes', base: 'p-2', looks, isPlaced: true }]))
    expect(classes([])).toBe('<p class="p-2"></p>')
    expect(classes([{ record: 'tones', prop: 'tone' }])).toBe(
      '<p class="p-2" :class="tones[tone]"></p>',
    )
    expect(
      classes([
        { record: 'tones', prop: 'tone', place: 'dot' },
        { record: 'sizes', prop: 'size' },
      ]),
    ).toBe('<p class="p-2" :class="[tones[tone].dot, sizes[size]]"></p>')
  })

  test('braces in words are words, and the value of code stands in braces', () => {
    const words = element('p', [text('title', '{{ x }}')], [{ kind: 'text', text: 'Say {{ x }}' }])
    expect(print(words)).toBe('<p title="{{ x }}">Say &#123;{ x }}</p>')
    expect(print(element('p', [], [{ kind: 'expression', code: 'label' }]))).toContain(
      '{{ label }}',
    )
  })
})
