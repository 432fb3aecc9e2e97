/** Letters and digits of ASCII only, accents taken off: `Übersicht 2` → ['Ubersicht', '2']. */
const words = (text: string): string[] =>
  text
    .normalize('NFKD')
    .replace(/\p{M}/gu, '')
    .replace(/(?<=\p{L})['’](?=\p{L})/gu, '')
    .replace(/([a-z\d])([A-Z])/g, '$1 $2')
    .split(/[^A-Za-z0-9]+/)
    .filter(Boolean)

/** `Log a sighting` → `log-a-sighting`; a text without Latin letters or digits gives the fallback. */
export const toKebab = (text: string, fallback: string): string =>
  words(text).join('-').toLowerCase().slice(0, 60).replace(/-+$/, '') || fallback

/** The same as an id: it begins with a letter, so that style sheets and code can name it plainly. */
export const toId = (text: string, fallback: string): string => {
  const name = toKebab(text, fallback)
  return /^[a-z]/.test(name) ? name : `${fallback}-${name}`
}

// Names the language or the files around a component already use.
const TAKEN = new Set([
  'App',
  'Array',
  'Boolean',
  'Error',
  'Fragment',
  'Function',
  'Image',
  'JSX',
  'Link',
  'Map',
  'NavLink',
  'Number',
  'Object',
  'Promise',
  'React',
  'Route',
  'Routes',
  'Set',
  'String',
  'Symbol',
])

export const capitalise = (word: string): string => word.charAt(0).toUpperCase() + word.slice(1)

/** `TideTable` → `tide-table`; no two names give the same, as every capital begins a word. */
export const separateWords = (name: string, sign: '-' | '_'): string =>
  name.replace(/[A-Z]/g, (letter, at: number) => `${at === 0 ? '' : sign}${letter.toLowerCase()}`)

/** `log a sighting` → `LogASighting`: a valid identifier that no other part of the file uses. */
export const toPascal = (text: string, fallback: string): string => {
  const joined = words(text).map(capitalise).join('').slice(0, 60)
  const name = /^[A-Z]/.test(joined) ? joined : `${fallback}${joined}`
  return TAKEN.has(name) ? `${name}Screen` : name
}

/** `Recent sightings` → `recentSightings`: a valid identifier, but for the words a language keeps to itself. */
export const toCamel = (text: string, fallback: string): string => {
  const [first, ...rest] = words(text)
  const joined = `${first?.toLowerCase() ?? ''}${rest.map(capitalise).join('')}`
  return /^[a-z]/.test(joined) ? joined : `${fallback}${joined}`
}

/** `sightings` → `sighting`, `entries` → `entry`; of English words, and of those that happen to be made alike. */
export const singular = (word: string): string =>
  word.replace(/ies$/, 'y').replace(/(?<=[a-z]{2})(?<!s)s$/, '')

/** Whether files around a component use a name for something else. */
export const isTakenName = (name: string): boolean => TAKEN.has(name)

/** As `toPascal`, of as many words as fit into `longest` characters. */
export const toShortPascal = (text: string, fallback: string, longest: number): string => {
  const kept: string[] = []
  let length = 0
  for (const word of words(text)) {
    length += word.length
    if (length > longest && kept.length > 0) break
    kept.push(word)
  }
  return toPascal(kept.join(' '), fallback).slice(0, longest)
}

/** Makes names different from one another by counting: a, a → a, a2. Letter case does not count. */
export class UniqueNames {
  private readonly used = new Set<string>()

  constructor(
    private readonly separator: string,
    taken: readonly string[] = [],
  ) {
    for (const name of taken) this.used.add(name.toLowerCase())
  }

  take(wanted: string): string {
    let name = wanted
    for (let n = 2; this.used.has(name.toLowerCase()); n++) name = `${wanted}${this.separator}${n}`
    this.used.add(name.toLowerCase())
    return name
  }
}
