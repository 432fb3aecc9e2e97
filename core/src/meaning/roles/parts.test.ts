import { frame, layer } from '../../testing/design.js'
import { at, words } from '../../testing/page.js'
import { arrow, box, inColor, outline, pale, readPage, roleOf, solid } from '../../testing/roles.js'
import type { RoleReading } from './index.js'

type Json = Record<string, unknown>

const all = (roles: ReadonlyMap<string, RoleReading>, role: string): RoleReading[] =>
  [...roles.values()].filter((reading) => reading.role === role)

const end = (y: number): Json => words('end', 'Walks are led by volunteers.', 48, y)

describe('a stepper', () => {
  const stepper = (less: string, number: string, more: string): Json[] => [
    words('label', 'Walkers', 48, 40),
    box('around', at(48, 72, 132, 44), { ...solid('#ffffff'), ...outline(), radius: 8 }),
    box('less', at(48, 72, 44, 44), { ...solid('#ffffff'), ...outline() }),
    words('less-sign', less, 65, 82),
    words('number', number, 108, 82),
    box('more', at(136, 72, 44, 44), { ...solid('#ffffff'), ...outline() }),
    words('more-sign', more, 153, 82),
    end(300),
  ]
  const roles = readPage(stepper('−', '2', '+'))

  test('is a number with a button that counts it down and one that counts it up', () => {
    expect(roles.get('number')).toMatchObject({ role: 'textbox', input: 'number' })
    expect(roles.get('less')).toMatchObject({ role: 'button', steps: { by: -1, field: 'number' } })
    expect(roles.get('more')).toMatchObject({ role: 'button', steps: { by: 1, field: 'number' } })
  })

  test('has the label that stands over the whole of it', () => {
    expect(roles.get('number')!.labelledBy).toBe('label')
    expect(roles.get('label')).toMatchObject({ role: 'label', names: 'number' })
  })

  test.each([
    ['a word in the middle', stepper('−', 'two', '+')],
    ['other signs at its ends', stepper('‹', '2', '›')],
  ])('is none with %s', (_, children) => {
    expect(all(readPage(children), 'spinbutton')).toEqual([])
  })
})

describe('a file chooser', () => {
  const chooser = (said: string, dash: number[]): Json[] => [
    box('drop', at(48, 60, 640, 96), { ...solid('#ffffff'), ...outline('#8a8375', dash) }),
    words('said', said, 240, 96),
    end(300),
  ]

  test('is a dashed box whose words ask for a file, in any of several languages', () => {
    for (const said of ['Drop a file here', 'Datei hochladen', 'Choisir un fichier']) {
      expect(roleOf(readPage(chooser(said, [6, 4])), 'drop')).toBe('file')
    }
  })

  test('is none where the words ask for nothing', () => {
    expect(roleOf(readPage(chooser('Nobody walked here', [6, 4])), 'drop')).not.toBe('file')
  })
})

describe('tabs', () => {
  const bar = (y: number): Json[] => [
    words('title', 'Plan a walk', 48, 40, 32),
    box('held', at(48, y, 330, 40), { ...solid('#e7e2d8'), radius: 8 }),
    box('chosen', at(52, y + 4, 106, 32), { ...solid('#ffffff'), radius: 6 }),
    inColor('#1b3a2f', 'morning', 'Morning', 76, y + 10, 14),
    inColor('#5b6660', 'midday', 'Midday', 190, y + 10, 14),
    inColor('#5b6660', 'evening', 'Evening', 294, y + 10, 14),
    box('shown', at(48, y + 56, 704, 120), { ...solid('#f4f1ea'), radius: 8 }),
    words('text', 'Leave the slipway an hour before low water.', 64, y + 76),
    end(y + 400),
  ]

  test('are short words in a box, of which one is filled', () => {
    const roles = readPage(bar(140))
    const list = all(roles, 'tablist')
    expect(list).toHaveLength(1)
    const tabs = all(roles, 'tab')
    expect(tabs.map((tab) => tab.isOn)).toEqual([true, false, false])
    expect(new Set(tabs.map((tab) => tab.group))).toEqual(new Set([list[0]!.layer]))
  })

  test('are not the two buttons at the end of a form, of which one is filled', () => {
    const roles = readPage([
      box('a', at(48, 60, 120, 44), { ...solid('#1b3a2f'), radius: 6 }),
      inColor('#ffffff', 'at', 'Save', 88, 70),
      box('b', at(184, 60, 120, 44), { ...solid('#ffffff'), ...outline(), radius: 6 }),
      words('bt', 'Cancel', 218, 70),
      end(300),
    ])
    expect(all(roles, 'tablist')).toEqual([])
    expect([roleOf(roles, 'a'), roleOf(roles, 'b')]).toEqual(['button', 'button'])
  })
})

