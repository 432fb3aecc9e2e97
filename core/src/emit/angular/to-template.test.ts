import fc from 'fast-check'
import { format } from 'prettier'
import {
  code,
  spread,
  text,
  type Attribute,
  type MarkupElement,
  type MarkupNode,
} from '../shared/markup.js'
import { printDocument } from '../shared/print-document.js'
import { concat, hardline } from '../shared/document.js'
import { printNodes } from '../shared/print-tags.js'
import type { PartComponent, Prop } from '../shared/prop.js'
import { escapeWords } from './quote.js'
import { splitRoot, toTemplate, type TemplateOptions } from './to-template.js'
import { runs } from '../../testing/runs.js'

const element = (
  tag: string,
  attributes: readonly Attribute[] = [],
  children: readonly MarkupNode[] = [],
): MarkupElement => ({ kind: 'element', tag, content: 'blocks', attributes, children })

const prop = (name: string, more: Partial<Prop> = {}): Prop => ({
  id: name,
  name,
  kind: 'text',
  isOptional: false,
  ...more,
})

const part = (tag: string, props: readonly Prop[], markup: MarkupElement): PartComponent => ({
  id: tag,
  name: tag,
  tag,
  props,
  looks: [],
  markup,
  example: markup,
  uses: [],
})

const PLAIN: TemplateOptions = {
  parts: new Map(),
  icons: new Set(['MenuIcon']),
  lists: [],
  props: [],
  handlers: new Set(['openRules']),
}

const print = (nodes: readonly MarkupNode[], width = 200): string =>
  printDocument(concat([printNodes(nodes, { escape: escapeWords }), hardline]), width).text

const write = (markup: MarkupElement, options: Partial<TemplateOptions> = {}): string =>
  print([toTemplate(markup, { ...PLAIN, ...options })]).trim()

const shore = part(
  'ShoreTag',
  [
    prop('title'),
    prop('place'),
    prop('tone', { kind: 'choice', options: ['rust', 'kelp'], standard: 'rust', isOptional: true }),
  ],
  element('li'),
)
const parts = new Map([[shore.tag, shore]])

describe("Angular's attributes", () => {
  test('code is bound to a property where there is one and to the attribute elsewhere', () => {
    const attributes = [
      text('type', 'text'),
      code('required', 'true'),
      code('hidden', '!isOpen()'),
      code('aria-expanded', 'isOpen()'),
      code('src', 'picture.url'),
    ]
    expect(write(element('input', attributes))).toBe(
      '<input type="text" required [hidden]="!isOpen()" [attr.aria-expanded]="isOpen()" [src]="picture.url" />',
    )
  })

  test("a component's own functions are called, all others are handed the event", () => {
    const button = (handler: string) => write(element('button', [code('(click)', handler)]))
    expect(button('openRules')).toBe('<button (click)="openRules()"></button>')
    expect(button('closeDialog')).toBe('<button (click)="closeDialog($event)"></button>')
    expect(button('logForm.submit')).toBe('<button (click)="logForm.submit($event)"></button>')
  })

  test('what the code of a form says of a control is not said twice', () => {
    const attributes = [
      text('type', 'text'),
      text('formControlName', 'place'),
      text('value', 'Kelp Pier'),
      code('disabled', 'true'),
    ]
    expect(write(element('input', attributes))).toBe(
      '<input type="text" formControlName="place" />',
    )
    const radio = [text('type', 'radio'), text('formControlName', 'a'), text('value', 'b')]
    expect(write(element('input', radio))).toContain('value="b"')
  })
})

