import { relativePath } from '../../text/file-paths.js'
import type { Effect } from '../../design/paint.js'
import type { TextStyle } from '../../design/text.js'
import { toCamel, UniqueNames } from '../../text/names.js'
import type { ThemeToken, UiTheme } from '../../ui/theme.js'
import { concat, hardline, indent } from '../shared/document.js'
import { printDocument } from '../shared/print-document.js'
import { parseDart, printDart, PRINT_WIDTH, type Dart } from './dart.js'
import type { NamedValue, SharedHolder } from './share-values.js'
import { color, evenRadius, number, shadows } from './values.js'

/** The class that holds the tokens of a type; colours differ by mode and are asked of the context. */
const HOLDERS: Readonly<Partial<Record<ThemeToken['type'], string>>> = {
  color: 'colors',
  space: 'AppSpace',
  radius: 'AppRadius',
  shadow: 'AppShadow',
  type: 'AppType',
}
/** Words of Dart, and what every theme extension has. */
const TAKEN =
  'abstract as assert async await base break case catch class const continue copyWith covariant default deferred do dynamic dark else enum export extends extension external factory false final finally for get hashCode if implements import in interface is late lerp library light mixin new null on of operator part required rethrow return runtimeType sealed set show static super switch sync this throw toString true try type typedef var void when while with yield'.split(
    ' ',
  )

/** `color.sea.deep` → `seaDeep`: the first word says the type. */
const nameOf = ({ name }: Pick<ThemeToken, 'name'>): string => {
  const segments = name.split(/[./]/)
  return toCamel((segments.length > 1 ? segments.slice(1) : segments).join(' '), 'step')
}

/** How a text is set, as Dart; leading is shared out above and below as browsers do. */
export const textStyle = (style: Omit<TextStyle, 'color'>): string => {
  const parts = [
    `fontFamily: '${style.family.replace(/[^\p{L}\p{N} _.-]/gu, '')}'`,
    `fontSize: ${number(style.size)}`,
    ...(style.weight === 400 ? [] : [`fontWeight: ${weight(style.weight)}`]),
    ...(style.italic ? ['fontStyle: FontStyle.italic'] : []),
    ...(style.lineHeight === undefined
      ? []
      : [
          `height: ${String(Math.round((style.lineHeight / style.size) * 10000) / 10000)}`,
          'leadingDistribution: TextLeadingDistribution.even',
        ]),
    ...(style.letterSpacing === 0 ? [] : [`letterSpacing: ${number(style.letterSpacing)}`]),
  ]
  return `TextStyle(${parts.join(', ')})`
}

/** Flutter knows nine weights. */
export const weight = (value: number): string =>
  `FontWeight.w${String(Math.min(900, Math.max(100, Math.round(value / 100) * 100)))}`

/** How tokens are written, by their names, in the order of the design, so that names do not depend on what is used first. */
export const nameDartTokens = (
  tokens: Iterable<Pick<ThemeToken, 'name' | 'type'>>,
): ReadonlyMap<string, string> => {
  const known = new Map<string, string>()
  const taken = new Map<string, UniqueNames>()
  for (const token of tokens) {
    const holder = HOLDERS[token.type]
    if (holder === undefined) continue
    const names = taken.get(holder) ?? new UniqueNames('', TAKEN)
    taken.set(holder, names)
    known.set(token.name, `${holder}.${names.take(nameOf(token))}`)
  }
  return known
}

type Used = { readonly name: string; readonly token: ThemeToken }

const printConstant = (type: string, name: string, value: Dart): string => {
  // The styles of buttons are made by functions, so that they are no constants of Dart.
  const isOnce = type === 'ButtonStyle'
  const head = `static ${isOnce ? 'final' : 'const'} ${type} ${name} = `
  return printDocument(
    indent(concat([hardline, head, printDart(value, !isOnce), ';'])),
    PRINT_WIDTH,
  ).text.slice(1)
}

/** The tokens a project uses, and what they are called. Lives for one emission. */
export class FlutterTheme {
  private readonly used = new Map<string, Used>()
  private shared: Partial<Record<SharedHolder, readonly NamedValue[]>> = {}

  /** What repeats and has no token is shared as whole text styles and decorations. */
  constructor(private readonly tokens: UiTheme) {
    this.known = nameDartTokens([...tokens.values()].filter(({ isFound }) => !isFound))
  }

  private readonly known: ReadonlyMap<string, string>

  /** The code for a token that is of this type and has this value; it then becomes part of the theme. */
  find(
    name: string | undefined,
    type: ThemeToken['type'],
    isValue: (value: unknown) => boolean,
  ): string | undefined {
    const token = name === undefined ? undefined : this.tokens.get(name)
    if (!token || token.type !== type || !isValue(token.value)) return undefined
    const code = this.known.get(token.name)
    if (code === undefined) return undefined
    this.used.set(code, { name: code.slice(code.indexOf('.') + 1), token })
    return code
  }

