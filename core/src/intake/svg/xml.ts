import { SaxesParser } from 'saxes'
import { notes } from '../../notes/catalogue.js'
import { failed, type Outcome } from '../../notes/note.js'
import { readEntities } from './xml-entities.js'

/** An element as written; text between elements stands as strings among the children. */
export type XmlElement = {
  readonly name: string
  readonly attributes: Readonly<Record<string, string>>
  readonly children: readonly XmlNode[]
}
export type XmlNode = XmlElement | string

/** Elements may be nested this deep; a hostile file must not exhaust the stack of what walks the tree. */
const MAX_NESTING = 512

class Stop extends Error {}

/** `file.svg:3:7: unclosed tag: g` → `unclosed tag: g` */
const withoutPlace = (message: string): string =>
  message.replace(/^.*?\d+:\d+:\s*/, '').replace(/\.$/, '')

/** Parses XML text into a tree. Entities of the file's own may stand for texts; nothing outside is fetched. */
export const parseXml = (text: string, file: string): Outcome<XmlElement> => {
  const parser = new SaxesParser({ xmlns: false, position: true })
  type Open = { name: string; attributes: Record<string, string>; children: XmlNode[] }
  const open: Open[] = []
  let root: Open | undefined
  let outcome: Outcome<XmlElement> | undefined

  const stop = (result: Outcome<XmlElement>): never => {
    outcome = result
    throw new Stop()
  }
  parser.on('error', (error) => {
    stop(failed([notes.brokenXml(file, withoutPlace(error.message), parser.line, parser.column)]))
  })
  parser.on('doctype', (doctype) => {
    const entities = readEntities(doctype, text)
    if (!entities) return stop(failed([notes.entitiesRefused(file)]))
    Object.assign(parser.ENTITIES, Object.fromEntries(entities))
  })
  parser.on('opentag', (tag) => {
    const element: Open = { name: tag.name, attributes: tag.attributes, children: [] }
    open.at(-1)?.children.push(element)
    root ??= element
    open.push(element)
    if (open.length > MAX_NESTING) stop(failed([notes.tooDeep(file, MAX_NESTING)]))
  })
  parser.on('closetag', () => open.pop())
  const addText = (content: string): void => {
    open.at(-1)?.children.push(content)
  }
  parser.on('text', addText)
  parser.on('cdata', addText)

  try {
    parser.write(text).close()
  } catch (error) {
    if (!(error instanceof Stop)) throw error
  }
  if (outcome) return outcome
  return root
    ? { ok: true, value: root, notes: [] }
    : failed([notes.brokenXml(file, 'there is no element', 1, 1)])
}

export const isElement = (node: XmlNode): node is XmlElement => typeof node !== 'string'

/** The name without its namespace prefix: `svg:rect` → `rect`. */
export const localName = (name: string): string => name.slice(name.indexOf(':') + 1)

/** The text directly inside an element. */
export const textOf = (element: XmlElement): string =>
  element.children
    .filter((child) => typeof child === 'string')
    .join('')
    .trim()

/** What a file calls an element, as written. */
export const nameOfId = (element: XmlElement): string =>
  element.attributes['data-name'] ?? element.attributes['id'] ?? ''

/** Where an element refers to, in either spelling. */
export const hrefOf = (element: XmlElement): string | undefined =>
  element.attributes['href'] ?? element.attributes['xlink:href']