describe("Angular's components", () => {
  test('stand on the element they are made of, and are given what would mean something to it in code', () => {
    const use = element('ShoreTag', [text('title', "Mermaid's purse"), text('place', 'Kelp Pier')])
    expect(write(use, { parts })).toBe(
      `<li appShoreTag [title]="'Mermaid\\'s purse'" place="Kelp Pier"></li>`,
    )
  })

  test('made of a link have an element of their own, which is told where it stands', () => {
    const link = part('ShoreLink', [prop('label')], element('RouterLink', [code('to', 'address')]))
    const use = element('ShoreLink', [text('label', 'Rota'), text('class', 'flex-1')])
    expect(write(use, { parts: new Map([[link.tag, link]]) })).toBe(
      '<app-shore-link label="Rota" placing="flex-1" />',
    )
  })

  test('in a loop are given each thing by its name', () => {
    const list = {
      name: 'tags',
      item: 'tag',
      type: 'Tag',
      uses: 'ShoreTag',
      fields: [{ name: 'title', kind: 'text', isOptional: false }] as const,
      rows: [],
    }
    const template = element('ShoreTag', [spread('tag'), text('place', 'Kelp Pier')])
    const loop: MarkupNode = { kind: 'loop', list: 'tags', item: 'tag', key: undefined, template }
    const written = write(element('ul', [], [loop]), { parts, lists: [list] })
    expect(written).toBe(
      '<ul>\n  @for (tag of tags; track $index) {\n    <li appShoreTag [title]="tag.title" place="Kelp Pier"></li>\n  }\n</ul>',
    )
  })

  test('hand on what they need not be given with what the other has by itself', () => {
    const use = element('ShoreTag', [code('tone', 'tone')])
    const given = [prop('tone', { isOptional: true })]
    expect(write(use, { parts, props: given })).toBe(
      `<li appShoreTag [tone]="tone() ?? 'rust'"></li>`,
    )
  })

  test('ask for what they are given, and have it at hand where it is known to be there', () => {
    const root = element(
      'div',
      [code('id', 'id')],
      [
        { kind: 'when', condition: 'note', content: words(expression('note')) },
        expression('title'),
      ],
    )
    const props = [prop('id'), prop('title'), prop('note', { isOptional: true })]
    const { host, inside } = splitRoot(root, { ...PLAIN, props })
    expect(host).toEqual([code('[id]', 'id()')])
    expect(print(inside)).toBe('@if (note(); as note) {\n  <p>{{ note }}</p>\n}\n{{ title() }}\n')
  })
})

const words = (...children: MarkupNode[]): MarkupElement => ({
  ...element('p', [], children),
  content: 'text',
})

const expression = (of: string): MarkupNode => ({ kind: 'expression', code: of })

let angular: typeof import('@angular/compiler')
beforeAll(async () => {
  angular = await import('@angular/compiler')
})

/** What Angular's own parser makes of a paragraph: its words and the title it is given. */
const read = (template: string): { words: string; title: string } => {
  const { parseTemplate, TmplAstBoundText, TmplAstElement, TmplAstText } = angular
  const { nodes, errors } = parseTemplate(template, 'words.html')
  expect(errors ?? []).toEqual([])
  const [paragraph] = nodes.filter((node) => node instanceof TmplAstElement)
  const words = paragraph!.children.map((child) => {
    if (child instanceof TmplAstText) return child.value
    if (!(child instanceof TmplAstBoundText)) throw new Error('That is no text')
    const { strings, expressions } = (
      child.value as unknown as {
        ast: { strings: string[]; expressions: { value: string }[] }
      }
    ).ast
    return strings.map((one, i) => one + (expressions[i]?.value ?? '')).join('')
  })
  const [bound] = paragraph!.inputs
  const said = bound && (bound.value as unknown as { ast: { value: string } }).ast.value
  return { words: words.join(''), title: said ?? paragraph!.attributes[0]?.value ?? '' }
}

const flat = (text: string): string => text.replace(/\s+/g, ' ').trim()

const PIECES = [
  '{{ x }}',
  '{{',
  '}}',
  '{',
  '}',
  '@if (a) {',
  '@',
  '</script>',
  '<b>',
  '&amp;',
  '&#123;',
  '${y}',
  '`',
  '"',
  "'",
  '\\',
  ' ',
  'tide',
  'ebb 14:32',
  '🦀',
  'مد',
]

describe('whatever is said stays words', () => {
  const options = runs(400)
  test(`in text and in attributes (seed ${options.seed})`, async () => {
    const anything = fc
      .array(fc.constantFrom(...PIECES), { maxLength: 8 })
      .map((all) => all.join(''))
    await fc.assert(
      fc.asyncProperty(anything, anything, async (said, title) => {
        const all = `Low ${said}`
        const paragraph: MarkupElement = {
          kind: 'element',
          tag: 'p',
          content: 'text',
          attributes: [text('title', title)],
          children: [{ kind: 'text', text: all }],
        }
        const template = print([toTemplate(paragraph, PLAIN)], 80)
        const found = read(template)
        expect(flat(found.words)).toBe(flat(all))
        expect(flat(found.title)).toBe(flat(title))
        expect(await format(template, { parser: 'angular' })).toBe(template)
      }),
      options,
    )
  })
})
