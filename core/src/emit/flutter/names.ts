import { separateWords } from '../../text/names.js'
import { FLUTTER_NAMES } from './api/index.js'

/** The classes of `lib/theme.dart`. */
export const THEME_CLASSES: ReadonlySet<string> = new Set([
  'AppBox',
  'AppButtonStyle',
  'AppColors',
  'AppRadius',
  'AppShadow',
  'AppSpace',
  'AppType',
])

/** The class of a component: one of Flutter's own names is told apart. */
export const className = (name: string): string =>
  FLUTTER_NAMES.has(name) || THEME_CLASSES.has(name) ? `App${name}` : name

/** `TideTable` → `tide_table` */
export const toFileName = (name: string): string => separateWords(name, '_')

/** Words of Dart, and what every widget calls something else. */
export const DART_WORDS: ReadonlySet<string> = new Set(
  'abstract as assert async await base break build case catch class colors const context continue covariant default deferred do dynamic else enum export extends extension external factory false final finally for get hashCode if implements import in index interface is late library mixin new null on operator part required rethrow return sealed set static super switch sync this throw true try typedef values var void when while width with yield'.split(
    ' ',
  ),
)

/** The name of what a component is given, in Dart. */
export const dartName = (name: string): string => (DART_WORDS.has(name) ? `${name}Value` : name)

/** The name of a list of a file, which no other file sees. */
export const listName = (name: string): string => `_${name}`
