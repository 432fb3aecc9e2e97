import { createDartParser } from '../testing.js'
import type { Syntax } from '../syntax.js'
import { checkDart, checkDartCode } from './index.js'

let parse: (code: string) => Syntax
beforeAll(async () => {
  parse = await createDartParser()
})

/** A screen that shows something, with the class that it needs. */
const screen = (body: string, more = ''): string => `
class HomeScreen extends StatelessWidget {
  const HomeScreen({super.key});
  @override
  Widget build(BuildContext context) {
    return AppScreen(title: 'Tides', child: ${body});
  }
}
${more}`

const faultsOf = (code: string): readonly string[] =>
  checkDart([{ path: 'lib/main.dart', syntax: parse(code) }])
    .map(({ message }) => message)
    // What all projects share is not given here.
    .filter((message) => message !== 'AppScreen is not known')

test.each([
  ["const SvgPicture.asset('a.svg')", 'SvgPicture.asset has no const constructor'],
  [
    "const Column(children: [SvgPicture.asset('a.svg')])",
    'SvgPicture.asset has no const constructor',
  ],
  ['const [Opacity(opacity: 1, child: Container())]', 'Container has no const constructor'],
  ["Padding(pading: EdgeInsets.all(4), child: Text('a'))", 'Padding has no argument pading'],
  ["Text('a', 'b')", 'Text is given too much'],
  [
    "Row(children: [Expanded(flex: 2.5, child: Text('a'))])",
    'flex of Expanded is given 2.5, and takes int',
  ],
  ["Padding(child: Text('a'))", 'Padding has to be given padding'],
  ['Expanded()', 'Expanded has to be given child'],
  ["FilledButton(child: Text('a'))", 'FilledButton has to be given onPressed'],
  ['IconButton(onPressed: null)', 'IconButton has to be given icon'],
  ["Opacity(child: Text('a'))", 'Opacity has to be given opacity'],
  ['Text()', 'Text is given too little'],
  ['Offset(4)', 'Offset is given too little'],
  ['Text(4)', 'Text is given 4, and takes string'],
  ['Text(null)', 'Text may not be null'],
  ["Padding(padding: 8, child: Text('a'))", 'padding of Padding is given 8, and takes EdgeInsets'],
  [
    "Padding(padding: wide ? EdgeInsets.all(8) : null, child: Text('a'))",
    'padding of Padding may not be null',
  ],
  [
    "Row(spacing: switch (tone) { Tone.a => 8, Tone.b => null }, children: [Text('a')])",
    'spacing of Row may not be null',
  ],
  ['Container(color: 0xFF112233)', 'color of Container is given 0xFF112233, and takes Color'],
  [
    "Container(decoration: Color(0xFF112233), child: Text('a'))",
    'decoration of Container is given Color(0xFF112233), and takes Decoration',
  ],
  [
    'DecoratedBox(decoration: BoxDecoration(borderRadius: 8))',
    'borderRadius of BoxDecoration is given 8, and takes BorderRadius',
  ],
  [
    'DecoratedBox(decoration: BoxDecoration(borderRadius: Radius.circular(8)))',
    'borderRadius of BoxDecoration is given Radius.circular(8), and takes BorderRadius',
  ],
  [
    'DecoratedBox(decoration: BoxDecoration(border: BorderSide(width: 2)))',
    'border of BoxDecoration is given BorderSide(width:2), and takes Border',
  ],
  [
    'DecoratedBox(decoration: BoxDecoration(gradient: LinearGradient(stops: [0, 1])))',
    'LinearGradient has to be given colors',
  ],
  [
    'DecoratedBox(decoration: BoxDecoration(gradient: LinearGradient(colors: [0xFF112233])))',
    'What is in colors of LinearGradient is given 0xFF112233, and takes Color',
  ],
  [
    "DecoratedBox(decoration: BoxDecoration(boxShadow: BoxShadow(blurRadius: 4)), child: Text('a'))",
    'boxShadow of BoxDecoration is given BoxShadow(blurRadius:4), and takes shadows',
  ],
  ["Text('a', style: 14)", 'style of Text is given 14, and takes TextStyle'],
  [
    "Text('a', style: TextStyle(fontWeight: 600))",
    'fontWeight of TextStyle is given 600, and takes FontWeight',
  ],
  [
    "Text('a', style: TextStyle(fontSize: '14'))",
    "fontSize of TextStyle is given '14', and takes number",
  ],
  [
    "Text('a', style: TextStyle(color: '#112233'))",
    "color of TextStyle is given '#112233', and takes Color",
  ],
  ["Text('a', textAlign: TextAlign.middle)", 'TextAlign has no middle'],
  ["Align(alignment: Alignment.left, child: Text('a'))", 'Alignment has no left'],
  ["Padding(padding: EdgeInsets.only(8), child: Text('a'))", 'EdgeInsets.only is given too much'],
  ["Padding(padding: EdgeInsets.none, child: Text('a'))", 'EdgeInsets has no none'],
  ["Center(child: [Text('a')])", "child of Center is given [Text('a')], and takes widget"],
  ["Center(child: 'a')", "child of Center is given 'a', and takes widget"],
  ["Column(children: Text('a'))", "children of Column is given Text('a'), and takes widgets"],
  [
    "Column(children: [if (wide) EdgeInsets.all(8), Text('a')])",
    'What is in children of Column is given EdgeInsets.all(8), and takes widget',
  ],
  ['Column(children: [null])', 'What is in children of Column may not be null'],
  ["InkWell(onTap: 'go', child: Text('a'))", "onTap of InkWell is given 'go', and takes function"],
  [
    "FilledButton(onPressed: null, style: TextStyle(fontSize: 14), child: Text('a'))",
    'style of FilledButton is given TextStyle(fontSize:14), and takes ButtonStyle',
  ],
  [
    "FilledButton(onPressed: null, style: FilledButton.styleFrom(shape: BorderRadius.zero), child: Text('a'))",
    'shape of FilledButton.styleFrom is given BorderRadius.zero, and takes ShapeBorder',
  ],
  ["SizedBox(width: '4', child: Text('a'))", "width of SizedBox is given '4', and takes number"],
  [
    'Column(mainAxisAlignment: CrossAxisAlignment.end, children: [])',
    'mainAxisAlignment of Column is given CrossAxisAlignment.end, and takes MainAxisAlignment',
  ],
  ["InkWell(onTap: () {}, child: Text('a'))", 'onTap does nothing'],
  ['SizedBox(width: wide ? 4 : 4)', 'Both branches are 4'],
  ["Column(children: [if (wide) Text('a') else Text('a')])", "Both branches are Text('a')"],
  ["Sparkle(child: Text('a'))", 'Sparkle is not known'],
  [
    "Wrap(children: [Expanded(child: Text('a'))])",
    'Expanded stands in neither a Row nor a Column.',
  ],
  ['Wrap(children: [Spacer()])', 'Spacer stands in neither a Row nor a Column.'],
  [
    "Padding(padding: EdgeInsets.all(4), child: Flexible(child: Text('a')))",
    'Flexible stands in neither a Row nor a Column.',
  ],
  [
    "Column(children: [Expanded(child: Text('a'))])",
    'Something in a Column is to take the room that is left, but there is no end to it.',
  ],
  [
    "Row(children: [Row(children: [Expanded(child: Text('a'))])])",
    'Something in a Row is to take the room that is left, but there is no end to it.',
  ],
  [
    "SizedBox(height: double.infinity, child: Text('a'))",
    'Something is to take all the height there is, but there is no end to it.',
  ],
  [
    "Row(crossAxisAlignment: CrossAxisAlignment.stretch, children: [Text('a')])",
    'A Row stretches what is in it, but there is no end to the room across it.',
  ],
])('%s: %s', (body, fault) => {
  expect(faultsOf(screen(body))).toContain(fault)
})

