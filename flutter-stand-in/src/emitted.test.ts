import { existsSync, readdirSync, readFileSync, statSync } from 'node:fs'
import { join, relative } from 'node:path'
import { convert, FLUTTER, readFiles } from '@unimorph/core'
import type { Box } from './box.js'
import { Evaluator, type Host } from './evaluate.js'
import { Layout } from './layout.js'
import { readProgram, type Program } from './program.js'
import { childOf, childrenOf, textOf, type Syntax } from './syntax.js'
import { createDartParser } from './testing.js'
import { KNOWN_WIDGETS, SHARED_WIDGETS } from './index.js'
import type { State } from './values.js'

const ROOT = join(__dirname, '../../core/fixtures/emit')

const findCases = (folder: string): string[] => {
  const names = readdirSync(folder)
  if (names.some((name) => name.startsWith('input.'))) return [folder]
  return names
    .map((name) => join(folder, name))
    .filter((path) => statSync(path).isDirectory())
    .flatMap(findCases)
}

const CASES = [
  ...findCases(ROOT).map((folder) => [relative(ROOT, folder), folder] as const),
  ...['tidewrack.json', 'night-ferry-kiosk.svg'].map(
    (name) => [name, join(__dirname, '../../demo/designs', name)] as const,
  ),
]

let parse: (code: string) => Syntax
beforeAll(async () => {
  parse = await createDartParser()
})

/** The files of Dart that a design becomes, parsed: those of its screens, and those all projects share. */
const emit = (
  path: string,
): { readonly own: readonly Syntax[]; readonly shared: readonly Syntax[] } => {
  const isFolder = statSync(path).isDirectory()
  const file = isFolder
    ? join(
        path,
        readdirSync(path).find((name) => name.startsWith('input.'))!,
      )
    : path
  const options =
    isFolder && existsSync(join(path, 'options.json'))
      ? (JSON.parse(readFileSync(join(path, 'options.json'), 'utf8')) as { select?: string[] })
      : {}
  const intake = readFiles([
    { name: file.slice(file.lastIndexOf('/') + 1), bytes: readFileSync(file) },
  ])
  const result = convert(intake.design!, [], { target: 'flutter', ...options })
  if (!result.ok) throw new Error('It was not converted.')
  const code = result.value.files.flatMap(({ path: name, content }) =>
    name.endsWith('.dart') && content.kind === 'text' ? [{ name, text: content.text }] : [],
  )
  return {
    own: code.filter(({ name }) => !name.startsWith('lib/shared/')).map(({ text }) => parse(text)),
    shared: code
      .filter(({ name }) => name.startsWith('lib/shared/'))
      .map(({ text }) => parse(text)),
  }
}

type Call = {
  readonly name: string
  readonly named: readonly string[]
  /** The types of which arguments name a value, by argument: `Axis` of `direction: Axis.vertical`. */
  readonly enums: readonly (readonly [string, string])[]
  readonly positional: number
}

const ENUMS = new Set(
  Object.values(FLUTTER).flatMap(({ named = {} }) =>
    Object.values(named).filter((type) => /^[A-Z]/.test(type)),
  ),
)

const argumentsOf = (node: Syntax): Pick<Call, 'named' | 'enums' | 'positional'> => {
  const args = childrenOf(node)
  const named = args.filter(({ kind }) => kind === 'named_argument')
  const nameOf = (one: Syntax): string => textOf(childrenOf(childrenOf(one)[0]!)[0]!)
  return {
    named: named.map(nameOf),
    // A value of a call inside of an argument is that call's.
    enums: named.flatMap((one) =>
      [
        ...textOf(one)
          .replace(/\([\s\S]*\)/g, '')
          .matchAll(/\b([A-Z]\w*)\.[a-z]\w*/g),
      ]
        .filter(([, type]) => ENUMS.has(type as never))
        .map(([, type]) => [nameOf(one), type!] as const),
    ),
    positional: args.filter(({ kind }) => kind === 'argument').length,
  }
}

/** Every constructor that code calls: a name in capitals, and perhaps one after it. */
const callsIn = (node: Syntax): readonly Call[] => {
  const children = childrenOf(node)
  const own: Call[] = []
  if (node.kind === 'const_object_expression') {
    const names = children.filter(({ kind }) => /identifier$/.test(kind)).map(textOf)
    own.push({ name: names.join('.'), ...argumentsOf(childOf(node, 'arguments')!) })
  }
  children.forEach((child, i) => {
    if (child.kind !== 'identifier' || !/^[A-Z]/.test(child.text!)) return
    let name = child.text!
    for (const next of children.slice(i + 1)) {
      if (next.kind !== 'selector') return
      const [inside] = childrenOf(next)
      if (inside?.kind === 'argument_part') {
        own.push({ name, ...argumentsOf(childOf(inside, 'arguments')!) })
        return
      }
      name += textOf(next)
    }
  })
  return [...own, ...children.flatMap(callsIn)]
}

