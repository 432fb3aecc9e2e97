import { nameColor } from '../../tokens/name-color.js'
import { toCamel, UniqueNames } from '../../text/names.js'
import { argumentOf, isConst, mapParts, partsOf, raw, type Dart } from './dart.js'

/** A value that has a name: `bold44White`, and what it is. */
export type NamedValue = { readonly name: string; readonly value: Dart }

/** `blue700`, `blue700V2`: a number alone would look like part of the name. */
const AGAIN = 'V'

const isStyle = (name: string): boolean =>
  name === 'TextStyle' || /^AppType\.\w+\.copyWith$/.test(name)
const isButton = (name: string): boolean => name.endsWith('Button.styleFrom')
const isInsets = (name: string): boolean => name.startsWith('EdgeInsets.')

/** Whether a value is how something looks, and more than a word or two. */
const isLook = (dart: Dart): boolean => {
  if (dart.kind === 'call')
    return isStyle(dart.name) || isButton(dart.name) || dart.name === 'BoxDecoration'
  if (dart.kind !== 'choice' || !/^!?from\d+$/.test(dart.condition)) return false
  const isBranch = (one: Dart): boolean =>
    isLook(one) ||
    (one.kind === 'call' && isInsets(one.name)) ||
    (one.kind === 'code' && /^(EdgeInsets\.zero|AppType\.\w+)$/.test(one.code))
  return isBranch(dart.then) && isBranch(dart.otherwise)
}

/** Whether a value never changes: a constant, or the style of a button made of constants, which Dart makes once. */
const isFixed = (dart: Dart): boolean =>
  isConst(dart) ||
  (dart.kind === 'call' && isButton(dart.name) && dart.args.every(({ value }) => isConst(value)))

/** Whether a value is the same wherever it stands in the build of one widget: it knows the theme and the window only. */
const isAtHand = (dart: Dart): boolean => {
  switch (dart.kind) {
    case 'code':
      return isConst(dart) || /^colors\.\w+$/.test(dart.code)
    case 'call':
      return dart.args.every(({ value }) => isAtHand(value))
    case 'list':
      return dart.items.every(isAtHand)
    case 'choice':
      return /^!?from\d+$/.test(dart.condition) && isAtHand(dart.then) && isAtHand(dart.otherwise)
    default:
      return false
  }
}

const WEIGHTS: Readonly<Record<string, string>> = {
  'FontWeight.w100': 'thin',
  'FontWeight.w200': 'extra light',
  'FontWeight.w300': 'light',
  'FontWeight.w500': 'medium',
  'FontWeight.w600': 'semi bold',
  'FontWeight.w700': 'bold',
  'FontWeight.w800': 'extra bold',
  'FontWeight.w900': 'black',
}

const codeOf = (dart: Dart | undefined): string => (dart?.kind === 'code' ? dart.code : '')

/** `colors.quiet` → `quiet`, `Color(0xFF13233F)` → `blue 850` */
const colorWord = (dart: Dart | undefined): string => {
  if (dart?.kind === 'code') return dart.code.replace(/^colors\./, '')
  const digits = /^0x([0-9A-F]{2})([0-9A-F]{6})$/.exec(
    dart?.kind === 'call' && dart.name === 'Color' ? codeOf(dart.args[0]?.value) : '',
  )
  return digits ? nameColor(`#${digits[2]!}${digits[1]!}`.toLowerCase()) : ''
}

const isBox = (dart: Dart): boolean =>
  dart.kind === 'choice' ? isBox(dart.then) : dart.kind === 'call' && dart.name === 'BoxDecoration'

const BY_WIDTH = ' by width'

/** What a developer would call a value, in words: `bold 44 white`, `paper`, `insets 32x29`. */
const describe = (dart: Dart): string => {
  // Wide windows are what was drawn first.
  if (dart.kind === 'choice') return `${describe(dart.then).replace(BY_WIDTH, '')}${BY_WIDTH}`
  if (dart.kind === 'code') return dart.code.slice(dart.code.indexOf('.') + 1)
  if (dart.kind !== 'call') return 'look'
  if (isBox(dart)) return colorWord(argumentOf(dart, 'color')) || 'plain'
  if (isInsets(dart.name)) {
    const sizes = dart.args.map(({ value }) => codeOf(value).replace(/\W+/g, ' '))
    return `insets ${sizes.join('x')}`
  }
  if (isButton(dart.name)) {
    const kind = dart.name.replace(/Button\.styleFrom$/, '')
    const ground = argumentOf(dart, 'backgroundColor') ?? argumentOf(dart, 'foregroundColor')
    return `${kind} ${colorWord(ground)}`
  }
  const color = colorWord(argumentOf(dart, 'color'))
  const line = argumentOf(dart, 'decoration') ? 'lined' : ''
  if (dart.name !== 'TextStyle') return `${dart.name.split('.')[1]!} ${color} ${line}`
  const weight = WEIGHTS[codeOf(argumentOf(dart, 'fontWeight'))] ?? 'regular'
  const slant = argumentOf(dart, 'fontStyle') ? 'italic' : ''
  return `${weight} ${codeOf(argumentOf(dart, 'fontSize'))} ${slant} ${color} ${line}`
}

