import type { Doc } from './document.js'
import { asExample } from './example.js'
import type { MarkupElement } from './markup.js'
import { printDocument } from './print-document.js'
import { textFile, type EmittedFile } from './emitted-file.js'
import type { PartComponent, Prop } from './prop.js'

/** How a target calls and writes its components. */
export type UsageSpelling = {
  nameOf(tag: string): string
  pathOf(tag: string): string
  /** The code of a component where it is used. */
  print(use: MarkupElement): Doc
}

const PRINT_WIDTH = 80
const USAGE_FILE = 'COMPONENTS.md'

const inCode = (text: string): string => `\`${text}\``

const kindOf = ({ kind, options, only, fields }: Prop): string => {
  const values = options ?? only
  if (values) return values.map(inCode).join(' or ')
  if (fields) return `a list, each with ${fields.map(({ name }) => inCode(name)).join(', ')}`
  switch (kind) {
    case 'flag':
      return 'yes or no'
    case 'list':
      return 'a list of texts'
    case 'slot':
      return 'something to show'
    case 'code':
      return 'a picture, or what its component takes'
    default:
      return `a ${kind}`
  }
}

const describe = (prop: Prop): string => {
  const { name, standard, isOptional } = prop
  const otherwise =
    standard !== undefined && standard !== ''
      ? `; ${inCode(String(standard))} when left out`
      : isOptional
        ? '; may be left out'
        : ''
  return `- ${inCode(name)}: ${kindOf(prop)}${otherwise}`
}

/** A fence that nothing in the code ends. */
const fenceFor = (code: string): string => {
  const runs = code.match(/`+/g) ?? []
  return '`'.repeat(Math.max(3, ...runs.map(({ length }) => length + 1)))
}

/** A page that shows how each component is used, for those who read code and not designs; none where there are no components. */
export const buildUsageFile = (
  parts: readonly PartComponent[],
  { nameOf, pathOf, print }: UsageSpelling,
): EmittedFile[] => {
  if (parts.length === 0) return []
  const sections = parts.map(({ tag, props, uses, example }) => {
    const code = printDocument(print(asExample(example)), PRINT_WIDTH).text
    const fence = fenceFor(code)
    const given = props.filter(({ kind }) => kind !== 'classes').map(describe)
    return [
      `## ${nameOf(tag)}`,
      `In ${inCode(pathOf(tag))}; the design has ${uses.length === 1 ? 'one' : String(uses.length)} of it.`,
      ...(given.length > 0 ? [given.join('\n')] : []),
      `${fence}\n${code}\n${fence}`,
    ].join('\n\n')
  })
  return [textFile(USAGE_FILE, `# Components\n\n${sections.join('\n\n')}\n`)]
}
