import {
  concat,
  group,
  hardline,
  indent,
  join,
  ifBreak,
  line,
  type Doc,
} from '../shared/document.js'
import { textFile, type EmittedFile } from '../shared/emitted-file.js'
import type { Looks } from '../shared/looks.js'
import type { PartComponent, Prop } from '../shared/prop.js'
import { printDocument } from '../shared/print-document.js'
import type { Helper } from '../shared/component-code.js'
import { quoteString } from './escape.js'
import { importsOf, printImport } from './imports.js'
import type { ComponentPlan } from '../shared/component-plan.js'
import { printBlock } from './print-block.js'
import { printReturnedJsx } from './print-jsx.js'
import { printProperty } from './print-property.js'

const PRINT_WIDTH = 80

const typeOf = ({ kind, of, options = [] }: Prop): readonly string[] => {
  if (of) return [`${of.tag}Props[${quoteString(of.prop)}]`]
  if (kind === 'flag') return ['boolean']
  return kind === 'choice' ? options.map(quoteString) : ['string']
}

/** `tone?: "rust" | "kelp";`, an option a line where they are too long for one. */
const printMember = (prop: Prop): Doc => {
  const types = typeOf(prop)
  const head = `${prop.name}${prop.isOptional ? '?' : ''}:`
  if (types.length === 1) return `${head} ${types[0]!};`
  const options = join(concat([line, '| ']), types)
  return group(concat([head, indent(concat([line, ifBreak('| ', ''), options])), ';']))
}

const defaultOf = ({ kind, standard }: Prop): string => {
  if (standard === undefined || standard === false) return ''
  return kind === 'flag' ? ' = true' : ` = ${quoteString(String(standard))}`
}

/** What each choice adds, as an object: by the place where there are several. */
const printLooks = ({ name, places, classes }: Looks): Doc =>
  printBlock(
    `const ${name} = {`,
    Object.entries(classes).map(([option, own]): Doc => {
      if (places.length === 1) return printProperty(option, quoteString(own[0]!))
      const lines = places.map((place, i) => printProperty(place, quoteString(own[i]!)))
      return printBlock(`${option}: {`, lines, '},')
    }),
    '};',
  )

export const partPath = (tag: string): string => `src/components/${tag}.tsx`

/** The file of a component that is used in several places. */
export const emitPart = (
  { tag, props, looks, markup }: PartComponent,
  plan: ComponentPlan,
  helpers: Set<Helper>,
): EmittedFile => {
  const types = props.flatMap(({ of }) => (of ? [of.tag] : []))
  const imports = importsOf(markup, [], { plan, folder: 'components', helpers, types })
  const head =
    imports.length > 0 ? [join(hardline, imports.map(printImport)), hardline, hardline] : []
  const type = `${tag}Props`
  const names = props.map((prop) => `${prop.name}${defaultOf(prop)}`)
  const parameters: Doc =
    props.length === 0
      ? ''
      : group(
          concat([
            '{',
            indent(concat([line, join(concat([',', line]), names), ifBreak(',', '')])),
            line,
            `}: ${type}`,
          ]),
        )
  const document = concat([
    ...head,
    ...(props.length > 0
      ? [printBlock(`export type ${type} = {`, props.map(printMember), '};'), hardline, hardline]
      : []),
    ...looks.flatMap((look) => [printLooks(look), hardline, hardline]),
    concat([`export function ${tag}(`, parameters, ') {']),
    indent(concat([hardline, 'return ', printReturnedJsx(markup), ';'])),
    hardline,
    '}',
    hardline,
  ])
  const printed = printDocument(document, PRINT_WIDTH)
  return textFile(partPath(tag), printed.text, printed.spans)
}
