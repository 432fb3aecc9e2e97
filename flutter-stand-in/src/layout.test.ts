import fc from 'fast-check'
import { quoteDart } from '../../core/src/emit/flutter/dart.js'
import type { Box } from './box.js'
import { Evaluator, unquote, type Host } from './evaluate.js'
import { Layout } from './layout.js'
import { readProgram, type Program } from './program.js'
import { createDartParser } from './testing.js'
import { isMade, type Closure, type Made, type State } from './values.js'
import { runs } from '../../core/src/testing/runs.js'

let parse: Awaited<ReturnType<typeof createDartParser>>
beforeAll(async () => {
  parse = await createDartParser()
})

type Stage = { readonly layout: Layout; readonly heard: string[] }

/** Every letter is 10 px wide, and a line 20 px high. */
const createStage = (program: Program, width: number): Stage => {
  const heard: string[] = []
  const states = new Map<string, State>()
  const host: Host = {
    program,
    size: { width, height: 600 },
    isDark: false,
    navigate: (route) => void heard.push(route),
    back: () => void heard.push('back'),
    showDialog: (builder: Closure) => void heard.push(`dialog ${builder.parameters.join()}`),
    callShared: () => undefined,
    makeShared: () => undefined,
    callMethod: () => null,
  }
  const layout = new Layout({
    evaluator: new Evaluator(host),
    measure: (text) => ({ width: text.length * 10, ascent: 15, descent: 5 }),
    base: { size: 14, lineHeight: undefined, css: {} },
    addressOf: (path) => path,
    pictureSize: () => undefined,
    stateAt(path, make) {
      const state = states.get(path) ?? { values: make(), change: () => undefined }
      states.set(path, state)
      return state
    },
  })
  return { layout, heard }
}

const TIDE: Made = { kind: 'made', name: 'Tide', named: {}, positional: [] }
const LOOSE = { minWidth: 0, maxWidth: 400, minHeight: 0, maxHeight: Infinity }

const build = (widget: string, more = '', before = ''): Program =>
  readProgram([
    parse(`class Tide extends StatelessWidget {
  const Tide({super.key});
  ${more}
  @override
  Widget build(BuildContext context) {
    ${before}
    return ${widget};
  }
}`),
  ])

const lay = (widget: string, before = '', width = 400): Box =>
  createStage(build(widget, '', before), width).layout.lay(TIDE, { ...LOOSE, maxWidth: width }, '')

/** The places and sizes of what is in a box. */
const placesIn = ({ children }: Box): readonly (readonly number[])[] =>
  children.map(({ x, y, box }) => [x, y, box.width, box.height])

const wordsIn = ({ paint, children }: Box): readonly string[] => [
  ...(paint?.lines ?? []).map(({ pieces }) => pieces.map(({ text }) => text).join('')),
  ...children.flatMap(({ box }) => wordsIn(box)),
]

describe('rows and columns', () => {
  test('give what needs room its own first, and share out the rest', () => {
    const box = lay(
      'Row(spacing: 10, children: [SizedBox(width: 50, height: 20), Expanded(child: SizedBox(height: 30)), Expanded(flex: 2, child: SizedBox(height: 10))])',
    )
    expect(placesIn(box)).toEqual([
      [0, 5, 50, 20],
      [60, 0, 110, 30],
      [180, 10, 220, 10],
    ])
  })

  test.each([
    ['MainAxisAlignment.center', [150, 250]],
    ['MainAxisAlignment.end', [300, 400]],
    ['MainAxisAlignment.spaceBetween', [0, 400]],
  ])('put what is in them by %s', (alignment, [first]) => {
    const one = 'SizedBox(width: 50, height: 10)'
    const box = lay(`Row(mainAxisAlignment: ${alignment}, children: [${one}, ${one}])`)
    expect(box.children[0]!.x).toBe(first)
  })

  test('are as large as what is in them where that is said', () => {
    const box = lay(
      'Column(mainAxisSize: MainAxisSize.min, crossAxisAlignment: CrossAxisAlignment.start, children: [Text("low"), Text("water")])',
    )
    expect([box.width, box.height]).toEqual([50, 40])
  })

  test.each([
    ['Row(children: [Row(children: [Expanded(child: Text("a"))])])', 'room that is left'],
    [
      'Row(children: [Column(crossAxisAlignment: CrossAxisAlignment.stretch, children: [Text("a")])])',
      'stretches',
    ],
    ['Row(children: [SizedBox(width: double.infinity)])', 'no end'],
  ])('refuse what Flutter refuses: %s', (widget, message) => {
    expect(() => lay(widget)).toThrow(message)
  })

  test('are as high as their highest, and the others with it', () => {
    const box = lay(
      'IntrinsicHeight(child: Row(crossAxisAlignment: CrossAxisAlignment.stretch, children: [SizedBox(width: 10, height: 70), Expanded(child: Text("a"))]))',
    )
    expect(placesIn(box)).toEqual([
      [0, 0, 10, 70],
      [10, 0, 390, 70],
    ])
  })

  test('wrap into lines', () => {
    const one = 'SizedBox(width: 150, height: 10)'
    const box = lay(`Wrap(spacing: 20, runSpacing: 5, children: [${one}, ${one}, ${one}])`)
    expect(placesIn(box).map(([x, y]) => [x, y])).toEqual([
      [0, 0],
      [170, 0],
      [0, 15],
    ])
  })
})

