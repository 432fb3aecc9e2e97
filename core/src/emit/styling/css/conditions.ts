/** Under which conditions a utility holds: at-rules around it, and what is said of its element. */
export type Condition = {
  /** `(width >= 48rem)`, `(prefers-reduced-motion: reduce)`; in the order they are nested. */
  readonly rules: readonly string[]
  /** The selector, with `&` for the element: `&:hover`, `.group:hover &`. */
  readonly selector: string
  /** Of a width of the window, in rem. */
  readonly fromRem: number
}

const WIDTHS: Readonly<Record<string, number>> = { sm: 40, md: 48, lg: 64, xl: 80, '2xl': 96 }

const STATES: Readonly<Record<string, string>> = {
  active: ':active',
  'aria-invalid': '[aria-invalid="true"]',
  'aria-selected': '[aria-selected="true"]',
  backdrop: '::backdrop',
  checked: ':checked',
  disabled: ':disabled',
  empty: ':empty',
  'focus-visible': ':focus-visible',
  hover: ':hover',
  'not-checked': ':not(:checked)',
  open: ':is([open], :popover-open)',
  placeholder: '::placeholder',
}

/** What an element is like, as a selector: `hover` → `:hover`, `aria-[current=page]` → `[aria-current="page"]`. */
const stateOf = (name: string): string | undefined => {
  const known = STATES[name]
  if (known) return known
  const said = /^(aria|data)-\[([\w-]+)=([\w-]+)\]$/.exec(name)
  if (said) return `[${said[1]!}-${said[2]!}="${said[3]!}"]`
  const within = /^has-(.+)$/.exec(name)?.[1]
  const inner = within === undefined ? undefined : stateOf(within)
  return inner === undefined ? undefined : `:has(${inner})`
}

const MEDIA: Readonly<Record<string, string>> = {
  'motion-reduce': '@media (prefers-reduced-motion: reduce)',
  'motion-safe': '@media (prefers-reduced-motion: no-preference)',
}

type Read =
  | { readonly rule: string }
  | { readonly state: string }
  | { readonly group: string }
  | { readonly rem: number }
  | { readonly whole: string }

const readVariant = (variant: string): Read | undefined => {
  const width = WIDTHS[variant] ?? /^min-\[([\d.]+)rem\]$/.exec(variant)?.[1] ?? undefined
  if (width !== undefined) return { rem: Number(width) }
  const media = MEDIA[variant]
  if (media) return { rule: media }
  const supports = /^supports-\[(.+)\]$/.exec(variant)?.[1]
  if (supports) return { rule: `@supports (${supports.replace(':', ': ')})` }
  const own = /^\[(.+)\]$/.exec(variant)?.[1]
  if (own?.startsWith('@media'))
    return { rule: own.replace('@media(', '@media (').replace(':', ': ') }
  if (own?.startsWith('&')) return { whole: own }
  const group = /^group-(.+)$/.exec(variant)?.[1]
  const ofGroup = group === undefined ? undefined : stateOf(group)
  if (ofGroup) return { group: ofGroup }
  const state = stateOf(variant)
  return state === undefined ? undefined : { state }
}

/** The parts of a class between colons that stand in no brackets: `md:hover:underline`. */
const splitVariants = (name: string): readonly string[] => {
  const parts: string[] = []
  let depth = 0
  let from = 0
  for (let i = 0; i < name.length; i++) {
    if (name[i] === '[') depth++
    else if (name[i] === ']') depth--
    else if (name[i] === ':' && depth === 0) {
      parts.push(name.slice(from, i))
      from = i + 1
    }
  }
  return [...parts, name.slice(from)]
}

/** A class as its conditions and the utility; undefined where a condition is not known. */
export const readConditions = (
  name: string,
): { readonly condition: Condition; readonly utility: string } | undefined => {
  const parts = splitVariants(name)
  const rules: string[] = []
  let selector = '&'
  let group = ''
  let fromRem = 0
  for (const variant of parts.slice(0, -1)) {
    const read = readVariant(variant)
    if (!read) return undefined
    if ('rem' in read) {
      fromRem = read.rem
      rules.push(`@media (width >= ${String(read.rem)}rem)`)
    } else if ('rule' in read) rules.push(read.rule)
    else if ('whole' in read) selector = read.whole
    else if ('group' in read) group = read.group
    else selector += read.state
  }
  return {
    utility: parts.at(-1)!,
    condition: { rules, selector: group === '' ? selector : `.group${group} ${selector}`, fromRem },
  }
}
