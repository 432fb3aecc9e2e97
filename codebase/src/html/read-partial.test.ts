import { saidBy } from './read-elements.js'
import { isPartial, readPartial } from './read-partial.js'

const NOTICE = `<!--
  A message that stays
  on the page.

  @param {string} heading - what it is about
  @param {'quiet' | 'urgent'} [tone='quiet'] - how loud it is
  @param {boolean} [closes]
  @slot - what it says
  @sheet ../css/notice.css
-->
<aside class="notice notice--{{tone}} {{#closes}}notice--closes{{/closes}}" onclick="go()">
  <h3>{{ heading }}</h3>
  {{{children}}}
  {{#closes}}<button disabled="{{busy}}">Close</button>{{/closes}}
  {{^closes}}It stays.{{/closes}}
  <script>go()</script>
</aside>
`
const read = (text: string, path = 'parts/notice.html') => readPartial({ path, text })

test('a file of HTML is a partial when it begins with a comment that says what it is given', () => {
  expect(isPartial({ path: 'a.html', text: NOTICE })).toBe(true)
  expect(isPartial({ path: 'a.ts', text: NOTICE })).toBe(false)
  expect(isPartial({ path: 'a.html', text: '<!-- a page --><p>@param</p>' })).toBe(false)
  expect(isPartial({ path: 'a.html', text: '<p></p><!-- @param {string} a -->' })).toBe(false)
})

test('the comment says what it is given, what it is for and which sheet it needs', () => {
  const { components } = read(NOTICE)
  expect(components).toHaveLength(1)
  const [notice] = components!
  expect(notice).toMatchObject({
    name: 'Notice',
    framework: 'html',
    path: 'parts/notice.html',
    about: 'A message that stays on the page.',
    sheets: ['css/notice.css'],
  })
  expect(notice!.props).toEqual([
    {
      name: 'heading',
      type: { kind: 'string', text: 'string' },
      as: 'prop',
      isRequired: true,
      about: 'what it is about',
    },
    {
      name: 'tone',
      type: { kind: 'choice', text: "'quiet' | 'urgent'", options: ['quiet', 'urgent'] },
      as: 'prop',
      isRequired: false,
      standard: 'quiet',
      about: 'how loud it is',
    },
    {
      name: 'closes',
      type: { kind: 'boolean', text: 'boolean' },
      as: 'prop',
      isRequired: false,
    },
    {
      name: 'children',
      type: { kind: 'node', text: 'slot' },
      as: 'slot',
      isRequired: false,
      about: 'what it says',
    },
    // What only its markup asks for.
    { name: 'busy', type: { kind: 'string', text: 'string' }, as: 'prop', isRequired: false },
  ])
})

test('markup is read with its places; scripts and handlers are not', () => {
  const [notice] = read(NOTICE).components!
  const [aside] = notice!.partial!
  if (aside?.kind !== 'element') throw new Error('no root')
  expect(aside.attributes).toEqual([
    {
      name: 'class',
      texts: [
        'notice notice--',
        { value: 'tone' },
        ' ',
        { when: 'closes', is: true, texts: ['notice--closes'] },
      ],
    },
  ])
  const said = aside.nodes.filter(({ kind }) => kind !== 'text')
  expect(said).toMatchObject([
    { kind: 'element', tag: 'h3', nodes: [{ kind: 'text', texts: [{ value: 'heading' }] }] },
    { kind: 'slot', name: 'children' },
    { kind: 'when', when: 'closes', is: true, nodes: [{ kind: 'element', tag: 'button' }] },
    { kind: 'when', when: 'closes', is: false, nodes: [{ kind: 'text', texts: ['It stays.'] }] },
  ])
})

test('a button can be pressed', () => {
  const [act] = read('<!-- @param {string} label -->\n<button>{{label}}</button>').components!
  expect(act!.props.at(-1)).toMatchObject({ name: 'click', as: 'event' })
})

test.each([
  ['<p>{{#a}}<b>{{/a}}</b></p>', '{{/a}} ends nothing that begins beside it.', 3],
  ['<p>{{#a}}</p>', '{{#a}} does not end beside where it begins.', 3],
  ['<input {{#a}}disabled{{/a}}>', 'in the value of an attribute', 3],
  ['<p>{{> other}}</p>', 'a partial in a partial is not read', 3],
])('%s is a note with its line', (markup, message, line) => {
  const { components, notes } = read(`<!-- @param {string} a\n-->\n${markup}`)
  expect(components).toBeUndefined()
  expect(notes).toEqual([
    { path: 'parts/notice.html', line, message: expect.stringContaining(message) },
  ])
})

test('parameters in the comment of a class are no attributes of its element', () => {
  const comment = '* @param {string} root - of its constructor\n * @attr {string} label'
  expect(saidBy(comment).map(({ name }) => name)).toEqual(['label'])
})