test.each([
  [
    'class TableRow extends StatelessWidget { const TableRow({super.key}); }',
    'TableRow is a name of Flutter',
  ],
  [
    'class NavigationBar extends StatelessWidget { const NavigationBar({super.key}); }',
    'NavigationBar is a name of Flutter',
  ],
  ['final List<int> shares = [1, 2.5];', 'A list of int holds a fraction'],
  [
    'class Tide extends StatelessWidget { const Tide({super.key}); Widget build(BuildContext context) { final shown = ValueNotifier(false); return Text("a"); } }',
    'ValueNotifier is made anew each time',
  ],
])('%s: %s', (code, fault) => {
  expect(faultsOf(code)).toContain(fault)
})

test('a component that takes the room that is left may stand in a row, and nowhere else', () => {
  const filler = `class Filler extends StatelessWidget {
    const Filler({super.key});
    @override
    Widget build(BuildContext context) { return const Expanded(child: Text('a')); }
  }`
  expect(faultsOf(screen('Row(children: [Filler()])', filler))).toEqual([])
  expect(faultsOf(screen('Wrap(children: [Filler()])', filler))).toEqual([
    'Expanded stands in neither a Row nor a Column.',
  ])
})

test.each([
  "const Padding(padding: EdgeInsets.all(4), child: Text('Tides'))",
  "Row(spacing: 8, children: [const Text('Tides'), Expanded(flex: 2, child: Text('Walks'))])",
  "Column(crossAxisAlignment: CrossAxisAlignment.stretch, children: [SvgPicture.asset('a.svg', width: 24.5)])",
  "SizedBox(height: 200, child: Column(children: [Expanded(child: Text('a')), const Spacer()]))",
  "InkWell(onTap: () => Navigator.of(context).pop(), child: const Text('a'))",
  "Wrap(spacing: 8, runSpacing: 8.5, children: [for (final one in const ['a', 'b']) Text(one)])",
  "Stack(children: [Positioned(left: 0, child: Text('a')), Text('b')])",
  "IntrinsicHeight(child: Row(crossAxisAlignment: CrossAxisAlignment.stretch, children: [Text('a')]))",
])('%s is right', (body) => {
  expect(faultsOf(screen(body))).toEqual([])
})

