import { layer } from '../../testing/design.js'
import { at, words } from '../../testing/page.js'
import { box, field, inColor, outline, pale, readPage, roleOf, solid } from '../../testing/roles.js'

// What files hold that nobody tidied: loose shapes, signs of two parts, things that are alike but for one.

type Json = Record<string, unknown>

const rolesOf = (roles: ReturnType<typeof readPage>, ...keys: string[]): unknown[] =>
  keys.map((key) => roleOf(roles, key))

test('an ellipsis stands among numbers of pages, and leads nowhere', () => {
  const shown = ['1', '2', '3', '…', '8']
  const roles = readPage(
    shown.flatMap((label, i) => [
      box(`box-${i}`, at(100 + i * 44, 300, 36, 36), { ...solid('#e9efec'), radius: 6 }),
      words(`page-${i}`, label, 112 + i * 44, 306),
    ]),
  )
  expect(rolesOf(roles, 'box-0', 'box-1', 'box-3', 'box-4')).toEqual([
    'link',
    'link',
    undefined,
    'link',
  ])
})

test('chips are buttons when the chosen one is', () => {
  const labels = ['Glass', 'Wood', 'Metal', 'Bone']
  const roles = readPage(
    labels.flatMap((label, i) => [
      box(`chip-${i}`, at(100 + i * 110, 300, 96, 36), {
        ...solid(i === 0 ? '#0f3b3a' : '#f0f4f2'),
        radius: 18,
      }),
      inColor(i === 0 ? '#ffffff' : '#112233', `label-${i}`, label, 126 + i * 110, 306, 16),
    ]),
  )
  expect(rolesOf(roles, 'chip-0', 'chip-1', 'chip-2', 'chip-3')).toEqual(Array(4).fill('button'))
})

test('empty boxes at the beginnings of rows are check boxes that are called by their rows', () => {
  const rows = ['Nele Brandt', 'Otto Visser', 'Ida Roth']
  const roles = readPage(
    rows.flatMap((name, i) => [
      box(`box-${i}`, at(120, 300 + i * 48, 14, 14), {
        ...solid('#ffffff'),
        ...outline('#c9d2ce'),
        radius: 3,
      }),
      words(`name-${i}`, name, 190, 295 + i * 48),
      words(`note-${i}`, 'Two glass floats, no marks', 420, 295 + i * 48),
    ]),
  )
  expect(rolesOf(roles, 'box-0', 'box-1', 'box-2')).toEqual(Array(3).fill('checkbox'))
  expect(roles.get('box-1')!.says).toBe('Otto Visser')
})

test('questions with a written sign at their end open their answers', () => {
  const asked = ['Is it free?', 'Who may join?', 'Where do we meet?']
  const lines = asked.map((words, i) => ({ words, y: 300 + i * 64 + (i > 0 ? 60 : 0) }))
  const roles = readPage([
    ...lines.flatMap(({ words: said, y }, i) => [
      box(`row-${i}`, at(200, y, 720, i === 0 ? 112 : 52), {
        ...solid('#ffffff'),
        ...outline('#d5dcd8'),
      }),
      words(`asked-${i}`, said, 220, y + 14),
      words(`sign-${i}`, i === 0 ? '−' : '+', 888, y + 14),
    ]),
    words('answer', 'Yes, for everyone who walks with us.', 220, 360),
  ])
  expect([...roles.values()].filter(({ role }) => role === 'disclosure')).toHaveLength(3)
})

