import type { SlotValue } from './tokens.js'
import { fromName, type ValueContext, type Windows } from './values-of.js'

/** `!isOpen` → `isOpen`, `a != b` → `a == b` */
export const negate = (code: string): string => {
  if (code.startsWith('!')) return code.slice(1)
  return code.includes(' != ') ? code.replace(' != ', ' == ') : `!(${code})`
}

/** The condition under which something is so, by the width of the window; undefined where it always is. */
export const conditionOf = (
  value: SlotValue,
  context: ValueContext,
  isSo: (code: string | undefined) => boolean,
): string | undefined => {
  if (value.kind !== 'stepped') return undefined
  const steps = value.steps.map(({ fromPx, code }) => ({ fromPx, is: isSo(code) }))
  const known = context.atLeast ?? 0
  const parts = steps.flatMap(({ fromPx, is }, i) => {
    if (!is) return []
    const next = steps.slice(i + 1).find((step) => !step.is)
    // What was so one step before is said already.
    if (steps[i - 1]?.is) return []
    if (fromPx > known) context.widths.add(fromPx)
    if (next) context.widths.add(next.fromPx)
    const bounds = [
      ...(fromPx > known ? [fromName(fromPx)] : []),
      ...(next ? [`!${fromName(next.fromPx)}`] : []),
    ]
    return [bounds]
  })
  if (parts.some((bounds) => bounds.length === 0)) return undefined
  const isSeveral = parts.length > 1
  return parts
    .map((bounds) =>
      isSeveral && bounds.length > 1 ? `(${bounds.join(' && ')})` : bounds.join(' && '),
    )
    .join(' || ')
}

/** The condition that the window has one of some widths. */
export const windowsCondition = (windows: Required<Windows>, context: ValueContext): string => {
  const { atLeast = 0, below = Infinity } = context
  const isFrom = windows.atLeast > atLeast
  const isTo = windows.below < below
  if (isFrom) context.widths.add(windows.atLeast)
  if (isTo) context.widths.add(windows.below)
  const bounds = [
    ...(isFrom ? [fromName(windows.atLeast)] : []),
    ...(isTo ? [`!${fromName(windows.below)}`] : []),
  ]
  return bounds.join(' && ')
}

/** What is known of the window where something is shown. */
export const knownFrom = (condition: string): Pick<ValueContext, 'atLeast' | 'below'> => {
  const [, not, px] = /^(!?)from(\d+)$/.exec(condition) ?? []
  if (px === undefined) return {}
  return not === '!' ? { below: Number(px) } : { atLeast: Number(px) }
}
