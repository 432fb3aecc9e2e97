/** Values in the names of utilities, as CSS has them. */

/** Commas outside of quotes have a space after them. */
const listed = (value: string): string => value.replace(/,(?=\S)(?=(?:[^"]*"[^"]*")*[^"]*$)/g, ', ')

/** CSS wants room around what is calculated: `calc(100%-96px)` → `calc(100% - 96px)`. */
const spaced = (value: string): string =>
  /(calc|max|min|clamp)\(/.test(value)
    ? value.replace(/(?<=[\d%a-z)])([-+*/])(?=[\d(.])/g, ' $1 ').replace(/,(?=\S)/g, ', ')
    : value

/** `[13px_4px]` → `13px 4px` */
const arbitrary = (value: string): string | undefined => {
  const inside = /^\[([\s\S]*)\]$/.exec(value)?.[1]
  if (inside === undefined) return undefined
  return listed(spaced(inside.replace(/(?<!\\)_/g, ' ').replaceAll('\\_', '_')))
}

const rem = (steps: number): string => {
  const value = Math.round(steps * 2500) / 10000
  return value === 0 ? '0' : `${String(value)}rem`
}

/** Steps of four px, fractions, and names of the theme. `scope` is what variables of the theme begin with. */
export const length = (value: string, scope = 'spacing'): string => {
  const own = arbitrary(value)
  if (own !== undefined) return own
  if (/^\d+(\.\d+)?$/.test(value)) return rem(Number(value))
  const share = /^(\d+)\/(\d+)$/.exec(value)
  if (share) return `${String((Number(share[1]) / Number(share[2])) * 100)}%`
  const known: Readonly<Record<string, string>> = {
    auto: 'auto',
    dvh: '100dvh',
    fit: 'fit-content',
    full: '100%',
    none: 'none',
    px: '1px',
    screen: '100vh',
  }
  return known[value] ?? `var(--${scope}-${value})`
}

/** A length turned around. */
export const negative = (value: string): string => {
  if (value === '0' || value === 'auto') return value
  return value.startsWith('var(') || value.startsWith('calc(') || value.startsWith('max(')
    ? `calc(${value} * -1)`
    : `-${value}`
}

export { arbitrary }
