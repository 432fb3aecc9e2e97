/** `#rrggbbaa` → `#rrggbb` and its opacity from 0 to 1. */
export const splitColor = (
  color: string,
): { readonly color: string; readonly opacity: number } => ({
  color: color.slice(0, 7),
  opacity: color.length === 9 ? parseInt(color.slice(7), 16) / 255 : 1,
})

/** A colour made more transparent: its own opacity times `opacity`. */
export const withOpacity = (color: string, opacity: number): string => {
  if (opacity >= 1) return color
  const own = splitColor(color)
  const alpha = Math.round(own.opacity * opacity * 255)
  return own.color + alpha.toString(16).padStart(2, '0')
}