test('a bar of links may stand below the title, and hold two links behind the name of the place', () => {
  const low = readPage([
    words('title', 'The Tidewrack Kitchen', 480, 80, 40),
    box('bar', at(0, 200, 1280, 72), solid('#2b4440')),
    ...['Home', 'Menu', 'Rooms', 'Visit'].map((label, i) =>
      inColor('#ffffff', `link-${i}`, label, 420 + i * 120, 224, 16),
    ),
  ])
  expect(rolesOf(low, 'link-0', 'link-1', 'link-2', 'link-3')).toEqual(Array(4).fill('link'))
  const short = readPage([
    box('bar', at(0, 0, 1280, 72), solid('#f3f6f4')),
    inColor('#112233', 'brand', 'Tidewrack Guide', 120, 24, 20),
    words('walks', 'Walks', 860, 24),
    words('rota', 'Rota', 940, 24),
    box('join', at(1020, 18, 140, 36), { ...solid('#0f5b54'), radius: 6 }),
    inColor('#ffffff', 'join-words', 'Join us', 1060, 24, 16),
  ])
  expect(rolesOf(short, 'walks', 'rota', 'join')).toEqual(['link', 'link', 'button'])
})

test('small signs that are drawn part the steps of a way', () => {
  const sign = (key: string, x: number): Json =>
    layer('path', key, {
      name: 'Vector',
      ...at(x, 106, 6, 12),
      paths: [{ d: 'M0 0L6 6L0 12' }],
      ...outline('#52625f'),
    })
  const roles = readPage([
    words('home', 'Home', 120, 100),
    sign('first', 174),
    words('walks', 'Your walks', 190, 100),
    sign('second', 282),
    words('here', 'Check your answers', 300, 100),
    words('title', 'Check your answers before you send them', 120, 160, 40),
  ])
  expect(rolesOf(roles, 'here')).toEqual([undefined])
  expect([...roles.values()].filter(({ role }) => role === 'link')).toHaveLength(2)
  expect([...roles.values()].map(({ role }) => role)).toContain('navigation')
})

test('large boxes with words beside them are ticked too, where there are several', () => {
  const roles = readPage(
    ['Glass', 'Wood', 'Metal'].flatMap((label, i) => [
      box(`box-${i}`, at(120, 300 + i * 56, 40, 40), outline('#112233')),
      words(`label-${i}`, label, 174, 308 + i * 56),
    ]),
  )
  expect(rolesOf(roles, 'box-0', 'box-1', 'box-2')).toEqual(Array(3).fill('checkbox'))
})

const lens = (x: number, y: number): Json[] => [
  layer('ellipse', 'lens', {
    name: 'Ellipse',
    ...at(x, y, 13, 13),
    ...solid('#ffffff'),
    ...outline('#52625f'),
  }),
  layer('path', 'handle', {
    name: 'Vector',
    ...at(x + 11, y + 11, 5, 5),
    paths: [{ d: 'M0 0L5 5' }],
    ...outline('#52625f'),
  }),
]

test('a lens in a field is a sign and no radio button', () => {
  const roles = readPage([
    field('search', 100, 300, 520, 44),
    ...lens(116, 315),
    pale('hint', 'Search the shore', 144, 310),
  ])
  expect(rolesOf(roles, 'search', 'lens')).toEqual(['textbox', undefined])
})

test('circles in boxes that stand under one another are choices', () => {
  const roles = readPage(
    ['By boat', 'On foot'].flatMap((label, i) => [
      field(`card-${i}`, 100, 300 + i * 70, 320, 56),
      layer('ellipse', `ring-${i}`, {
        name: 'Ellipse',
        ...at(116, 320 + i * 70, 16, 16),
        ...solid('#ffffff'),
        ...outline('#555555'),
      }),
      words(`label-${i}`, label, 144, 316 + i * 70),
    ]),
  )
  expect(rolesOf(roles, 'ring-0', 'ring-1')).toEqual(['radio', 'radio'])
})

const person = (i: number, top: number): Json[] => [
  layer('ellipse', `face-${i}`, { name: 'Ellipse', ...at(102, top, 40, 40), ...solid('#c9b48f') }),
  words(`name-${i}`, 'Mira Holm', 158, top),
  words(`line-${i}`, 'Rope and floats', 158, top + 20, 14),
  words(`hour-${i}`, `${i + 2} h`, 1100, top + 8, 14),
]

