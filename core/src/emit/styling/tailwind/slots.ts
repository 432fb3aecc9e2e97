/**
 * One property of an element and the class that sets it. All classes are written for single properties first, so
 * that two looks of an element can be compared property by property; `shorten` joins them where one class will do.
 */
export type Slot = {
  /** What it sets; `l`, `r`, `t`, `b` at the end of a family name are sides. */
  readonly slot: string
  /** The class. */
  readonly token: string
  /** The part of the class after the name of the property, where a shorter class may stand for several. */
  readonly value?: string
  /** Other slots this class sets as well. */
  readonly resets?: readonly string[]
}

/** What an element has without any class: classes that say so are left out until something is to be undone. */
const INITIAL: Readonly<Record<string, string>> = {
  align: 'text-start',
  aspect: 'aspect-auto',
  'backdrop-blur': 'backdrop-blur-none',
  'bg-color': 'bg-transparent',
  'bg-image': 'bg-none',
  'bg-position': 'bg-[position:0_0]',
  'bg-repeat': 'bg-repeat',
  'bg-size': 'bg-auto',
  blend: 'mix-blend-normal',
  blur: 'blur-none',
  'border-style': 'border-solid',
  case: 'normal-case',
  'col-span': 'col-span-1',
  decoration: 'no-underline',
  direction: 'flex-row',
  filter: 'filter-none',
  flex: 'flex-initial',
  'flex-wrap': 'flex-nowrap',
  isolate: 'isolation-auto',
  italic: 'not-italic',
  items: 'items-stretch',
  justify: 'justify-start',
  'justify-self': 'justify-self-auto',
  opacity: 'opacity-100',
  object: 'object-center',
  open: '',
  order: 'order-none',
  'outline-style': 'outline-solid',
  'outline-width': 'outline-0',
  overflow: 'overflow-visible',
  position: 'static',
  rotate: 'rotate-0',
  'row-span': 'row-span-1',
  self: 'self-auto',
  shadow: 'shadow-none',
  shrink: 'shrink',
  'text-shadow': 'text-shadow-none',
  tracking: 'tracking-normal',
  'translate-x': 'translate-x-0',
  'translate-y': 'translate-y-0',
  weight: 'font-normal',
  whitespace: 'whitespace-normal',
  'wrap-words': 'wrap-normal',
  z: 'z-auto',
}

/** Lengths have the name of their slot and one of three values when nothing is said. */
const FAMILIES: readonly (readonly [slots: RegExp, value: string])[] = [
  [/^([pm][lrtb]|gap-[xy]|border-[lrtb])$/, '0'],
  [/^(left|right|top|bottom|w|h|min-w|min-h)$/, 'auto'],
  [/^(max-[wh]|rounded-(tl|tr|br|bl))$/, 'none'],
]
const initials = new Map(Object.entries(INITIAL))
const initialOf = (slot: string): string => {
  const known = initials.get(slot)
  if (known !== undefined) return known
  const family = FAMILIES.find(([slots]) => slots.test(slot))
  const initial = family ? `${slot}-${family[1]}` : ''
  initials.set(slot, initial)
  return initial
}

/** Classes that stand for several: the name of the whole, and the parts, in order. */
const SHORT: readonly (readonly [whole: string, first: string, others: readonly string[]])[] = [
  ['p', 'pl', ['pr', 'pt', 'pb']],
  ['px', 'pl', ['pr']],
  ['py', 'pt', ['pb']],
  ['m', 'ml', ['mr', 'mt', 'mb']],
  ['mx', 'ml', ['mr']],
  ['my', 'mt', ['mb']],
  ['gap', 'gap-x', ['gap-y']],
  ['size', 'w', ['h']],
  ['inset', 'left', ['right', 'top', 'bottom']],
  ['inset-x', 'left', ['right']],
  ['inset-y', 'top', ['bottom']],
  ['border', 'border-t', ['border-r', 'border-b', 'border-l']],
  ['rounded', 'rounded-tl', ['rounded-tr', 'rounded-br', 'rounded-bl']],
]