describe('an accordion', () => {
  const row = (key: string, y: number, asks: string, answer?: string): Json[] => [
    box(key, at(48, y, 704, answer ? 100 : 56), { ...solid('#ffffff'), ...outline(), radius: 8 }),
    words(`${key}-asks`, asks, 64, y + 16),
    arrow(`${key}-sign`, 726, y + 25),
    ...(answer ? [words(`${key}-says`, answer, 64, y + 60, 14)] : []),
  ]

  test('is rows with a sign at their end, of which one shows what it opens', () => {
    const roles = readPage([
      ...row('a', 60, 'Bring boots', 'And something warm to drink.'),
      ...row('b', 172, 'Dogs may come along'),
      ...row('c', 240, 'It never rains'),
      end(400),
    ])
    const rows = ['a', 'b', 'c'].map((key) => roles.get(key)!)
    expect(rows.map(({ role, isOn }) => [role, isOn])).toEqual([
      ['disclosure', true],
      ['disclosure', false],
      ['disclosure', false],
    ])
  })

  test('is also rows that all ask something, and none is a select', () => {
    const roles = readPage([
      ...row('a', 60, 'What do I bring?'),
      ...row('b', 128, 'May dogs come along?'),
      end(300),
    ])
    expect(['a', 'b'].map((key) => roleOf(roles, key))).toEqual(['disclosure', 'disclosure'])
  })

  test('is none where a label stands over each: those are selects', () => {
    const roles = readPage([
      words('l-a', 'Stretch', 48, 40),
      ...row('a', 68, 'Low Saltern'),
      words('l-b', 'Guide', 48, 148),
      ...row('b', 176, 'Ines Farrow'),
      end(400),
    ])
    expect(['a', 'b'].map((key) => roleOf(roles, key))).toEqual(['combobox', 'combobox'])
  })
})

describe('a description list', () => {
  const pairs = (terms: readonly string[], color: string): Json[] => [
    ...terms.flatMap((term, i) => [
      inColor(color, `t${i}`, term, 48, 60 + i * 36),
      words(`d${i}`, ['Kelp Pier', 'Four kilometres', 'Ines Farrow'][i]!, 240, 60 + i * 36),
    ]),
    end(400),
  ]

  test.each([
    ['colons', ['Start:', 'Length:', 'Guide:'], '#112233'],
    ['a colour of their own', ['Start', 'Length', 'Guide'], '#777777'],
  ])('is pairs of which the first have %s', (_, terms, color) => {
    const roles = readPage(pairs(terms, color))
    expect([0, 1, 2].map((i) => [roleOf(roles, `t${i}`), roleOf(roles, `d${i}`)])).toEqual(
      Array(3).fill(['term', 'definition']),
    )
  })

  test('is none where all words look the same', () => {
    const roles = readPage(pairs(['Start', 'Length', 'Guide'], '#112233'))
    expect(all(roles, 'descriptionlist')).toEqual([])
  })
})

describe('cards, avatars and badges', () => {
  const card = (key: string, x: number): Json[] => [
    box(key, at(x, 120, 340, 200), { ...solid('#f4f1ea'), radius: 12 }),
    layer('ellipse', `${key}-round`, {
      name: 'Ellipse',
      ...at(x + 16, 136, 40, 40),
      ...solid('#1b3a2f'),
    }),
    inColor('#ffffff', `${key}-letters`, 'IF', x + 28, 144),
    words(`${key}-h`, `Walk ${key}`, x + 16, 190, 24),
    words(`${key}-t`, 'Twice this week, by two people', x + 16, 240),
    box(`${key}-badge`, at(x + 250, 140, 70, 22), { ...solid('#dfe8df'), radius: 11 }),
    words(`${key}-word`, 'Full', x + 270, 142, 12),
  ]
  const roles = readPage([
    words('title', 'Walks', 48, 40, 40),
    ...card('a', 48),
    ...card('b', 404),
    ...card('c', 760),
    end(600),
  ])

  test.each([
    ['a', 'article'],
    ['b', 'article'],
    ['a-round', 'avatar'],
    ['c-badge', 'badge'],
  ])('%s is a %s', (key, role) => expect(roleOf(roles, key)).toBe(role))

  test('one box with a heading is no card', () => {
    const alone = readPage([words('title', 'Walks', 48, 40, 40), ...card('a', 48), end(600)])
    expect(roleOf(alone, 'a')).not.toBe('article')
  })
})