/** How often each value stands in some widgets; what stands in one that repeats counts once. */
const countValues = (
  widgets: readonly Dart[],
  isWanted: (dart: Dart) => boolean,
): ReadonlyMap<string, number> => {
  const counts = new Map<string, number>()
  const visit = (dart: Dart): boolean => {
    if (!isWanted(dart)) return true
    const key = JSON.stringify(dart)
    const count = counts.get(key) ?? 0
    counts.set(key, count + 1)
    return count === 0
  }
  widgets.forEach((widget) => walk(widget, visit))
  return counts
}

/** Goes through a piece and what it is made of, while `visit` says to go on. */
const walk = (dart: Dart, visit: (dart: Dart) => boolean): void => {
  if (visit(dart)) partsOf(dart).forEach((part) => walk(part, visit))
}

/** Names what repeats, and writes the names in its place. */
const nameRepeated = (
  widgets: readonly Dart[],
  isWanted: (dart: Dart) => boolean,
  nameOf: (dart: Dart) => string,
): { readonly widgets: readonly Dart[]; readonly values: readonly NamedValue[] } => {
  const counts = countValues(widgets, isWanted)
  const names = new Map<string, string>()
  const values: NamedValue[] = []
  const replace = (dart: Dart): Dart => {
    if (!isWanted(dart)) return mapParts(dart, replace)
    const key = JSON.stringify(dart)
    if (counts.get(key)! < 2) return mapParts(dart, replace)
    const known = names.get(key)
    if (known !== undefined) return raw(known)
    // What it is made of has its name before it.
    const value = mapParts(dart, replace)
    const name = nameOf(dart)
    names.set(key, name)
    values.push({ name, value })
    return raw(name)
  }
  return { widgets: widgets.map(replace), values }
}

/** Classes of the theme that hold values which widgets repeat and no token has. */
export type SharedHolder = 'AppType' | 'AppBox' | 'AppButtonStyle'

/** The class of the theme that holds a value that never changes. */
const holderOf = (dart: Dart): SharedHolder => {
  if (dart.kind !== 'call') return 'AppBox'
  return isStyle(dart.name) ? 'AppType' : isButton(dart.name) ? 'AppButtonStyle' : 'AppBox'
}

/** What several widgets of a project repeat and what never changes, by the class of the theme that is to hold it. */
export const shareConstants = (
  widgets: readonly Dart[],
  taken: readonly string[],
): {
  readonly widgets: readonly Dart[]
  readonly held: Readonly<Record<SharedHolder, readonly NamedValue[]>>
} => {
  const names = new UniqueNames(AGAIN, taken)
  const { widgets: shared, values } = nameRepeated(
    widgets,
    (dart) => isLook(dart) && isFixed(dart),
    (dart) => `${holderOf(dart)}.${names.take(toCamel(describe(dart), 'look'))}`,
  )
  const heldBy = (holder: SharedHolder): readonly NamedValue[] =>
    values.flatMap(({ name, value }) =>
      name.startsWith(`${holder}.`) ? [{ name: name.slice(holder.length + 1), value }] : [],
    )
  return {
    widgets: shared,
    held: {
      AppType: heldBy('AppType'),
      AppBox: heldBy('AppBox'),
      AppButtonStyle: heldBy('AppButtonStyle'),
    },
  }
}

/** What one widget repeats of the theme and the window, to be said before it is built. */
export const shareLocals = (
  widget: Dart,
  taken: readonly string[],
): { readonly widget: Dart; readonly locals: readonly NamedValue[] } => {
  const names = new UniqueNames(AGAIN, taken)
  const { widgets, values } = nameRepeated(
    [widget],
    (dart) => isLook(dart) && !isFixed(dart) && isAtHand(dart),
    (dart) => names.take(toCamel(`${isBox(dart) ? 'box ' : ''}${describe(dart)}`, 'look')),
  )
  return { widget: widgets[0]!, locals: values }
}
