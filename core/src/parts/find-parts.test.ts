import fc from 'fast-check'
import { convert, prepare } from '../convert.js'
import type { Edit } from '../edits/edit.js'
import { design, frame } from '../testing/design.js'
import { at, words } from '../testing/page.js'
import { box, inColor, solid } from '../testing/roles.js'
import type { UiNode, UiPart } from '../ui/nodes.js'

type Json = Record<string, unknown>

/** Shares are measured on these samples, which stay the same: another sample has another share. */
const MEASURED = [
  { seed: 7, numRuns: 60 },
  { seed: 11, numRuns: 60 },
] as const

const partsOf = (children: Json[], height: number): readonly UiPart[] => {
  const page = frame('page', children, { ...at(0, 0, 1280, height), ...solid('#ffffff') })
  const project = prepare(design([page]), [])
  if (!project.ok) throw new Error('not converted')
  return project.value.parts
}

/** A thing a person would have made a component of, as loose layers without names. */
type Template = {
  readonly lines: readonly { readonly size: number; readonly weight: number }[]
  readonly hasDot: boolean
  readonly hasBadge: boolean
  readonly padding: number
  readonly radius: number
  readonly fill: string
}

const WORDS = [
  'Low Saltern',
  'Gannet Spit',
  'Kelp Pier',
  'Cuttlebone',
  'Rope and floats',
  'Sea beans',
]

const template = fc.record<Template>({
  lines: fc.array(
    fc.record({ size: fc.constantFrom(12, 14, 16, 20, 24), weight: fc.constantFrom(400, 600) }),
    { minLength: 2, maxLength: 4 },
  ),
  hasDot: fc.boolean(),
  hasBadge: fc.boolean(),
  padding: fc.constantFrom(12, 16, 20, 24),
  radius: fc.constantFrom(4, 8, 12),
  fill: fc.constantFrom('#f4f1ea', '#e8f0ec', '#eef2f7'),
})

type Instance = { readonly texts: readonly number[]; readonly isBadged: boolean }
const instance = fc.record<Instance>({
  texts: fc.array(fc.nat(WORDS.length - 1), { minLength: 4, maxLength: 4 }),
  isBadged: fc.boolean(),
})

const WIDTH = 360

/** Draws an instance at a place; its ground has the key `c<template>-<number>`. */
const draw = (
  { lines, hasDot, hasBadge, padding, radius, fill }: Template,
  { texts, isBadged }: Instance,
  key: string,
  x: number,
  y: number,
): { readonly layers: Json[]; readonly height: number } => {
  const left = x + padding + (hasDot ? 24 : 0)
  let top = y + padding
  const drawn = lines.map(({ size, weight }, i) => {
    const line = words(`${key}-t${i}`, WORDS[texts[i]!]!, left, top, size)
    top += Math.round(size * 1.5) + 8
    const style = { ...(line['style'] as Json), weight }
    return { ...line, style }
  })
  const height = top - 8 + padding - y
  const middle = y + height / 2
  return {
    height,
    layers: [
      box(key, at(x, y, WIDTH, height), { ...solid(fill), radius }),
      ...(hasDot
        ? [
            box(`${key}-dot`, at(x + padding, middle - 6, 12, 12), {
              ...solid('#1b3a2f'),
              radius: 6,
            }),
          ]
        : []),
      ...drawn,
      ...(hasBadge && isBadged
        ? [
            box(`${key}-badge`, at(x + WIDTH - padding - 60, middle - 12, 60, 24), {
              ...solid('#f3d9cc'),
              radius: 12,
            }),
            inColor('#8a3a1a', `${key}-rare`, 'Rare', x + WIDTH - padding - 43, middle - 9, 12),
          ]
        : []),
    ],
  }
}

type Section = {
  readonly of: Template
  readonly things: readonly Instance[]
  readonly columns: 1 | 3
}

const drawPage = (
  sections: readonly Section[],
): { readonly layers: Json[]; readonly height: number } => {
  let y = 40
  const layers: Json[] = [words('title', 'Shores', 48, y, 40)]
  y += 100
  sections.forEach(({ of, things, columns }, c) => {
    layers.push(words(`h${c}`, `Section ${'ABCDEF'[c]}`, 48, y, 28))
    y += 60
    let rowHeight = 0
    things.forEach((thing, i) => {
      const column = i % columns
      if (column === 0 && i > 0) y += rowHeight + 16
      const drawn = draw(of, thing, `c${c}-${i}`, 48 + column * (WIDTH + 24), y)
      rowHeight = drawn.height
      layers.push(...drawn.layers)
    })
    y += rowHeight + 72
  })
  return { layers, height: y }
}

