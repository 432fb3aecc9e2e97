import { createDartParser } from '../testing.js'
import type { Syntax } from '../syntax.js'
import { checkDart } from './index.js'

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
  ["SizedBox(width: '4', child: Text('a'))", "width of SizedBox is given '4', and takes number"],
  [
    'Column(mainAxisAlignment: CrossAxisAlignment.end, children: [])',
    'mainAxisAlignment of Column is no CrossAxisAlignment',
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
