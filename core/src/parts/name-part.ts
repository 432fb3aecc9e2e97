import { isIdleName } from '../design/idle-name.js'
import { singular } from '../text/names.js'
import type { UiNode } from '../ui/nodes.js'

const MOST_WORDS = 3

const wordsOf = (name: string): string[] => name.split(/[^\p{L}\p{N}]+/u).filter(Boolean)

/** The words all names begin with. */
const commonStart = (names: readonly (readonly string[])[]): readonly string[] => {
  const [first = [], ...others] = names
  const end = first.findIndex((word, i) =>
    others.some((other) => other[i]?.toLowerCase() !== word.toLowerCase()),
  )
  return end < 0 ? first : first.slice(0, end)
}

/** The words all names end with. */
const commonEnd = (names: readonly (readonly string[])[]): readonly string[] =>
  commonStart(names.map((words) => [...words].reverse())).toReversed()

const holdsControl = (node: UiNode): boolean =>
  node.type === 'control' || ('children' in node && node.children.some(holdsControl))

/** What a thing is by how it is built. */
const kindOf = (node: UiNode): string => {
  if (node.type !== 'box') return 'part'
  if (holdsControl(node)) return 'field'
  if (node.role === 'article') return 'card'
  if (node.role === 'button') return 'button'
  if (node.link) return 'link'
  if (node.role === 'figure') return 'figure'
  if (node.item === 'row') return 'row'
  const isPainted = node.style.fills.length > 0 || node.style.border !== undefined
  if (node.style.arrange.kind === 'row') return isPainted ? 'row' : 'item'
  return isPainted ? 'card' : 'item'
}

/**
 * What some things that are alike are called, in words: by what their names have in common, else by the heading they
 * stand under and what they are. Names do not say how many there are.
 */
export const namePart = (instances: readonly UiNode[], heading: string | undefined): string => {
  const names = instances.map(({ name }) =>
    wordsOf(name).filter((word, i) => i === 0 || !/^\d+$/.test(word)),
  )
  const given = names.filter((words) => words.length > 0 && !isIdleName(words.join(' ')))
  const kind = kindOf(instances[0]!)
  const end = given.length === names.length ? commonEnd(given) : []
  const start = given.length === names.length ? commonStart(given) : []
  const common = [end, start].find((words) => words.length > 0 && !isIdleName(words.join(' ')))
  if (common) {
    // `Card` alone says less than what it is a card of.
    if (common.length > 1 || !heading) return common.slice(-MOST_WORDS).join(' ')
    if (common[0]!.toLowerCase() !== kind) return common[0]!
  }
  const subject = heading === undefined ? undefined : wordsOf(heading).at(-1)
  if (subject && wordsOf(heading!).length <= MOST_WORDS && /\p{L}{2}/u.test(subject)) {
    const thing = singular(subject.toLowerCase())
    return thing === kind ? thing : `${thing} ${kind}`
  }
  return kind
}