describe('buttons', () => {
  const button = (style: string, label = 'Text("Save")'): string =>
    `FilledButton(onPressed: notConnected, style: FilledButton.styleFrom(${style}), child: ${label})`
  /** Where the words stand in a button, and how large it is. */
  const look = (
    widget: string,
  ): { readonly at: readonly number[]; readonly size: readonly number[] } => {
    const box = lay(widget)
    const [padded] = box.children
    const [label] = padded!.box.children
    return {
      at: [padded!.x + label!.x, padded!.y + label!.y],
      size: [box.width, box.height],
    }
  }

  test('are as large as their label and the room around it', () => {
    const style = 'padding: EdgeInsets.symmetric(horizontal: 16, vertical: 8)'
    expect(look(button(style))).toEqual({ at: [16, 8], size: [72, 36] })
  })

  test.each([
    ['', [80, 20]],
    ['alignment: Alignment.centerLeft', [0, 20]],
    ['alignment: Alignment.bottomRight', [160, 40]],
  ])('place their label in the room they are given: %s', (style, at) => {
    const widget = `SizedBox(width: 200, height: 60, child: ${button(style)})`
    expect(look(widget)).toEqual({ at, size: [200, 60] })
  })

  test('say how the letters of their label look', () => {
    const style = 'foregroundColor: Color(0xFFFFFFFF), textStyle: TextStyle(fontSize: 20)'
    const [padded] = lay(button(style)).children
    const [label] = padded!.box.children
    expect(label!.box.paint?.lines?.[0]?.pieces[0]?.style).toEqual({
      'font-size': '20px',
      color: 'rgb(255 255 255 / 1)',
    })
  })

  test('that nothing can be done with are disabled, in their own colours', () => {
    const style = 'backgroundColor: Color(0xFF00FF00), disabledBackgroundColor: Color(0xFFFF0000)'
    const { paint } = lay(
      `FilledButton(onPressed: null, style: FilledButton.styleFrom(${style}), child: Text("Save"))`,
    )
    expect(paint?.attributes).toEqual({ disabled: '' })
    expect(paint?.css?.['background-color']).toBe('rgb(255 0 0 / 1)')
    expect(paint?.onTap).toBeUndefined()
  })
})

describe('texts', () => {
  test('break between words where the room ends, and not where they may not', () => {
    const words = '"low water at the slipway"'
    expect(wordsIn(lay(`SizedBox(width: 110, child: Text(${words}))`))).toEqual([
      'low water',
      'at the',
      'slipway',
    ])
    expect(wordsIn(lay(`SizedBox(width: 110, child: Text(${words}, softWrap: false))`))).toEqual([
      'low water at the slipway',
    ])
  })

  test('have lines as high as they are told', () => {
    const style = 'TextStyle(fontSize: 20, height: 1.5)'
    expect(lay(`Text("a\\nb", style: ${style})`).height).toBe(60)
  })
})

describe('boxes', () => {
  test('add what is around them, inside and outside', () => {
    const box = lay(
      'Container(margin: EdgeInsets.all(5), padding: EdgeInsets.symmetric(horizontal: 10), child: Text("low"))',
    )
    expect([box.width, box.height]).toEqual([60, 30])
  })

  test('are held by the edges of a stack', () => {
    const box = lay(
      'SizedBox(width: 200, height: 100, child: Stack(children: [Positioned(right: 10, bottom: 20, width: 30, height: 40, child: Text("a")), Positioned.fill(child: Align(alignment: Alignment(1, -1), child: SizedBox(width: 5, height: 5)))]))',
    )
    expect(placesIn(box)).toEqual([
      [160, 40, 30, 40],
      [0, 0, 200, 100],
    ])
    expect(placesIn(box.children[1]!.box)).toEqual([[195, 0, 5, 5]])
  })

  test('reach over their edges, and take no room for that', () => {
    const box = lay('Bleed(insets: EdgeInsets.all(3), child: SizedBox(width: 20, height: 20))')
    expect([box.width, box.height]).toEqual([14, 14])
    expect(placesIn(box)).toEqual([[-3, -3, 20, 20]])
  })

  test('stand in columns of one width, row by row', () => {
    const one = 'SizedBox(height: 10)'
    const box = lay(
      `Columns(count: 2, spacing: 20, runSpacing: 5, children: [${one}, SizedBox(height: 30), ${one}])`,
    )
    expect(placesIn(box)).toEqual([
      [0, 0, 190, 30],
      [210, 0, 190, 30],
      [0, 35, 190, 10],
    ])
  })
})

