import { singular, toKebab } from '../../text/names.js'

/**
 * Words that interfaces use for the same thing. Only words of the trade are here: those of a subject, as the names of birds
 * or of tariffs, mean what they say.
 */
const SAME: readonly (readonly string[])[] = [
  ['action', 'btn', 'button', 'command', 'cta', 'press', 'push'],
  ['entry', 'field', 'input', 'textbox', 'textfield', 'textinput'],
  ['box', 'card', 'panel', 'sheet', 'surface', 'tile'],
  ['figure', 'kpi', 'metric', 'stat', 'statistic'],
  ['item', 'line', 'listitem', 'row'],
  ['badge', 'chip', 'label', 'pill', 'tag'],
  [
    'appearance',
    'color',
    'colour',
    'emphasis',
    'intent',
    'kind',
    'look',
    'priority',
    'style',
    'tone',
    'type',
    'variant',
  ],
  ['dimension', 'scale', 'size'],
  [
    'caption',
    'children',
    'child',
    'content',
    'heading',
    'headline',
    'label',
    'name',
    'text',
    'title',
    'word',
  ],
  [
    'advice',
    'description',
    'detail',
    'footnote',
    'help',
    'helper',
    'hint',
    'info',
    'message',
    'note',
    'subtitle',
    'supporting',
  ],
  ['amount', 'count', 'number', 'quantity', 'value'],
  ['disabled', 'inactive', 'off', 'unavailable'],
  ['alert', 'danger', 'error', 'failed', 'invalid', 'problem', 'wrong'],
  ['active', 'chosen', 'current', 'on', 'selected'],
  ['checkbox', 'check', 'tick'],
  ['switch', 'toggle'],
  ['dialog', 'modal', 'overlay', 'popup'],
  ['avatar', 'face', 'portrait'],
  ['glyph', 'icon', 'sign', 'symbol'],
  ['anchor', 'link'],
  ['choice', 'combobox', 'dropdown', 'picker', 'select'],
  ['banner', 'head', 'header', 'masthead', 'topbar'],
  ['menu', 'nav', 'navigation'],
  ['illustration', 'image', 'img', 'photo', 'picture'],
  ['location', 'place', 'position', 'site', 'spot', 'where'],
  ['at', 'date', 'hour', 'time', 'when'],
  ['busy', 'loading', 'pending'],
  ['big', 'large', 'lg'],
  ['little', 'small', 'sm'],
  ['base', 'default', 'medium', 'md', 'normal', 'regular', 'rest'],
  ['contained', 'filled', 'main', 'primary', 'solid', 'strong'],
  [
    'ghost',
    'minor',
    'outline',
    'outlined',
    'plain',
    'quiet',
    'secondary',
    'subtle',
    'tertiary',
    'text',
  ],
  ['leading', 'left', 'prefix', 'start'],
  ['end', 'right', 'suffix', 'trailing'],
  ['footer', 'foot'],
  ['gap', 'padding', 'space', 'spacing'],
  ['corner', 'radius', 'round', 'rounded'],
]

const GROUPS: ReadonlyMap<string, ReadonlySet<number>> = (() => {
  const groups = new Map<string, Set<number>>()
  SAME.forEach((words, i) => {
    for (const word of words) groups.set(word, (groups.get(word) ?? new Set()).add(i))
  })
  return groups
})()

/** Words that say how a thing is written, and nothing about what it is. */
const EMPTY: ReadonlySet<string> = new Set([
  'a',
  'app',
  'component',
  'has',
  'is',
  'my',
  'the',
  'ui',
  'with',
])

/** `isWideButton` → ['wide', 'button']; a name of nothing but empty words keeps them. */
export const wordsOf = (name: string): readonly string[] => {
  const all = toKebab(name, '').split('-').filter(Boolean)
  const said = all.filter((word) => !EMPTY.has(word))
  return (said.length > 0 ? said : all).map(singular)
}

/** Whether a word is another one shortened: `btn` for `button`, `desc` for `description`. */
const isShortFor = (short: string, long: string): boolean => {
  if (short.length < 2 || short.length >= long.length || short[0] !== long[0]) return false
  if (long.startsWith(short)) return short.length >= 3
  if (/[aeiou]/.test(short.slice(1))) return false
  let at = 0
  for (const letter of long) if (letter === short[at]) at++
  return at === short.length && short.length >= 3
}

/** How much of two words is the same, by the letters that must be changed; 1: all. */
const likeness = (a: string, b: string): number => {
  const row = Array.from({ length: b.length + 1 }, (_, i) => i)
  for (let i = 1; i <= a.length; i++) {
    let before = row[0]!
    row[0] = i
    for (let j = 1; j <= b.length; j++) {
      const cost = a[i - 1] === b[j - 1] ? before : 1 + Math.min(before, row[j]!, row[j - 1]!)
      before = row[j]!
      row[j] = cost
    }
  }
  return 1 - row[b.length]! / Math.max(a.length, b.length)
}

/** How alike two words are in meaning, from 0 to 1. */
const compareWords = (a: string, b: string): number => {
  if (a === b) return 1
  const own = GROUPS.get(a)
  const other = GROUPS.get(b)
  if (own && other && [...own].some((group) => other.has(group))) return 0.85
  if (isShortFor(a, b) || isShortFor(b, a)) return 0.8
  const near = likeness(a, b)
  return near >= 0.75 && Math.min(a.length, b.length) >= 4 ? near * 0.9 : 0
}

/** How alike two names are, from 0 to 1, whatever the order of their words. */
export const compareNames = (a: string, b: string): number => {
  const [first, second] = [wordsOf(a), wordsOf(b)]
  if (first.length === 0 || second.length === 0) return 0
  if (first.join('') === second.join('')) return 1
  const best = (from: readonly string[], to: readonly string[]): number =>
    from.reduce((sum, word) => sum + Math.max(...to.map((other) => compareWords(word, other))), 0)
  return (best(first, second) + best(second, first)) / (first.length + second.length)
}