/** A class of a name and a value, negative ones with the sign in front: `m`, `-[3px]` → `m-[-3px]`. */
export const nameClass = (name: string, value: string): string => {
  if (value === '') return name
  if (!value.startsWith('-')) return `${name}-${value}`
  const positive = value.slice(1)
  return positive.startsWith('[') ? `${name}-[-${positive.slice(1)}` : `-${name}-${positive}`
}

/** A slot whose class is its name and a value: `valueSlot('pl', '4')` is `pl-4`. */
export const valueSlot = (slot: string, value: string): Slot => ({
  slot,
  token: nameClass(slot, value),
  value,
})

/** Joins classes of single properties where one class says the same. */
const shorten = (slots: readonly Slot[]): string[] => {
  const left = new Map<string, Slot>()
  for (const slot of slots) left.set(slot.slot, slot)
  for (const [whole, first, others] of SHORT) {
    const value = left.get(first)?.value
    if (value === undefined || !others.every((part) => left.get(part)?.value === value)) continue
    left.set(first, { slot: first, token: nameClass(whole, value) })
    for (const part of others) left.delete(part)
  }
  return Array.from(left.values(), (slot) => slot.token)
}

/** What browsers give an element that is shown on demand; `fixed` is said all the same, to be read. */
const POPOVER: Readonly<Record<string, string>> = {
  'bg-color': 'bg-[canvas]',
  h: 'h-fit',
  overflow: 'overflow-auto',
  position: '',
}

/** The classes of an element that looks the same at every width. */
export const plainClasses = (slots: readonly Slot[], isPopover = false): string[] =>
  shorten(
    slots.filter(({ slot, token }) => {
      const initial = (isPopover ? POPOVER[slot] : undefined) ?? initialOf(slot)
      return token !== '' && token !== initial
    }),
  )

/** The theme's own names for widths of the window, in px (its unit is rem, of 16 px). */
const NAMED: Readonly<Record<number, string>> = {
  640: 'sm',
  768: 'md',
  1024: 'lg',
  1280: 'xl',
  1536: '2xl',
}

/** What stands before a class that holds from a width on: 768 → `md`, 900 → `min-[56.25rem]`. */
export const variantOf = (px: number): string => NAMED[px] ?? `min-[${px / 16}rem]`

/** The classes that make one look of another, where both are of the same kind. */
export const plainDifference = (from: readonly Slot[], to: readonly Slot[]): string[] => {
  const before = new Map(from.map(({ slot, token }) => [slot, token]))
  const changed = to.filter(
    ({ slot, token }) => token !== '' && token !== (before.get(slot) ?? initialOf(slot)),
  )
  return shorten(changed)
}

/**
 * The classes of an element whose look differs by width, the narrowest first: each look says only what is
 * different from the one before it. `looks` holds undefined where the element is not shown.
 */
export const steppedClasses = (
  looks: readonly { readonly fromPx: number; readonly slots: readonly Slot[] | undefined }[],
  isPopover = false,
): string[] => {
  const state = new Map<string, string>()
  const classes: string[] = []
  let isFirst = true
  let isHidden = false
  for (const { fromPx, slots } of looks) {
    const prefix = fromPx === 0 ? '' : `${variantOf(fromPx)}:`
    if (!slots) {
      if (!isHidden) classes.push(`${prefix}hidden`)
      isHidden = true
      continue
    }
    if (isFirst) {
      // What is not shown yet may have its look from the start: nobody sees it.
      const display = slots.find((s) => s.slot === 'display')
      const own = plainClasses(isHidden ? slots.filter((s) => s !== display) : slots, isPopover)
      classes.push(...own)
      if (isHidden) classes.push(`${prefix}${display?.token || 'block'}`)
      for (const { slot, token } of slots) state.set(slot, token)
    } else {
      const changed = slots.filter(({ slot, token }) => {
        const before = state.get(slot) ?? initialOf(slot)
        return slot === 'display' && isHidden ? true : token !== before
      })
      for (const { slot, token, resets } of changed) {
        state.set(slot, token)
        for (const other of resets ?? []) state.delete(other)
      }
      const written = changed.filter(({ slot, token }) => slot === 'display' || token !== '')
      classes.push(...shorten(written).map((token) => `${prefix}${token || 'block'}`))
    }
    isFirst = false
    isHidden = false
  }
  return classes
}
