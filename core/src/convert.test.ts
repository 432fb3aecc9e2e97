import { readFileSync } from 'node:fs'
import { createRequire } from 'node:module'
import { resolve } from 'node:path'
import fc from 'fast-check'
import { SaxesParser } from 'saxes'
import { convert, type Settings } from './convert.js'
import { childrenOf, type Layer } from './design/layer.js'
import { resolveInstances } from './design/resolve-instances.js'
import { drawLayer } from './drawing/index.js'
import { compileStyles } from './emit/styling/tailwind/compile.js'
import type { Emitted } from './emit/target.js'
import type { Font, FontFace } from './text/face.js'
import { readFiles } from './intake/index.js'
import { design, frame, layer, text } from './testing/design.js'
import { runs } from './testing/runs.js'

const DEMO = resolve(__dirname, '../../demo/designs')
const library = readFileSync(createRequire(__filename).resolve('tailwindcss/index.css'), 'utf8')

const demo = (name: string) =>
  readFiles([{ name, bytes: readFileSync(resolve(DEMO, name)) }]).design!

const run = (made: ReturnType<typeof design>, settings: Settings): Emitted => {
  const result = convert(made, [], settings)
  if (!result.ok) throw new Error(result.notes.map((n) => n.message).join('\n'))
  return result.value
}

const textOf = ({ files }: Emitted): string =>
  files.map((f) => (f.content.kind === 'text' ? f.content.text : '')).join('\n')

describe.each(['tidewrack.json', 'night-ferry-kiosk.svg'])('%s', (name) => {
  test.each(['html', 'react'] as const)('gives the same bytes twice, for %s', (target) => {
    expect(run(demo(name), { target })).toEqual(run(demo(name), { target }))
  })

  test('every class that is handed out means something to the style sheet compiler', async () => {
    const { styles } = run(demo(name), { target: 'html' })
    const css = await compileStyles(styles.source, styles.classes, library)
    const escaped = (c: string): string => c.replace(/[^\w-]/g, (x) => `\\${x}`)
    expect(styles.classes.filter((c) => !css.includes(`.${escaped(c)}`))).toEqual([])
  })

  test('every visible text of the design is in the output, in the order of its layers where they are laid out', () => {
    const made = demo(name)
    const wordsIn = (l: Layer, screen: Layer): string[] => {
      if (!l.visible || l.opacity === 0) return []
      // What the file draws beside its screen is seen by nobody.
      if (l.box.x >= screen.box.width) return []
      if (l.type === 'text') {
        return [
          l.runs
            .map((r) => r.text)
            .join('')
            .replace(/\s+/g, ''),
        ]
      }
      return childrenOf(l).flatMap((child) => wordsIn(child, screen))
    }
    const { files, pages } = run(made, { target: 'html' })
    for (const screen of resolveInstances(made)) {
      const file = files.find((f) => f.path === pages[screen.key]!.path)!
      const shown = (file.content.kind === 'text' ? file.content.text : '')
        // What a field shows stands in its attributes.
        .replace(/<[^>]*? (?:placeholder|value)="([^"]*)"[^>]*>/g, '$1')
        .replace(/<[^>]*>/g, '')
        .replace(/&amp;/g, '&')
        .replace(/\s+/g, '')
      let from = 0
      for (const words of childrenOf(screen).flatMap((l) => wordsIn(l, screen))) {
        // Loose layers may be painted in any order; they are read from their places.
        const at = shown.indexOf(words, name === 'tidewrack.json' ? from : 0)
        expect([words, at]).toEqual([words, expect.any(Number)])
        expect(at).toBeGreaterThanOrEqual(0)
        from = at + words.length
      }
    }
  })
})

test('marks are written only when asked for', () => {
  const made = design([frame('home', [text('t', 'x')])])
  expect(textOf(run(made, { target: 'html' }))).not.toContain('data-layer')
  expect(textOf(run(made, { target: 'html', marks: true }))).toContain('data-layer="t"')
})

test('a layer can be selected by key before name, and a wrong name is answered with the nearest', () => {
  const made = design([
    frame('home', [layer('rectangle', 'a', { name: 'b' }), layer('ellipse', 'b')]),
  ])
  expect(Object.keys(run(made, { target: 'html', select: ['b'] }).pages)).toEqual(['b'])
  const missing = convert(made, [], { target: 'html', select: ['hme'] })
  expect(missing).toMatchObject({
    ok: false,
    notes: [
      { code: 'convert/unknown-layer', message: expect.stringContaining('"home"') as string },
    ],
  })
})

test('a design of which every screen is hidden gives no files and says why', () => {
  const made = design([frame('home', [], { visible: false })])
  expect(convert(made, [], { target: 'react' })).toMatchObject({
    ok: false,
    notes: [{ code: 'convert/nothing-visible' }],
  })
})

test('hidden screens and layers are left out', () => {
  const made = design([
    frame('home', [text('t', 'Secret', { visible: false })]),
    frame('old', [], { visible: false }),
  ])
  const emitted = run(made, { target: 'html' })
  expect(Object.keys(emitted.pages)).toEqual(['home'])
  expect(textOf(emitted)).not.toContain('Secret')
})

const anyText = fc.oneof(
  fc.string({ unit: 'binary' }),
  fc.string(),
  fc.constantFrom(']]>', '<script>', '${x}', '*/', '-->', '\u2028', '\u0000'),
)