  /** What the fields of a class are called already. */
  get taken(): readonly string[] {
    return [...TAKEN, ...[...this.known.values()].map((code) => code.slice(code.indexOf('.') + 1))]
  }

  /** Holds values that widgets repeat. */
  hold(shared: Readonly<Record<SharedHolder, readonly NamedValue[]>>): void {
    this.shared = shared
  }

  /** The tokens of a type, by name. */
  private of(type: ThemeToken['type']): readonly Used[] {
    return [...this.used.values()]
      .filter(({ token }) => token.type === type)
      .sort((a, b) => (a.name < b.name ? -1 : 1))
  }

  get hasColors(): boolean {
    return this.of('color').length > 0
  }

  /** The mode for dark surroundings, where the design has one. */
  private darkMode(): string | undefined {
    const modes = new Set(this.of('color').flatMap(({ token }) => Object.keys(token.modes ?? {})))
    return [...modes].find((mode) => /dark|night/i.test(mode))
  }

  get hasDark(): boolean {
    return this.darkMode() !== undefined
  }

  /** `lib/theme.dart` */
  source(): string {
    const blocks = [
      ...this.colorClass(),
      ...this.holder('AppSpace', 'space', 'double', (value) => number(value as number)),
      ...this.holder('AppRadius', 'radius', 'BorderRadius', (value) =>
        evenRadius(typeof value === 'string' ? value : number(value as number)),
      ),
      ...this.holder(
        'AppShadow',
        'shadow',
        'List<BoxShadow>',
        (value) => shadows(value as readonly Effect[]) ?? '[]',
      ),
      ...this.holder('AppType', 'type', 'TextStyle', (value) => textStyle(value as TextStyle)),
      ...this.holder('AppBox', undefined, 'BoxDecoration', String),
      ...this.holder('AppButtonStyle', undefined, 'ButtonStyle', String),
    ]
    const theirs = new Set(
      [...this.used.values()].flatMap(({ token: { code } }) => (code ? [code.path] : [])),
    )
    const imports = [...theirs].sort().map((path) => `import '${relativePath('lib', path)}';\n`)
    return `import 'package:flutter/material.dart';\n${imports.length > 0 ? '\n' : ''}${imports.join('')}\n${blocks.join('\n\n')}\n`
  }

  private holder(
    name: string,
    type: ThemeToken['type'] | undefined,
    dartType: string,
    write: (value: unknown) => string,
  ): readonly string[] {
    const tokens = type === undefined ? [] : this.of(type)
    const shared = this.shared[name as SharedHolder] ?? []
    if (tokens.length + shared.length === 0) return []
    // The theme of a codebase has its radii as numbers.
    const writeToken = ({ code, value }: ThemeToken): string =>
      code && type !== 'radius' ? code.name : write(code?.name ?? value)
    const lines = [
      ...tokens.map(({ name: field, token }) =>
        printConstant(dartType, field, parseDart(writeToken(token))),
      ),
      ...shared.map(({ name: field, value }) => printConstant(dartType, field, value)),
    ]
    return [`abstract final class ${name} {\n${lines.join('\n')}\n}`]
  }

  private colorClass(): readonly string[] {
    const own = this.of('color')
    if (own.length === 0) return []
    const dark = this.darkMode()
    const instance = (mode: string | undefined): string =>
      own
        .map(({ name, token }) => {
          const value = (mode === undefined ? undefined : token.modes?.[mode]) ?? token.value
          return `    ${name}: ${token.code?.name ?? color(value as string)},\n`
        })
        .join('')
    const names = own.map(({ name }) => name)
    return [
      `/// The colours of the design, one value in each mode.
class AppColors extends ThemeExtension<AppColors> {
  const AppColors({
${names.map((name) => `    required this.${name},\n`).join('')}  });

  static const light = AppColors(
${instance(undefined)}  );
${dark === undefined ? '' : `\n  static const dark = AppColors(\n${instance(dark)}  );\n`}
${names.map((name) => `  final Color ${name};\n`).join('')}
  static AppColors of(BuildContext context) =>
      Theme.of(context).extension<AppColors>() ?? light;

  @override
  AppColors copyWith({
${names.map((name) => `    Color? ${name},\n`).join('')}  }) {
    return AppColors(
${names.map((name) => `      ${name}: ${name} ?? this.${name},\n`).join('')}    );
  }

  @override
  AppColors lerp(AppColors? other, double t) {
    if (other == null) return this;
    return AppColors(
${names.map((name) => `      ${name}: Color.lerp(${name}, other.${name}, t)!,\n`).join('')}    );
  }
}`,
    ]
  }
}
