import { toCamel, UniqueNames } from '../../../text/names.js'
import { printBlock } from '../../script/print-block.js'
import { printProperty } from '../../script/print-property.js'
import { quoteString } from '../../script/quote-string.js'
import { concat, hardline, join, type Doc } from '../../shared/document.js'
import { printDocument } from '../../shared/print-document.js'
import { toBlocks, type SheetTheme } from '../css/blocks.js'
import type { NamedRule } from '../css/name-classes.js'
import type { Declaration } from '../css/utilities.js'

const PRINT_WIDTH = 80

/** What holds always, and what holds at times, inside one another. */
type Rules = { readonly own: Declaration[]; readonly nested: Map<string, Rules> }

const emptyRules = (): Rules => ({ own: [], nested: new Map() })

const toRules = (utilities: readonly string[], theme: SheetTheme): Rules => {
  const whole = emptyRules()
  for (const { condition, declarations } of toBlocks(utilities, theme)) {
    const { rules, selector } = condition
    let at = whole
    for (const key of selector === '&' ? rules : [...rules, selector]) {
      const inner = at.nested.get(key) ?? emptyRules()
      at.nested.set(key, inner)
      at = inner
    }
    at.own.push(...declarations)
  }
  return whole
}

/** `padding-top` → `paddingTop`; variables and what has signs stay in quotes. */
const keyOf = (property: string): string =>
  property.startsWith('--')
    ? quoteString(property)
    : property.replace(/-([a-z])/g, (_, letter: string) => letter.toUpperCase())

/** Pictures that rules refer to, imported under names. */
type Pictures = { nameOf(address: string): string }

/** Addresses of files beside the code are what a bundler gives for them. */
const valueOf = (value: string, pictures: Pictures): string => {
  if (!value.includes('url("../')) return quoteString(value)
  const escaped = value.replace(/[`\\]|\$\{/g, (sign) => `\\${sign}`)
  const named = escaped.replace(
    /url\("(\.\.\/[^"]+)"\)/g,
    (_, address: string) => `url(\${${pictures.nameOf(address)}})`,
  )
  return `\`${named}\``
}

const membersOf = ({ own, nested }: Rules, pictures: Pictures): readonly Doc[] => [
  ...own.map(([property, value]) => printProperty(keyOf(property), valueOf(value, pictures))),
  ...[...nested].map(([key, inner]) =>
    printBlock(`${quoteString(key)}: {`, membersOf(inner, pictures), '},'),
  ),
]

/** The rules of a component as code: an object with a class for each name. */
export const printStyles = (rules: readonly NamedRule[], theme: SheetTheme): string => {
  const names = new UniqueNames('', ['css', 'styles'])
  const imported = new Map<string, string>()
  const pictures: Pictures = {
    nameOf(address) {
      const stem = address.slice(address.lastIndexOf('/') + 1).replace(/\.\w+$/, '')
      const name = imported.get(address) ?? names.take(toCamel(stem, 'picture'))
      imported.set(address, name)
      return name
    },
  }
  const members = rules.map(({ name, utilities }) => {
    const inside = membersOf(toRules(utilities, theme), pictures)
    return inside.length === 0 ? `${name}: css({}),` : printBlock(`${name}: css({`, inside, '}),')
  })
  const imports = [
    'import { css } from "@emotion/css";',
    ...[...imported].map(([address, name]) => `import ${name} from ${quoteString(address)};`),
  ]
  const document = concat([
    join(hardline, imports),
    hardline,
    hardline,
    printBlock('export const styles = {', members, '};'),
    hardline,
  ])
  return printDocument(document, PRINT_WIDTH).text
}
