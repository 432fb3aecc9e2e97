import { formatHex, formatHex8, parse } from 'culori'

const HEX_6 = /^#[0-9a-f]{6}$/

/** A CSS colour as `#rrggbb` or `#rrggbbaa`; undefined when it is none. */
export const parseColor = (text: string, current = '#000000'): string | undefined => {
  const value = text.trim().toLowerCase()
  if (HEX_6.test(value)) return value
  if (value === 'currentcolor') return current
  const color = parse(value)
  if (!color) return undefined
  return (color.alpha ?? 1) < 1 ? formatHex8(color) : formatHex(color)
}

/** `0.5` or `50%` → 0.5; 1 when there is nothing or nonsense. */
export const parseOpacity = (text: string | undefined): number => {
  if (text === undefined) return 1
  const value = text.trim().endsWith('%') ? Number.parseFloat(text) / 100 : Number.parseFloat(text)
  return Number.isFinite(value) ? Math.min(1, Math.max(0, value)) : 1
}
