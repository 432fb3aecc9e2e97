const PAINT = /\b(fill|stroke)="(#[0-9a-f]{6})"/g

/**
 * A drawing in one colour with that colour left to whoever shows it (`currentColor`); undefined when it has
 * several, a gradient or a picture. Takes what `drawLayer` gives.
 */
export const withCurrentColor = (svg: string): string | undefined => {
  if (/url\(#|<image |<foreignObject /.test(svg)) return undefined
  const colors = new Set([...svg.matchAll(PAINT)].map((match) => match[2]))
  return colors.size === 1 ? svg.replace(PAINT, '$1="currentColor"') : undefined
}
