import type { SlotValue } from './tokens.js'
import { fromName, type ValueContext, type Windows } from './values-of.js'

/** `!isOpen` → `isOpen`, `a != b` → `a == b` */
export const negate = (code: string): string => {
  if (code.startsWith('!')) return code.slice(1)
  return code.includes(' != ') ? code.replace(' != ', ' == ') : `!(${code})`
}

/** What holds in windows from one width on and below another, in px, beyond what is known of them. */
const boundsOf = (
  from: number,
  to: number | undefined,
  context: ValueContext,
): readonly string[] => {
  const isFrom = from > (context.atLeast ?? 0)
  if (isFrom) context.widths.add(from)
  if (to !== undefined) context.widths.add(to)
  return [...(isFrom ? [fromName(from)] : []), ...(to === undefined ? [] : [`!${fromName(to)}`])]
}

/** The condition under which something is so, by the width of the window; undefined where it always is. */
export const conditionOf = (
  value: SlotValue,
  context: ValueContext,
  isSo: (code: string | undefined) => boolean,
): string | undefined => {
  if (value.kind !== 'stepped') return undefined
  const steps = value.steps.map(({ fromPx, code }) => ({ fromPx, is: isSo(code) }))
  const parts = steps.flatMap(({ fromPx, is }, i) => {
    if (!is) return []
    const next = steps.slice(i + 1).find((step) => !step.is)
    // The step before has written these bounds.
    if (steps[i - 1]?.is) return []
    return [boundsOf(fromPx, next?.fromPx, context)]
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
  const isCut = windows.below < (context.below ?? Infinity)
  return boundsOf(windows.atLeast, isCut ? windows.below : undefined, context).join(' && ')
}

/** What a condition tells of the width of the window. */
export const knownFrom = (condition: string): Pick<ValueContext, 'atLeast' | 'below'> => {
  const [, not, px] = /^(!?)from(\d+)$/.exec(condition) ?? []
  if (px === undefined) return {}
  return not === '!' ? { below: Number(px) } : { atLeast: Number(px) }
}