describe('code', () => {
  test('asks for the width of the window', () => {
    const before = 'final width = MediaQuery.sizeOf(context).width;\nfinal from768 = width >= 768;'
    const widget = 'Text(from768 ? "wide" : "narrow")'
    expect(wordsIn(lay(widget, before, 400))).toEqual(['narrow'])
    expect(wordsIn(lay(widget, before, 800))).toEqual(['wide'])
  })

  test('goes through lists, and leaves out what is not there', () => {
    const before = 'final tides = [(name: "ebb", note: null), (name: "flood", note: "at 8")];'
    const widget =
      'Column(children: [for (final tide in tides) Column(children: [Text(tide.name), if (tide.note case final note?) Text(note)])])'
    expect(wordsIn(lay(widget, before))).toEqual(['ebb', 'flood', 'at 8'])
  })

  test('takes something else where there is nothing, and letters as they are set', () => {
    const before = 'final note = null;\nfinal shore = "Low Saltern";'
    const widget = 'Column(children: [Text(note ?? "calm"), Text(shore.toUpperCase())])'
    expect(wordsIn(lay(widget, before))).toEqual(['calm', 'LOW SALTERN'])
  })

  test('writes numbers into texts', () => {
    const program = build("Column(children: [for (final count in [3, 4]) Text('$count')])")
    expect(wordsIn(createStage(program, 400).layout.lay(TIDE, LOOSE, ''))).toEqual(['3', '4'])
  })

  test('of a widget it does not know is said, with where it stands', () => {
    expect(() => lay('Padding(padding: EdgeInsets.zero, child: Carousel())')).toThrow(
      'The widget "Carousel" is not known.',
    )
  })

  test('changes a state when something is pressed', () => {
    const program = readProgram([
      parse(`class Tide extends StatefulWidget { const Tide({super.key}); }
class _TideState extends State<Tide> {
  bool isOpen = false;
  @override
  Widget build(BuildContext context) {
    return InkWell(onTap: () => setState(() => isOpen = !isOpen), child: Text(isOpen ? 'open' : 'shut'));
  }
}`),
    ])
    const { layout } = createStage(program, 400)
    const before = layout.lay(TIDE, LOOSE, '')
    expect(wordsIn(before)).toEqual(['shut'])
    before.paint!.onTap!()
    expect(wordsIn(layout.lay(TIDE, LOOSE, ''))).toEqual(['open'])
  })

  test('leads to another screen, and shows what is over it', () => {
    const program = build(
      'Column(children: [InkWell(onTap: () => Navigator.pushNamed(context, "/log"), child: Text("a")), InkWell(onTap: () => showDialog(context: context, builder: (context) => Rules()), child: Text("b"))])',
    )
    const { layout, heard } = createStage(program, 400)
    for (const { box } of layout.lay(TIDE, LOOSE, '').children) box.paint!.onTap!()
    expect(heard).toEqual(['/log', 'dialog context'])
  })
})

const options = runs(300)
test(`any text is what it was when it is read again (seed ${options.seed})`, () => {
  const pieces = ["'", '"', '\\', '$', '${x}', '\n', '\t', '\u2028', '🦀', 'مد', 'tide ', '//', ')']
  const anything = fc.array(fc.oneof(fc.constantFrom(...pieces), fc.string({ unit: 'grapheme' })))
  fc.assert(
    fc.property(anything, (all) => {
      const text = all.join('')
      const quoted = quoteDart(text)
      expect(unquote(quoted)).toBe(text)
      const widget = build(`Text(${quoted})`).classes.get('Tide')!.build!
      const made = createStage(build('Text("")'), 400).layout.options.evaluator.block(widget, {
        names: new Map(),
      })
      expect(isMade(made) && made.positional).toEqual([text])
    }),
    options,
  )
})

test('what cannot be read is said with its line', () => {
  expect(() => parse('class Tide {\n  const ;\n')).toThrow(/^\d+: cannot be read near/)
})
