import { SHOWN } from './example.js'
import type { Attribute, MarkupNode } from './markup.js'
import type { PartComponent } from './prop.js'

/** White space in it may be written otherwise in the page. */
export const isWords = (text: string): boolean =>
  text !== '' && text.trim() === text && !/\s\s|[^\S ]/.test(text)

const NAME = /[A-Za-z_$][\w$]*/g

/**
 * The names of props that are certain to be seen as words, of lists also with what each thing in them has, `rows.label`.
 * What is there only at times counts where it is there because of the prop itself.
 */
const findSeen = (
  part: PartComponent,
  seenIn: (tag: string) => ReadonlySet<string>,
): ReadonlySet<string> => {
  const seen = new Set<string>()
  const visit = (node: MarkupNode, say: (code: string) => void): void => {
    switch (node.kind) {
      case 'expression':
      case 'slot':
        say(node.kind === 'slot' ? node.name : node.code)
        return
      case 'loop':
        visit(node.template, (code) => {
          if (code === node.item) say(node.list)
          else if (code.startsWith(`${node.item}.`)) say(node.list + code.slice(node.item.length))
          else say(code)
        })
        return
      case 'when': {
        const reasons = new Set(node.condition.match(NAME))
        visit(node.content, (code) => {
          if (reasons.has(code)) say(code)
        })
        return
      }
      case 'element': {
        const inside = seenIn(node.tag)
        for (const one of node.attributes) {
          if (one.kind === 'code' && inside.has(one.name)) say(one.code)
        }
        node.children.forEach((child) => visit(child, say))
        return
      }
      case 'block':
      case 'text':
    }
  }
  visit(part.markup, (code) => seen.add(code))
  return seen
}

/** The words by which one sees that a component got what it was given. */
export const wordsGiven = (
  given: readonly Attribute[],
  seen: ReadonlySet<string>,
): readonly string[] =>
  given.flatMap((one) => {
    switch (one.kind) {
      case 'text':
        return seen.has(one.name) ? [one.text] : []
      case 'list':
        return seen.has(one.name) ? one.texts : []
      case 'records':
        return one.fields.flatMap((field, i) =>
          seen.has(`${one.name}.${field}`) ? one.rows.map((row) => row[i]!) : [],
        )
      case 'markup':
        return seen.has(one.name) ? [SHOWN] : []
      default:
        return []
    }
  })

/** For each component, by its tag, the names of what is seen of it; found when it is asked for. */
export const createSeen = (
  parts: readonly PartComponent[],
): ((tag: string) => ReadonlySet<string>) => {
  const partOf = new Map(parts.map((part) => [part.tag, part]))
  const seen = new Map<string, ReadonlySet<string>>()
  const seenIn = (tag: string): ReadonlySet<string> => {
    const known = seen.get(tag)
    if (known) return known
    seen.set(tag, new Set())
    const part = partOf.get(tag)
    const found = part ? findSeen(part, seenIn) : new Set<string>()
    seen.set(tag, found)
    return found
  }
  return seenIn
}
