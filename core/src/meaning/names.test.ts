import { design, frame, layer } from '../testing/design.js'
import { at, words } from '../testing/page.js'
import { resolveInstances } from '../design/resolve-instances.js'
import { inferLayout } from '../layout/index.js'
import { createTableMeasure } from '../text/measure.js'
import { nameThings } from './names.js'
import { readRoles } from './roles/index.js'

const measure = createTableMeasure()
const field = (key: string, y: number) =>
  layer('rectangle', key, {
    name: 'Rectangle 7',
    ...at(40, y, 400, 40),
    fills: [{ kind: 'solid', color: '#ffffff' }],
    strokes: [{ paint: { kind: 'solid', color: '#c9c9c9' }, width: 1, align: 'inside' }],
  })

const name = () => {
  const made = design([
    frame(
      'page',
      [
        words('title', 'Log a sighting of something', 40, 40, 32),
        words('l-mail', 'Email address *', 40, 120),
        field('mail', 150),
        words('l-name', 'Your name', 40, 210),
        { ...field('who', 240), name: 'Walker' },
        layer('rectangle', 'save', {
          name: 'Group 14',
          ...at(40, 310, 140, 44),
          fills: [{ kind: 'solid', color: '#22543d' }],
          radius: 6,
        }),
        {
          ...words('save-label', 'Save', 91, 320),
          style: { family: 'Inter', size: 16, lineHeight: 24, color: '#ffffff' },
        },
      ],
      { ...at(0, 0, 1280, 900), fills: [{ kind: 'solid', color: '#f4f1ea' }] },
    ),
  ])
  const tree = inferLayout(resolveInstances(made)[0]!, { measure, assets: {} })
  return nameThings(tree, readRoles([tree], { rulings: {}, title: 'title' }))
}

test('things are named by their labels and by what they say and are; a name a person gave stays', () => {
  const names = name()
  expect(names.get('mail')).toBe('Email address field')
  expect(names.get('who')).toBe('Walker')
  expect(names.get('save')).toBe('Save button')
})

test('the same page gives the same names, each once', () => {
  const names = [...name().entries()]
  expect([...name().entries()]).toEqual(names)
  const made = names.map(([, one]) => one)
  expect(new Set(made).size).toBe(made.length)
})
