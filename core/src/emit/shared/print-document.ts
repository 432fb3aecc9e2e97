import type { Doc, GroupId } from './document.js'
import { isHard } from './document.js'
import { widthOf } from './text-width.js'

/** A stretch of a file that a layer gave rise to, as offsets in UTF-16 units. */
export type Span = { readonly layer: string; readonly start: number; readonly end: number }

export type Printed = { readonly text: string; readonly spans: readonly Span[] }

type Command =
  | { readonly indent: number; readonly flat: boolean; readonly doc: Doc; readonly from?: number }
  | { readonly endOf: string; readonly start: number }

const INDENT_WIDTH = 2

/** Whether the text up to the first line break that will be taken has room in `room` columns. */
const fits = (
  first: { flat: boolean; doc: Doc },
  rest: readonly Command[],
  room: number,
  broken: ReadonlySet<GroupId>,
  mustBeFlat: boolean,
): boolean => {
  const open: { flat: boolean; doc: Doc; from?: number }[] = [first]
  let restIndex = rest.length
  let left = room
  // Spaces count when something follows them: those at the end of a line go.
  let pending = 0
  while (left >= 0) {
    const next = open.pop()
    if (!next) {
      if (mustBeFlat || restIndex === 0) return true
      const command = rest[--restIndex]!
      if ('doc' in command) open.push(command)
      continue
    }
    const { doc, flat } = next
    if (typeof doc === 'string') {
      left -= pending + widthOf(doc)
      pending = 0
      continue
    }
    switch (doc.kind) {
      case 'concat':
      case 'fill':
        for (let i = doc.parts.length - 1; i >= (next.from ?? 0); i--)
          open.push({ flat, doc: doc.parts[i]! })
        break
      case 'indent':
      case 'span':
        open.push({ flat, doc: doc.content })
        break
      case 'group':
        if (mustBeFlat && doc.hard) return false
        open.push({ flat: doc.hard ? false : flat, doc: doc.content })
        break
      case 'either':
        if (mustBeFlat && doc.hard) return false
        open.push(flat && !doc.hard ? { flat, doc: doc.flat } : { flat: false, doc: doc.broken })
        break
      case 'ifBreak': {
        const isBroken = doc.id ? broken.has(doc.id) : !flat
        open.push({ flat, doc: isBroken ? doc.broken : doc.flat })
        break
      }
      case 'line':
        if (!flat || doc.hard) return true
        pending += doc.flat.length
    }
  }
  return false
}

/**
 * Decides the line breaks of a document and prints it. Takes the line width in columns; returns the text
 * with the spans of its layers, in the order they end. Linear in the size of the document for our use.
 */
export const printDocument = (root: Doc, widthColumns: number): Printed => {
  const out: string[] = []
  const spans: Span[] = []
  const broken = new Set<GroupId>()
  const commands: Command[] = [{ indent: 0, flat: false, doc: root }]
  let column = 0
  let length = 0
  // After a break that had to be taken inside flat content, the groups after it are measured anew.
  let mustRemeasure = false

  const write = (text: string): void => {
    out.push(text)
    length += text.length
  }
  const trimEnd = (): void => {
    for (let last = out.pop(); last !== undefined; last = out.pop()) {
      const trimmed = last.replace(/[ \t]+$/, '')
      length -= last.length - trimmed.length
      if (trimmed !== '') {
        out.push(trimmed)
        return
      }
    }
  }

  const push = (doc: Doc, flat: boolean, indent: number): void => {
    commands.push({ indent, flat, doc })
  }
  const fitsFlat = (content: Doc): boolean =>
    fits({ flat: true, doc: content }, commands, widthColumns - column, broken, false)

  for (let command = commands.pop(); command; command = commands.pop()) {
    if ('endOf' in command) {
      spans.push({ layer: command.endOf, start: command.start, end: length })
      continue
    }
    const { doc, indent, flat } = command

    if (typeof doc === 'string') {
      write(doc)
      column += widthOf(doc)
      continue
    }
    switch (doc.kind) {
      case 'concat':
        for (let i = doc.parts.length - 1; i >= 0; i--) push(doc.parts[i]!, flat, indent)
        break
      case 'indent':
        push(doc.content, flat, indent + 1)
        break
      case 'span':
        commands.push({ endOf: doc.layer, start: length })
        push(doc.content, flat, indent)
        break
      case 'group': {
        let isFlat = !doc.hard
        if (!flat || mustRemeasure) {
          mustRemeasure = false
          isFlat = isFlat && fitsFlat(doc.content)
        }
        push(doc.content, isFlat, indent)
        if (doc.id && !isFlat) broken.add(doc.id)
        break
      }
      case 'either': {
        let isFlat = !doc.hard
        if (!flat || mustRemeasure) {
          mustRemeasure = false
          isFlat = isFlat && fitsFlat(doc.flat)
        }
        push(isFlat ? doc.flat : doc.broken, isFlat, indent)
        break
      }
      case 'ifBreak':
        push((doc.id ? broken.has(doc.id) : !flat) ? doc.broken : doc.flat, flat, indent)
        break
      case 'fill': {
        const from = command.from ?? 0
        const [content, separator, second] = [
          doc.parts[from],
          doc.parts[from + 1],
          doc.parts[from + 2],
        ]
        if (content === undefined) break
        const room = widthColumns - column
        const hasRoom = (next: Doc): boolean =>
          fits({ flat: true, doc: next }, [], room, broken, true)
        const contentFits = hasRoom(content)
        if (separator !== undefined) {
          if (second === undefined) push(separator, contentFits, indent)
          else {
            commands.push({ indent, flat, doc, from: from + 2 })
            const pair: Doc = {
              kind: 'concat',
              parts: [content, separator, second],
              hard: isHard(content) || isHard(separator) || isHard(second),
            }
            push(separator, hasRoom(pair), indent)
          }
        }
        push(content, contentFits, indent)
        break
      }
      case 'line':
        if (flat && !doc.hard) {
          write(doc.flat)
          column += doc.flat.length
          break
        }
        if (flat || doc.remeasures) mustRemeasure = true
        trimEnd()
        write(`\n${' '.repeat(indent * INDENT_WIDTH)}`)
        column = indent * INDENT_WIDTH
    }
  }
  return { text: out.join(''), spans }
}