const isSameTemplate = (a: Template, b: Template): boolean => {
  const { fill: _a, ...one } = a
  const { fill: _b, ...other } = b
  return JSON.stringify(one) === JSON.stringify(other)
}

/** How many of the drawn instances are found, and how many of those that are claimed are right. */
const measure = (
  of: fc.Arbitrary<Template>,
): { readonly recall: number; readonly precision: number } => {
  const counts = { drawn: 0, found: 0, claimed: 0, right: 0 }
  const section = fc.record<Section>({
    of,
    things: fc.array(instance, { minLength: 3, maxLength: 6 }),
    columns: fc.constantFrom(1, 3),
  })
  fc.assert(
    fc.property(fc.array(section, { minLength: 1, maxLength: 3 }), (sections) => {
      const { layers, height } = drawPage(sections)
      const parts = partsOf(layers, height)
      const sectionOf = (key: string): number => Number(/^c(\d+)-\d+$/.exec(key)?.[1] ?? -1)
      const drawn = sections.flatMap(({ things }, c) => things.map((_, i) => `c${c}-${i}`))
      counts.drawn += drawn.length
      for (const { instances } of parts) {
        counts.claimed += instances.length
        const first = sections[sectionOf(instances[0]!)]
        counts.right += instances.filter((key) => {
          const own = sections[sectionOf(key)]
          return own !== undefined && first !== undefined && isSameTemplate(own.of, first.of)
        }).length
      }
      const all = new Set(parts.flatMap(({ instances }) => instances))
      counts.found += drawn.filter((key) => all.has(key)).length
    }),
    MEASURED[0],
  )
  return { recall: counts.found / counts.drawn, precision: counts.right / counts.claimed }
}

describe('components that were flattened to loose layers', () => {
  test('are found again, in whatever words and colours', () => {
    const { recall, precision } = measure(template.map((of) => ({ ...of, hasBadge: false })))
    expect(recall).toBeGreaterThanOrEqual(0.95)
    expect(precision).toBeGreaterThanOrEqual(0.95)
  })

  // What only some have at their side must not change how the rest is laid out.
  test('are found again where some have a badge at their side and others have none', () => {
    const { recall, precision } = measure(template.map((of) => ({ ...of, hasBadge: true })))
    expect(recall).toBeGreaterThanOrEqual(0.95)
    expect(precision).toBeGreaterThanOrEqual(0.95)
  })
})

test('what differs from instance to instance is what their component is given', () => {
  const counts = { wanted: 0, given: 0 }
  const section = fc.record<Section>({
    of: template,
    things: fc.array(instance, { minLength: 3, maxLength: 6 }),
    columns: fc.constantFrom(1, 3),
  })
  fc.assert(
    fc.property(section, (one) => {
      const { layers, height } = drawPage([one])
      const page = frame('page', layers, { ...at(0, 0, 1280, height), ...solid('#ffffff') })
      const result = convert(design([page]), [], { target: 'react' })
      if (!result.ok) throw new Error('not converted')
      const uses = new Map(
        result.value.components.flatMap((component) =>
          component.uses.map(({ layer, values }) => [layer, values] as const),
        ),
      )
      const { of, things } = one
      const count = (isGiven: boolean): void => {
        counts.wanted++
        if (isGiven) counts.given++
      }
      things.forEach(({ texts, isBadged }, i) => {
        const values = uses.get(`c0-${i}`) ?? []
        of.lines.forEach((_, line) => {
          const differs = new Set(things.map((thing) => thing.texts[line])).size > 1
          if (differs) count(values.includes(WORDS[texts[line]!]!))
        })
        const areMixed = of.hasBadge && new Set(things.map((thing) => thing.isBadged)).size > 1
        if (areMixed && isBadged) count(values.includes(true))
      })
    }),
    MEASURED[1],
  )
  expect(counts.given / counts.wanted).toBeGreaterThanOrEqual(0.9)
})