test('rows of faces and two lines of words are a list, and no table without names of its columns', () => {
  const roles = readPage([0, 1, 2, 3].flatMap((i) => person(i, 300 + i * 64)))
  expect([...roles.values()].map(({ role }) => role)).not.toContain('table')
  expect([...roles.values()].map(({ role }) => role)).toContain('list')
})

test('the foot of a page stands in its middle when it says who owns the page', () => {
  const roles = readPage(
    [
      box('bar', at(0, 0, 1280, 72), solid('#0f3b3a')),
      inColor('#ffffff', 'brand', 'Tidewrack', 40, 20, 22),
      words('title', 'Walking on mud', 64, 130, 32),
      words('text', 'Goose barnacles on a fender', 64, 200),
      words('rules', 'Harbour rules', 64, 820, 14),
      words('privacy', 'Privacy', 204, 820, 14),
      words('owner', '© Tidewrack harbour', 1060, 820, 14),
    ],
    { height: 880 },
  )
  expect([...roles.values()].map(({ role }) => role)).toContain('contentinfo')
  expect(rolesOf(roles, 'rules', 'privacy', 'owner')).toEqual(['link', 'link', undefined])
})

test('a head holds the name of the place and the navigation', () => {
  const links = ['Finds', 'Tides', 'Berths']
  const roles = readPage([
    box('bar', at(0, 0, 1280, 72), solid('#0f3b3a')),
    inColor('#ffffff', 'brand', 'Tidewrack', 40, 20, 22),
    ...links.map((link, i) => inColor('#ffffff', link, link, 900 + i * 110, 24, 16)),
    words('title', 'Walking on mud', 64, 130, 32),
    words('text', 'Goose barnacles on a fender', 64, 200),
  ])
  expect(roleOf(roles, 'bar')).toBe('banner')
  expect([...roles.values()].map(({ role }) => role)).toContain('navigation')
})

test('a card that has a badge is a card as the others are', () => {
  const roles = readPage(
    [0, 1, 2].flatMap((i) => [
      box(`card-${i}`, at(64 + i * 300, 300, 270, 140), {
        ...solid('#ffffff'),
        ...outline(),
        radius: 12,
      }),
      {
        ...words(`name-${i}`, 'Net float', 84 + i * 300, 316, 18),
        style: { family: 'Inter', size: 18, lineHeight: 27, color: '#112233', weight: 600 },
      },
      words(`place-${i}`, 'Low water', 84 + i * 300, 350, 14),
      ...(i === 0
        ? [
            box('badge', at(84, 384, 64, 24), { ...solid('#fbe9c6'), radius: 12 }),
            words('rare', 'Rare', 102, 387, 12),
          ]
        : []),
    ]),
  )
  expect(rolesOf(roles, 'card-0', 'card-1', 'card-2')).toEqual(Array(3).fill('article'))
})

test('what somebody said is no heading', () => {
  const roles = readPage([
    words('title', 'Walking on mud', 64, 130, 32),
    words('said', '“Low water is at six.”', 64, 300, 20),
    words('who', 'Mira Holm', 64, 340),
    words('text', 'Goose barnacles on a fender', 64, 400),
  ])
  expect(rolesOf(roles, 'title', 'said')).toEqual(['heading', undefined])
})

test('rows of bordered cells are a table, however wide the words of the last column are', () => {
  const last = ['Salary', '$320,800', '$86,000', 'on request']
  const roles = readPage(
    last.flatMap((word, row) => [
      ...[0, 1, 2].flatMap((column) => [
        box(`cell-${row}-${column}`, at(64 + column * 200, 300 + row * 48, 200, 48), outline()),
        words(`word-${row}-${column}`, 'Low water', 80 + column * 200, 312 + row * 48),
      ]),
      words(`last-${row}`, word, 680, 312 + row * 48),
    ]),
  )
  const said = [...roles.values()].map(({ role }) => role)
  expect(said.filter((role) => role === 'table')).toHaveLength(1)
  expect(said.filter((role) => role === 'row')).toHaveLength(4)
})
