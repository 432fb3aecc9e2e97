import fc from 'fast-check'
import { resolveInstances } from '../../design/resolve-instances.js'
import type { Ruling } from '../../design/role.js'
import { inferLayout } from '../../layout/index.js'
import { design, frame, layer } from '../../testing/design.js'
import { at, words } from '../../testing/page.js'
import {
  arrow,
  box,
  field,
  outline,
  pale,
  readPage as read,
  roleOf,
  solid,
} from '../../testing/roles.js'
import { createTableMeasure } from '../../text/measure.js'
import { readRoles, type RoleReading } from './index.js'
import { runs } from '../../testing/runs.js'

type Json = Record<string, unknown>
const measure = createTableMeasure()

describe('controls without names', () => {
  const form = read([
    box('card', at(400, 40, 480, 640), { ...solid('#f4f1ea'), radius: 12 }),
    words('title', 'Log a sighting', 440, 60, 32),
    words('l-mail', 'Email address', 440, 130),
    field('mail', 440, 160),
    pale('hint', 'you@tidewrack.example', 452, 168),
    words('l-where', 'Stretch', 440, 220),
    field('where', 440, 250),
    pale('chosen', 'Low Saltern', 452, 258),
    arrow('arrow', 816, 267),
    words('l-note', 'What did you see?', 440, 310),
    field('note', 440, 340, 400, 140),
    box('tick', at(440, 504, 16, 16), { ...solid('#ffffff'), ...outline('#555555'), radius: 3 }),
    words('l-tick', 'I took a picture', 466, 500),
    layer('ellipse', 'dot', {
      name: 'Ellipse',
      ...at(440, 544, 16, 16),
      ...solid('#ffffff'),
      ...outline('#555555'),
    }),
    words('l-dot', 'Seen today', 466, 540),
    box('save', at(440, 590, 140, 44), { ...solid('#22543d'), radius: 6 }),
    {
      ...words('save-label', 'Save', 491, 600),
      style: { family: 'Inter', size: 16, lineHeight: 24, color: '#ffffff' },
    },
  ])

  test.each([
    ['mail', 'textbox'],
    ['where', 'combobox'],
    ['note', 'textarea'],
    ['tick', 'checkbox'],
    ['dot', 'radio'],
    ['save', 'button'],
    ['title', 'heading'],
  ])('%s is a %s', (key, role) => {
    expect(roleOf(form, key)).toBe(role)
    expect(form.get(key)!.evidence.length).toBeGreaterThan(0)
  })

  test('each is named by the words above or beside it', () => {
    const label = (key: string): string | undefined => form.get(key)?.labelledBy
    expect(['mail', 'where', 'note', 'tick', 'dot'].map(label)).toEqual([
      'l-mail',
      'l-where',
      'l-note',
      'l-tick',
      'l-dot',
    ])
    expect(form.get('l-mail')).toMatchObject({ role: 'label', names: 'mail' })
  })

  test('what a field takes is told by its words', () => {
    expect(form.get('mail')!.input).toBe('email')
  })

  test('what holds the fields and the button is a form, and the button sends it', () => {
    expect([...form.values()].filter((r) => r.role === 'form').map((r) => r.layer)).toEqual([
      'card',
    ])
    expect(form.get('save')!.submits).toBe(true)
  })
})

test('a white field on a dark page is a field', () => {
  const dark = { fill: '#0e1930' }
  const roles = read(
    [
      box('f', at(60, 60, 700, 64), { ...solid('#ffffff'), radius: 12 }),
      pale('h', 'Booking number', 84, 80),
    ],
    dark,
  )
  expect(roleOf(roles, 'f')).toBe('textbox')
})

test('a pill beside a larger button tells a state; the cells of a row are no fields', () => {
  const white = { style: { family: 'Inter', size: 16, lineHeight: 24, color: '#ffffff' } }
  const roles = read([
    box('row', at(40, 40, 900, 120), solid('#eef1ee')),
    words('to', 'Halvor Point', 72, 88, 18),
    box('pill', at(500, 80, 110, 40), { ...solid('#2e7d5b'), radius: 20 }),
    { ...words('pill-label', 'On time', 526, 88), ...white },
    box('buy', at(700, 70, 180, 60), { ...solid('#8a5a00'), radius: 8 }),
    { ...words('buy-label', 'Buy ticket', 752, 88), ...white },
    ...[0, 1, 2].flatMap((i) => [
      box(`cell-${i}`, at(40 + i * 200, 300, 200, 40), { ...solid('#ffffff'), ...outline() }),
      words(`cell-text-${i}`, ['Today', 'Low water', 'Halvor'][i]!, 52 + i * 200, 308),
    ]),
  ])
  expect([roleOf(roles, 'pill'), roleOf(roles, 'buy')]).toEqual([undefined, 'button'])
  expect([0, 1, 2].map((i) => roleOf(roles, `cell-${i}`))).not.toContain('textbox')
})