test('no text, name or file name becomes markup, code or a path (seed 8)', () => {
  fc.assert(
    fc.property(anyText, anyText, anyText, (content, name, file) => {
      const made = design(
        [
          frame(
            'home',
            [text('t', content || 'x'), layer('image', 'i', { asset: 'a', alt: content, name })],
            { name },
          ),
        ],
        {
          name,
          assets: { a: { name: file || 'x', mime: 'image/png', data: '' } },
        },
      )
      for (const target of ['html', 'react'] as const) {
        const { files } = run(made, { target })
        for (const { path } of files) expect(path).toMatch(/^(?!\/)(?!.*\.\.)[A-Za-z0-9_./-]+$/)
        const code = files.map((f) => (f.content.kind === 'text' ? f.content.text : '')).join('')
        expect(code).not.toContain('<script>')
      }
      const parser = new SaxesParser()
      parser.on('error', (error) => {
        throw error
      })
      parser.write(drawLayer(made.screens[0]!, { assets: made.assets, keys: true })).close()
    }),
    runs(200),
  )
})

test('a link of a single screen to itself needs no router', () => {
  const link = { kind: 'screen', screen: 'home' }
  const made = design([frame('home', [text('t', 'Home', { link })], { layout: { kind: 'row' } })])
  const code = textOf(run(made, { target: 'react' }))
  expect(code).toMatch(/<a\s+href="\/"/)
  expect(code).not.toContain('from "react-router"')
})

describe('fonts', () => {
  const face: FontFace = {
    family: 'Strandline',
    weight: 400,
    italic: false,
    ascent: 900,
    descent: 300,
    lineGap: 0,
    advances: Object.fromEntries([...'Low water'].map((c) => [c.charCodeAt(0), 1000])),
    kerning: {},
  }
  const fonts: Font[] = [{ face, format: 'woff2', base64: 'AAAA' }]
  const style = { family: 'Strandline', size: 16, color: '#112233' }
  const row = { layout: { kind: 'row' } }
  const made = design([frame('home', [text('t', 'Low water', { style })], row)])

  test.each([
    ['html', 'fonts/strandline-400.woff2', 'url("fonts/strandline-400.woff2")'],
    ['react', 'src/fonts/strandline-400.woff2', 'url("./fonts/strandline-400.woff2")'],
  ] as const)('those at hand are delivered with %s', (target, path, address) => {
    const result = convert(made, [], { target, fonts })
    if (!result.ok) throw new Error('not converted')
    expect(result.value.files.find((f) => f.path === path)?.content).toEqual({
      kind: 'bytes',
      base64: 'AAAA',
    })
    expect(textOf(result.value)).toContain(address)
    expect(result.notes).toEqual([])
  })

  test('one that is missing is noted, with what stands in for it', () => {
    const result = convert(made, [], { target: 'html' })
    expect(result.notes.map((n) => n.message)).toEqual([
      "The font Strandline (400) is not at hand. Where it is not installed, the machine's sans-serif font stands in for it, and texts are measured by that.",
    ])
    expect(textOf(run(made, { target: 'html' }))).not.toContain('@font-face')
    for (const target of ['html', 'react'] as const) {
      expect(textOf(run(made, { target }))).toContain(
        '- Strandline: until you add it, `sans-serif` stands in',
      )
    }
  })

  test('a weight that is missing is noted, the nearest delivered', () => {
    const bold = design([
      frame('home', [text('t', 'x', { style: { ...style, weight: 700 } })], row),
    ])
    const { notes } = convert(bold, [], { target: 'html', fonts })
    expect(notes.map((n) => n.code)).toEqual(['account/font-inexact'])
  })
})

describe('masks', () => {
  const fills = [{ kind: 'solid', color: '#112233' }]
  const masked = (inside: Record<string, unknown>[]) =>
    design([
      frame('home', [
        layer('group', 'g', {
          mask: 'outline',
          children: [layer('ellipse', 'm', { fills }), ...inside],
        }),
      ]),
    ])

  test('a masked group without text is one drawing', () => {
    const { files } = run(masked([layer('rectangle', 'r', { fills })]), { target: 'html' })
    const drawing = files.find((f) => f.path === 'assets/g.svg')
    expect(drawing?.content.kind === 'text' && drawing.content.text).toContain('<mask ')
  })

  test('text in one stays text; the mask is lost, with a note', () => {
    const made = masked([text('t', 'Low water')])
    const result = convert(made, [], { target: 'html' })
    expect(result.notes).toContainEqual(expect.objectContaining({ code: 'account/lost' }))
    expect(textOf(run(made, { target: 'html' }))).toContain('Low water')
  })
})

test('a page of components that draws more than is allowed is refused', () => {
  const nested = Array.from({ length: 7 }, (_, i) => ({
    key: `set-${i}`,
    name: `Set ${i}`,
    variants: [
      layer('component', `variant-${i}`, {
        children:
          i === 0
            ? [layer('rectangle', 'dot')]
            : Array.from({ length: 10 }, (_, j) =>
                layer('instance', `use-${i}-${j}`, { component: `set-${i - 1}` }),
              ),
      }),
    ],
  }))
  // No screen uses them: the design alone is converted.
  const made = design([frame('home', [text('t', 'Home')])], { components: nested })
  expect(convert(made, [], { target: 'html' }).ok).toBe(true)
  const refused = convert(made, [], { target: 'html', library: 'page' })
  expect(refused.notes.map(({ code }) => code)).toEqual(['intake/too-many-layers'])
})