const TAG = `enum Tone { calm, rough }
class Tag extends StatelessWidget {
  const Tag({super.key, required this.label, this.tone = Tone.calm, this.note, this.count});
  final String label;
  final Tone tone;
  final String? note;
  final num? count;
  @override
  Widget build(BuildContext context) { return Text(label); }
}`

test.each([
  ['Tag()', 'Tag has to be given label'],
  ["Tag(label: 'a', lable: 'b')", 'Tag is not given lable'],
  ['Tag(label: 3)', 'label of Tag is given 3, and takes string'],
  ["Tag(label: wide ? 'a' : null)", 'label of Tag may not be null'],
  ["Tag(label: 'a', tone: Tone.high)", 'Tone has no high'],
  ["Tag(label: 'a', tone: 'calm')", "tone of Tag is given 'calm', and takes enum Tone"],
  ["Tag(label: 'a', count: '3')", "count of Tag is given '3', and takes number"],
  ["Tag('a')", 'Tag is given too much'],
])('a component of the project: %s: %s', (body, fault) => {
  expect(faultsOf(screen(body, TAG))).toContain(fault)
})

test.each([
  "Tag(label: 'a', note: wide ? 'b' : null, tone: Tone.rough, count: 2.5)",
  "const Tag(label: 'a')",
  "Column(children: [for (final one in const ['a']) Tag(label: one), if (wide) const Tag(label: 'b') else const Spacer()])",
])('a component of the project: %s is right', (body) => {
  const faults = checkDartCode([{ path: 'lib/main.dart', syntax: parse(screen(body, TAG)) }])
  expect(faults.filter(({ message }) => !message.startsWith('AppScreen'))).toEqual([])
})

describe('files', () => {
  const theme = `import 'package:flutter/material.dart';
abstract final class AppType { static const small = TextStyle(fontSize: 12); }`
  const home = (imports: string, style: string): string => `import 'package:flutter/material.dart';
${imports}

class Home extends StatelessWidget {
  const Home({super.key});
  @override
  Widget build(BuildContext context) { return const Text('a', style: ${style}); }
}`
  const faults = (code: string): readonly unknown[] =>
    checkDartCode([
      { path: 'lib/theme.dart', syntax: parse(theme) },
      { path: 'lib/screens/home.dart', syntax: parse(code) },
    ]).map(({ path, line, message }) => [path, line, message])

  test.each([
    ['', 'AppType.small', 7, 'AppType is not imported'],
    ["import '../theme.dart';", 'TextStyle()', 2, '../theme.dart is imported and not used'],
    ["import '../them.dart';", 'TextStyle()', 2, 'There is no lib/them.dart to import'],
    ["import '../theme.dart';", 'AppType.large', 7, 'AppType has no large'],
  ])('%s with %s: line %s, %s', (imports, style, line, message) => {
    expect(faults(home(imports, style))).toContainEqual(['lib/screens/home.dart', line, message])
  })

  test('that import what they use are right', () => {
    expect(faults(home("import '../theme.dart';", 'AppType.small'))).toEqual([])
  })

  test('that declare the same are told', () => {
    expect(faults('class AppType {}')).toContainEqual([
      'lib/screens/home.dart',
      1,
      'AppType is declared in lib/theme.dart too',
    ])
  })
})

test('columns that share out the room in fractions are no list of int', () => {
  const columns = 'class Columns { final List<int>? tracks; }'
  const faults = (tracks: string): readonly string[] =>
    checkDart([
      { path: 'lib/shared/columns.dart', syntax: parse(columns) },
      {
        path: 'lib/a.dart',
        syntax: parse(`final a = Columns(count: 2, tracks: const [${tracks}]);`),
      },
    ]).map(({ message }) => message)
  expect(faults('1.5, 2')).toContain('tracks: a list of int holds a fraction')
  expect(faults('15, 20')).not.toContain('tracks: a list of int holds a fraction')
})