describe('the ways through a site', () => {
  const labels = ['Today', 'Log a sighting', 'Species', 'Rota']

  test('links in the head, beside the name of the place', () => {
    const roles = read([
      words('brand', 'Tidewrack', 40, 20, 24),
      ...labels.map((label, i) => words(`n${i}`, label, 640 + i * 150, 26)),
      words('title', 'Today on the shore', 40, 140, 40),
    ])
    expect(['brand', 'n0', 'n1', 'n2', 'n3'].map((key) => roleOf(roles, key))).toEqual(
      Array.from({ length: 5 }, () => 'link'),
    )
    expect([...roles.values()].map((r) => r.role)).toContain('navigation')
  })

  test('the way to this page, whose last part is the page itself', () => {
    const parts = ['Home', '/', 'Rota', '/', 'Saturday']
    const xs = [40, 100, 120, 170, 190]
    const roles = read([
      ...parts.map((part, i) => words(`p${i}`, part, xs[i]!, 200)),
      words('title', 'Saturday', 40, 260, 40),
    ])
    expect([0, 2, 4].map((i) => roleOf(roles, `p${i}`))).toEqual(['link', 'link', undefined])
    expect([...roles.values()].find((r) => r.role === 'navigation')?.isOrdered).toBe(true)
  })

  test('numbers of pages', () => {
    const roles = read([
      words('title', 'Sightings', 40, 40, 40),
      ...['Back', '1', '2', '3', 'On'].flatMap((label, i) => [
        box(`b${i}`, at(40 + i * 64, 400, 56, 40), { ...solid('#ffffff'), ...outline() }),
        words(`t${i}`, label, 52 + i * 64, 408),
      ]),
    ])
    expect([...roles.values()].filter((r) => r.role === 'link')).toHaveLength(5)
    expect([...roles.values()].filter((r) => r.role === 'button')).toEqual([])
  })
})

describe('headings', () => {
  const sizes = fc.array(fc.constantFrom(16, 20, 24, 28, 32, 48), { minLength: 1, maxLength: 12 })

  test('have levels that never skip, and one title (seed 6)', () => {
    fc.assert(
      fc.property(sizes, (list) => {
        let y = 20
        const children = list.flatMap((size, i) => {
          const top = y
          y += size * 2 + 60
          return [
            words(`h${i}`, `Stretch ${'abcdefghijkl'[i]}`, 40, top, size),
            words(`t${i}`, 'Walked twice this week, by two people', 40, top + size * 2),
          ]
        })
        const levels = [...read(children, { height: y + 40 }).values()]
          .filter((r) => r.role === 'heading')
          .sort((a, b) => Number(a.layer.slice(1)) - Number(b.layer.slice(1)))
          .map((r) => r.level!)
        const before = [levels[0] === 1 ? 0 : 1, ...levels]
        levels.forEach((level, i) => expect(level).toBeLessThanOrEqual(before[i]! + 1))
        expect(levels.filter((level) => level === 1).length).toBeLessThanOrEqual(1)
      }),
      runs(40),
    )
  })
})

describe('what a person says', () => {
  const children = [
    words('title', 'Crossings', 40, 40, 40),
    box('buy', at(40, 200, 180, 60), { ...solid('#8a5a00'), radius: 8 }),
    words('buy-label', 'Buy ticket', 92, 218),
  ]
  const said = (key: string, ruling: Ruling) => read(children, {}, { [key]: ruling })

  test('comes before what is read', () => {
    expect(roleOf(read(children), 'buy')).toBe('button')
    expect(said('buy', { role: 'none' }).get('buy')).toMatchObject({
      role: 'none',
      confidence: 1,
      isRuling: true,
    })
  })

  test('of a heading is its level', () => {
    expect(said('title', { role: 'heading', level: 2 }).get('title')!.level).toBe(2)
  })

  test('of a field is what it takes', () => {
    const found = said('buy', { role: 'textbox', input: 'search' })
    expect(found.get('buy')).toMatchObject({ role: 'textbox', input: 'search' })
  })
})

test('narrower artboards take over what the widest says', () => {
  const wide = [
    box('a', at(40, 60, 160, 48), { ...solid('#22543d') }),
    words('at', 'Save', 100, 72),
  ]
  const tree = (width: number) =>
    inferLayout(
      resolveInstances(
        design([frame('page', wide, { ...at(0, 0, width, 300), ...solid('#ffffff') })]),
      )[0]!,
      { measure, assets: {} },
    )
  const roles = readRoles([tree(1280), tree(390)], { rulings: {}, title: undefined })
  expect([...roles.values()].filter((r) => r.layer === 'a')).toHaveLength(1)
})

describe('what is more than one control, or one that is no field', () => {
  const tick = (key: string, kind: 'rectangle' | 'ellipse', x: number, y: number): Json =>
    layer(kind, key, {
      name: 'Shape',
      ...at(x, y, 16, 16),
      ...solid('#ffffff'),
      ...outline('#555555'),
      ...(kind === 'rectangle' ? { radius: 3 } : {}),
    })
  const roles = read([
    words('sure', 'How sure are you?', 40, 40),
    ...['certain', 'fairly', 'guess'].flatMap((key, i) => [
      tick(key, 'ellipse', 40, 76 + i * 32),
      words(`${key}-label`, ['Certain', 'Fairly sure', 'A guess'][i]!, 66, 72 + i * 32),
    ]),
    box('track', at(40, 240, 240, 4), { ...solid('#cccccc'), radius: 2 }),
    layer('ellipse', 'knob', { name: 'Ellipse', ...at(150, 232, 20, 20), ...solid('#22543d') }),
    box('bar', at(40, 320, 300, 8), { ...solid('#dddddd'), radius: 4 }),
    box('done', at(40, 320, 120, 8), { ...solid('#22543d'), radius: 4 }),
    words('end', 'Forty of a hundred walks are done.', 40, 380),
  ])
  const of = (role: string): RoleReading => [...roles.values()].find((r) => r.role === role)!

  test('radio buttons that stand together are one group, named by the words above', () => {
    const group = of('radiogroup')
    expect(group.labelledBy).toBe('sure')
    expect(['certain', 'fairly', 'guess'].map((key) => roles.get(key)!.group)).toEqual([
      group.layer,
      group.layer,
      group.layer,
    ])
  })

  test('a bar that is filled up to some place shows progress', () => {
    expect(of('progressbar')).toMatchObject({ percent: 40 })
  })
})
