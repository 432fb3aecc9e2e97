import { readConditions, type Condition } from './conditions.js'
import { inUnits, type Units } from '../units.js'
import { declare, type Declaration, type Known } from './utilities.js'

const FAMILIES = /^(margin|padding|inset|flex|overflow|border|transition|gap|column-gap|row-gap)/

const familyOf = (property: string): string | undefined => {
  const family = FAMILIES.exec(property)?.[1]
  return family?.endsWith('gap') ? 'gap' : family
}

/** How narrow a property is: `padding`, `padding-inline`, `padding-left`. */
const rankOf = (property: string): number => {
  if (/^(margin|padding|inset|flex|overflow|gap|border-width|border-radius)$/.test(property))
    return 0
  return /-(inline|block)(-width)?$/.test(property) ? 1 : 2
}

/** Within a family the wider comes first, so that the narrower one holds; all others stay where they are. */
const inOrder = (declarations: readonly Declaration[]): readonly Declaration[] => {
  const ordered = [...declarations]
  const families = new Map<string, number[]>()
  ordered.forEach(([property], at) => {
    const family = familyOf(property)
    if (family !== undefined) families.set(family, [...(families.get(family) ?? []), at])
  })
  for (const places of families.values()) {
    const own = places.map((at) => declarations[at]!).sort((x, y) => rankOf(x[0]) - rankOf(y[0]))
    places.forEach((at, i) => (ordered[at] = own[i]!))
  }
  return ordered
}

/** Two halves of one property are one. */
const joined = (declarations: readonly Declaration[]): readonly Declaration[] => {
  const last = new Map<string, string>()
  // What is said twice holds as it is said last.
  for (const [property, value] of declarations) last.set(property, value)
  const x = last.get('translate-x')
  const y = last.get('translate-y')
  last.delete('translate-x')
  last.delete('translate-y')
  if (x !== undefined || y !== undefined) last.set('translate', `${x ?? '0'} ${y ?? '0'}`)
  // A border has a width and no style before it is said.
  const hasWidth = [...last.keys()].some((key) => /^border.*-width$/.test(key))
  if (hasWidth && !last.has('border-style')) last.set('border-style', 'solid')
  return inOrder([...last])
}

/** What a sheet is written for: the variables its theme has, and what its lengths are in. */
export type SheetTheme = { readonly known: Known; readonly units?: Units | undefined }

/** What is declared under one condition. */
export type Block = { readonly condition: Condition; readonly declarations: readonly Declaration[] }

export const conditionKey = ({ rules, selector }: Condition): string =>
  [...rules, selector].join(' ')

/** Classes as blocks of declarations: what always holds first, then states, then from narrow to wide. */
export const toBlocks = (
  classes: readonly string[],
  { known, units }: SheetTheme,
): readonly Block[] => {
  const blocks = new Map<string, { condition: Condition; declarations: Declaration[] }>()
  for (const name of classes) {
    if (name === 'group') continue
    const read = readConditions(name)
    const own = read && declare(read.utility, known)
    if (!own) throw new Error(`No rule is known for the class ${name}`)
    const condition = {
      ...read.condition,
      rules: read.condition.rules.map((rule) => (units === 'px' ? inUnits(rule, units) : rule)),
    }
    const key = conditionKey(condition)
    const block = blocks.get(key) ?? { condition, declarations: [] }
    blocks.set(key, block)
    block.declarations.push(
      ...own.map(([property, value]) => [property, inUnits(value, units)] as const),
    )
  }
  return [...blocks.values()]
    .map(({ condition, declarations }) => ({ condition, declarations: joined(declarations) }))
    .sort((a, b) => a.condition.fromRem - b.condition.fromRem)
}
