import { convert } from '../../convert.js'
import { design, frame, text } from '../../testing/design.js'
import { solid } from '../../testing/roles.js'

type Json = Record<string, unknown>

const tab = (key: string, look: Json, color: string): Json =>
  frame(
    key,
    [
      text(`${key}-word`, key, {
        box: { x: 16, y: 6, width: 60, height: 24 },
        style: { family: 'Inter', size: 14, lineHeight: 24, color },
      }),
    ],
    {
      box: { x: 0, y: 0, width: 92, height: 36 },
      layout: { kind: 'row', padding: { top: 6, right: 16, bottom: 6, left: 16 } },
      sizing: { width: 'fit', height: 'fit' },
      radius: 6,
      ...look,
    },
  )

const page = (tabs: Json[]): string => {
  const made = design([
    frame(
      'page',
      [
        text('title', 'Tides', { box: { x: 0, y: 0, width: 100, height: 24 } }),
        frame('bar', tabs, {
          ...solid('#e7e2d8'),
          layout: { kind: 'row', padding: 4 },
          sizing: { width: 'fit', height: 'fit' },
        }),
      ],
      { box: { x: 0, y: 0, width: 640, height: 400 }, layout: { kind: 'column', gap: 16 } },
    ),
  ])
  const roles = { bar: { role: 'tablist' } } as const
  const result = convert({ ...made, roles }, [], { target: 'html' })
  if (!result.ok) throw new Error('not converted')
  const file = result.value.files.find(({ path }) => path === 'index.html')!
  return file.content.kind === 'text' ? file.content.text : ''
}

/** The classes of the button that is a tab, and of the words in it. */
const classesOf = (html: string, name: string): { tab: string[]; words: string[] } => {
  const button = html.split('<button').find((part) => part.includes(`>${name}<`))!
  const [own, words] = [...button.matchAll(/class="([^"]*)"/g)].map((found) => found[1]!.split(' '))
  return { tab: own!, words: words! }
}

const CHOSEN = solid('#ffffff')

describe('tabs of which one is drawn chosen', () => {
  const html = page([
    tab('Day', CHOSEN, '#1b3a2f'),
    tab('Week', {}, '#5b6660'),
    tab('Month', {}, '#5b6660'),
  ])

  test.each(['Day', 'Week', 'Month'])(
    '%s looks chosen while it is, and like the others else',
    (name) => {
      const { tab: own, words } = classesOf(html, name)
      expect(own).toContain('aria-selected:bg-white')
      expect(own).not.toContain('bg-white')
      expect(words).toContain('text-grey-500')
      expect(words).toContain('group-aria-selected:text-teal-700')
    },
  )

  test('the one that is drawn chosen begins so', () => {
    expect(html.match(/aria-selected="\w+"/g)).toEqual([
      'aria-selected="true"',
      'aria-selected="false"',
      'aria-selected="false"',
    ])
  })
})

test('tabs that are built differently keep the look they were drawn in', () => {
  const html = page([
    tab('Day', CHOSEN, '#1b3a2f'),
    text('Week', 'Week', { box: { x: 0, y: 0, width: 60, height: 24 } }),
  ])
  expect(classesOf(html, 'Day').tab).toContain('bg-[#fff]')
  expect(html).not.toContain('aria-selected:')
})
