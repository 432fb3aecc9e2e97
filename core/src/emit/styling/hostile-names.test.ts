import { convert } from '../../convert.js'
import { checkDelivered } from '../../deliver/index.js'
import { design, frame, text } from '../../testing/design.js'
import { TARGET_IDS, TARGETS, type TargetId } from '../index.js'
import type { StylingId } from './styling.js'

/** Names that designers give, and names that nobody should: each has to end in code that every compiler takes. */
const NAMES = [
  '{{ 1+1 }}',
  '1-1',
  '404',
  '3d view',
  '01 Home',
  'index',
  'class',
  'base',
  '-',
  '--x',
  '$break',
  '../../etc',
  '"; } @import "x',
  '<script>',
  '日本',
  '&',
  '__proto__',
  'constructor',
]

/** A screen of each name, with layers and a component that are called the same. */
const DESIGN = design(
  NAMES.map((name, i) =>
    frame(
      `screen-${String(i)}`,
      ['a', 'b'].map((key) =>
        frame(`${key}-${String(i)}`, [text(`${key}-text-${String(i)}`, name, { name })], {
          name,
          box: { x: 0, y: key === 'a' ? 0 : 80, width: 200, height: 60 },
          fills: [{ kind: 'solid', color: '#336699' }],
          layout: { kind: 'row', padding: 8 },
        }),
      ),
      { name, layout: { kind: 'column', gap: 8 } },
    ),
  ),
)

const CASES: readonly (readonly [TargetId, StylingId | undefined])[] = TARGET_IDS.flatMap(
  (target) => {
    const { stylings } = TARGETS[target]
    const each: readonly (StylingId | undefined)[] = stylings.length === 0 ? [undefined] : stylings
    return each.map((styling) => [target, styling] as const)
  },
)

const all = (code: string, pattern: RegExp): readonly string[] =>
  [...code.matchAll(pattern)].map(([, name]) => name!)

test.each(CASES)('%s with %s compiles, whatever things are called', async (target, styling) => {
  const made = convert(DESIGN, [], { target, ...(styling ? { styling } : {}) })
  if (!made.ok) throw new Error(JSON.stringify(made.notes))
  const { files } = made.value
  expect(await checkDelivered(files)).toEqual([])
  for (const { path, content } of files) {
    if (content.kind !== 'text') continue
    expect(path).toMatch(/^[\w.@/-]+$/)
    if (/\.s?css$/.test(path)) {
      const classes = all(content.text, /^\s*\.([^\s{:,>.]+)/gm)
      expect(classes.filter((name) => !/^-?[_a-zA-Z]/.test(name))).toEqual([])
    }
    // A file is used under its name, which then has to be one of Sass, and not that of the file itself.
    if (path.endsWith('index.scss')) {
      const used = all(content.text, /^@use "([^"]+)";$/gm)
      expect(used.filter((name) => !/^[a-zA-Z_][\w-]*$/.test(name) || name === 'index')).toEqual([])
    }
  }
})