describe('what lies over a page', () => {
  const shadow = {
    effects: [{ kind: 'shadow', x: 0, y: 4, blur: 12, spread: 0, color: '#00000040' }],
  }
  const page: Json[] = [
    words('title', 'Walks', 48, 40, 40),
    words('a', 'Leave the slipway an hour before low water, and be back before it rises.', 48, 120),
    words('b', 'Boots, a jacket and something warm to drink are all that anybody needs.', 48, 200),
  ]

  test('is a dialog over a veil, and keeps the form in it', () => {
    const roles = readPage([
      ...page,
      box('veil', at(0, 0, 1280, 900), solid('#00000080')),
      box('dialog', at(440, 260, 400, 320), { ...solid('#ffffff'), radius: 12 }),
      words('ask', 'Leave a note', 472, 292, 24),
      words('l', 'Your name', 472, 352),
      box('name', at(472, 384, 336, 44), { ...solid('#ffffff'), ...outline(), radius: 4 }),
      pale('hint', 'Ines', 484, 394),
      box('send', at(472, 460, 120, 44), { ...solid('#1b3a2f'), radius: 6 }),
      inColor('#ffffff', 'send-word', 'Send', 512, 470),
    ])
    expect(roleOf(roles, 'dialog')).toBe('dialog')
    expect(roleOf(roles, 'name')).toBe('textbox')
    expect(all(roles, 'form')).toHaveLength(1)
    expect(roles.get('send')).toMatchObject({ role: 'button', submits: true })
  })

  test('is a toast near an edge, when it has a shadow', () => {
    const toast = frame('toast', [inColor('#ffffff', 'said', 'Your walk was saved.', 16, 16)], {
      name: 'Frame 3',
      ...at(200, 108, 312, 56),
      ...solid('#1b3a2f'),
      ...shadow,
    })
    expect(roleOf(readPage([...page, toast]), 'toast')).toBe('status')
  })

  test('is a menu when it is a column of short words', () => {
    const menu = frame(
      'menu',
      ['By boat', 'By the path', 'Not today'].map((said, i) =>
        words(`m${i}`, said, 16, 16 + i * 36),
      ),
      { name: 'Frame 4', ...at(200, 110, 200, 130), ...solid('#ffffff'), ...shadow },
    )
    const roles = readPage([...page, menu])
    expect(roleOf(roles, 'menu')).toBe('menu')
    expect(roleOf(roles, 'm1')).toBe('button')
  })
})

test('a box that says a whole sentence is no field', () => {
  const roles = readPage([
    words('title', 'Walks', 48, 40, 40),
    box('note', at(48, 120, 704, 72), { ...solid('#f4f1ea'), radius: 8 }),
    words('said', 'Leave the slipway an hour before low water.', 64, 140),
    end(400),
  ])
  expect(roleOf(roles, 'note')).not.toBe('textbox')
})

describe('fields that were easily missed', () => {
  const sign = (x: number, y: number): Json =>
    layer('ellipse', `sign-${x}`, { name: 'Ellipse', ...at(x, y, 14, 14), ...solid('#42ba96') })

  test('an empty one with a sign at its end', () => {
    const roles = readPage([
      words('l', 'Your name', 48, 40),
      box('name', at(48, 72, 400, 38), { ...solid('#ffffff'), ...outline('#42ba96'), radius: 3 }),
      sign(420, 84),
      end(300),
    ])
    expect(roleOf(roles, 'name')).toBe('textbox')
  })

  test('one between two boxes that say what goes into it', () => {
    const roles = readPage([
      box('before', at(48, 60, 40, 38), { ...solid('#f2efe6'), ...outline() }),
      words('before-word', '€', 62, 68),
      box('price', at(88, 60, 190, 38), { ...solid('#ffffff'), ...outline() }),
      pale('price-hint', '..', 100, 68),
      box('after', at(278, 60, 50, 38), { ...solid('#f2efe6'), ...outline() }),
      words('after-word', '.00', 290, 68),
      end(300),
    ])
    expect(roleOf(roles, 'price')).toBe('textbox')
  })

  test('a narrow one whose hint fills it', () => {
    const roles = readPage([
      box('zip', at(48, 60, 88, 38), { ...solid('#ffffff'), ...outline(), radius: 3 }),
      inColor('#c4c8ce', 'hint', 'Postal code', 57, 69, 12),
      end(300),
    ])
    expect(roleOf(roles, 'zip')).toBe('textbox')
  })
})