/** What is called by its class and is no constructor. */
const FUNCTIONS =
  /^(Navigator|MediaQuery|AppColors|Answers|Uri|Exception|Theme|Color\.lerp|App[A-Z]\w*\.\w+)\b.*|.*\.copyWith$/

const checkCall = ({ name, named, enums, positional }: Call, program: Program): string[] => {
  const known = FLUTTER[name]
  if (known) {
    const wrong = named.filter((one) => !(one in (known.named ?? {})))
    return [
      ...wrong.map((one) => `${name} has no argument ${one}`),
      ...enums
        .filter(([one, type]) => known.named?.[one] !== type)
        .map(([one, type]) => `${one} of ${name} is no ${type}`),
      ...(positional > (known.positional ?? []).length ? [`${name} is given too much`] : []),
    ]
  }
  const own = program.classes.get(name)
  if (own) {
    return named
      .filter((one) => one !== 'key' && !own.parameters.has(one))
      .map((one) => `${name} is not given ${one}`)
  }
  const isOther =
    FUNCTIONS.test(name) ||
    /^(ValueKey|GlobalObjectKey|MaterialApp|MaterialPageRoute|ThemeData|FormDefinition|FormWords)$/.test(
      name,
    )
  return isOther ? [] : [`${name} is not known`]
}

const measure = (text: string) => ({ width: text.length * 8, ascent: 12, descent: 4 })

const createHost = (program: Program, width: number): Host => ({
  program,
  size: { width, height: 800 },
  isDark: false,
  navigate: () => undefined,
  back: () => undefined,
  showDialog: () => undefined,
  callShared: (name) => (name === 'isCurrent' ? false : undefined),
  makeShared: (name) =>
    name === 'Answers' ? { kind: 'made', name, named: {}, positional: [] } : undefined,
  callMethod: () => null,
})

const layOut = (program: Program, name: string, width: number): Box => {
  const states = new Map<string, State>()
  const layout = new Layout({
    evaluator: new Evaluator(createHost(program, width)),
    measure,
    base: { size: 14, lineHeight: undefined, css: {} },
    addressOf: (path) => path,
    pictureSize: () => ({ width: 40, height: 20 }),
    stateAt(path, make) {
      const state = states.get(path) ?? { values: make(), change: () => undefined }
      states.set(path, state)
      return state
    },
  })
  const c = { minWidth: width, maxWidth: width, minHeight: 800, maxHeight: Infinity }
  return layout.lay({ kind: 'made', name, named: {}, positional: [] }, c, '')
}

const isSound = ({ width, height, children }: Box): boolean =>
  Number.isFinite(width) &&
  Number.isFinite(height) &&
  children.every(({ x, y, box }) => Number.isFinite(x + y) && isSound(box))

describe.each(CASES)('%s', (_name, path) => {
  test('is Dart without an error, and calls only what Flutter has, with its own names', () => {
    const { own, shared } = emit(path)
    const program = readProgram([...own, ...shared])
    const wrong = own.flatMap(callsIn).flatMap((call) => checkCall(call, program))
    expect([...new Set(wrong)]).toEqual([])
  })

  test('is laid out at every width by what stands in for Flutter', () => {
    const program = readProgram(emit(path).own)
    const main = program.classes.get('App')
    expect(main).toBeDefined()
    const screens = [...program.classes.values()].filter(
      ({ build }) => build && /return(const)?AppScreen\(/.test(textOf(build)),
    )
    expect(screens.length).toBeGreaterThan(0)
    for (const { name } of screens) {
      const own = name.replace(/^_(\w+)State$/, '$1')
      for (const width of [320, 390, 768, 1280]) {
        const box = layOut(program, own, width)
        expect([own, width, box.width, isSound(box)]).toEqual([own, width, width, true])
      }
    }
  })
})

test('everything that is written for Flutter is laid out', () => {
  const widgets = Object.entries(FLUTTER)
    .filter(([, { named }]) => named && 'key' in named)
    .map(([name]) => name)
  const known = new Set([...KNOWN_WIDGETS, ...SHARED_WIDGETS])
  // What is held by its edges is laid out by the stack it stands in.
  const left = widgets.filter((name) => !known.has(name) && !name.startsWith('Positioned'))
  expect(left).toEqual([])
})