describe('what is found', () => {
  const card = (key: string, x: number, said: string): Json[] => [
    box(key, at(x, 140, 340, 108), { ...solid('#f4f1ea'), radius: 8 }),
    words(`${key}-h`, said, x + 16, 156, 24),
    words(`${key}-t`, 'Walked twice this week', x + 16, 204, 16),
  ]
  const three = [
    words('title', 'Walks', 48, 40, 40),
    ...card('a', 48, 'Low Saltern'),
    ...card('b', 412, 'Gannet Spit'),
    ...card('c', 776, 'Kelp Pier'),
  ]
  const project = (edits: Edit[] = []) => {
    const page = frame('page', three, { ...at(0, 0, 1280, 400), ...solid('#ffffff') })
    const result = prepare(design([page]), edits)
    if (!result.ok) throw new Error('not converted')
    return result.value
  }

  test('is named by the heading over it and by what it is', () => {
    const [part, ...others] = project().parts
    expect(others).toEqual([])
    expect(part).toMatchObject({
      id: 'a',
      name: 'walk card',
      origin: { kind: 'found' },
      instances: ['a', 'b', 'c'],
    })
  })

  test('is one in the outline of the page: headings in it have one level', () => {
    const levels = new Set<number | undefined>()
    const look = (node: UiNode): void => {
      if (node.type === 'text' && node.layer.endsWith('-h')) levels.add(node.level)
      if ('children' in node) node.children.forEach(look)
    }
    look(project().pages[0]!.root)
    expect(levels).toEqual(new Set([2]))
  })

  test('is called as a person says, and leaves out what a person detaches', () => {
    const edits: Edit[] = [
      { kind: 'set-part', layers: ['a'], name: 'Shore' },
      { kind: 'set-part', layers: ['c'], as: 'none' },
    ]
    const { parts, detached } = project(edits)
    expect(parts).toMatchObject([{ name: 'Shore', instances: ['a', 'b'] }])
    expect(detached).toEqual(['c'])
    expect(project([...edits, { kind: 'set-part', layers: ['c'], as: null }]).parts).toMatchObject([
      { instances: ['a', 'b', 'c'] },
    ])
  })

  test('is nothing where all are detached, and one thing where a person makes a part of it', () => {
    const none: Edit = { kind: 'set-part', layers: ['a', 'b', 'c'], as: 'none' }
    expect(project([none]).parts).toEqual([])
    const one: Edit = { kind: 'set-part', layers: ['b'], as: 'part' }
    expect(project([none, one]).parts).toMatchObject([
      { origin: { kind: 'said' }, instances: ['b'], confidence: 1 },
    ])
  })

  test('one that is split off is a part of its own, and comes back when merged again', () => {
    const split: Edit = { kind: 'set-part', layers: ['c'], of: 'c' }
    expect(project([split]).parts).toMatchObject([{ instances: ['a', 'b'] }, { instances: ['c'] }])
    const back: Edit = { kind: 'set-part', layers: ['c'], of: 'a' }
    expect(project([split, back]).parts).toMatchObject([{ instances: ['a', 'b', 'c'] }])
    const none: Edit = { kind: 'set-part', layers: ['c'], of: null }
    expect(project([split, none]).parts).toEqual(project().parts)
  })

  test('several are split off together, into the part of the first of them', () => {
    const edits: Edit[] = [
      { kind: 'set-part', layers: ['b'], of: 'b' },
      { kind: 'set-part', layers: ['c'], of: 'b' },
    ]
    expect(project(edits).parts).toMatchObject([{ instances: ['b', 'c'] }])
  })

  test('an edit of layers that are gone is adrift', () => {
    const { notes } = prepare(design([frame('page', three, at(0, 0, 1280, 400))]), [
      { kind: 'set-part', layers: ['gone'], as: 'none' },
    ])
    expect(notes.map(({ code }) => code)).toContain('edits/adrift')
  })
})

test('buttons and links that are instances of one component stay what they are', () => {
  const button = (key: string, link?: Json): Json => ({
    type: 'instance',
    key,
    name: 'Button',
    component: 'button',
    ...at(0, 0, 120, 44),
    props: { Label: key },
    ...(link ? { link } : {}),
  })
  const set = {
    key: 'button',
    name: 'Button',
    properties: [{ kind: 'text', name: 'Label', default: 'Label' }],
    variants: [
      {
        type: 'component',
        key: 'drawn',
        name: 'Button',
        variant: {},
        ...at(0, 0, 120, 44),
        ...solid('#1b3a2f'),
        layout: { kind: 'row', padding: 10, align: 'centre', distribute: 'centre' },
        children: [{ ...inColor('#ffffff', 'label', 'Label', 10, 10), bind: { text: 'Label' } }],
      },
    ],
  }
  const address = { kind: 'address', url: 'https://tidewrack.example' }
  const made = design(
    [
      frame('page', [button('Save'), button('More', address), button('Tides', address)], {
        ...at(0, 0, 640, 400),
        layout: { kind: 'column', gap: 16, padding: 32 },
      }),
    ],
    { components: [set] },
  )
  const result = convert(made, [], { target: 'react' })
  if (!result.ok) throw new Error('not converted')
  const code = (path: string): string => {
    const content = result.value.files.find((file) => file.path === path)?.content
    return content?.kind === 'text' ? content.text : ''
  }
  expect(code('src/components/Button.tsx')).toContain('<button')
  expect(code('src/components/ButtonLink.tsx')).toContain('href={address}')
  expect(code('src/screens/Page.tsx')).toContain('<Button label="Save" />')
})
