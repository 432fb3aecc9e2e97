import { parseDart, raw, type Dart } from './dart.js'
import { dartName } from './names.js'
import type { SlotValue } from './tokens.js'

/** What the values of one component are written with. */
export type ValueContext = {
  /** Hears of the widths that something depends on. */
  readonly widths: Set<number>
  /** Where the code stands, the window is at least so wide, and less wide than that. */
  readonly atLeast?: number
  readonly below?: number
  /** The type of a choice the component is given: `ButtonTone`. */
  choiceType(prop: string): string
}

/** The name of what says whether the window is at least so wide. */
export const fromName = (px: number): string => `from${String(Math.round(px))}`

const isSameDart = (a: Dart, b: Dart): boolean => JSON.stringify(a) === JSON.stringify(b)

type Steps = Extract<SlotValue, { kind: 'stepped' }>['steps']
/** Windows of some widths, in px. */
export type Windows = Pick<ValueContext, 'atLeast' | 'below'>

/** The steps that windows of some widths come to. */
const stepsWithin = (steps: Steps, { atLeast = 0, below = Infinity }: Windows): Steps =>
  steps.filter(({ fromPx }, i, all) => {
    const next = all[i + 1]
    return fromPx < below && (!next || next.fromPx > atLeast)
  })

/** A value of a slot as Dart; `nothing` is what stands for none. */
export const dartOf = (
  value: SlotValue | undefined,
  context: ValueContext,
  nothing = 'null',
  write: (code: string) => Dart = parseDart,
): Dart | undefined => {
  if (!value) return undefined
  switch (value.kind) {
    case 'same':
      return write(value.code)
    case 'stepped': {
      const [first, ...others] = stepsWithin(value.steps, context)
      if (!first || (others.length === 0 && first.code === undefined)) return undefined
      const dartIn = (code: string | undefined): Dart =>
        code === undefined ? raw(nothing) : write(code)
      let last = dartIn(first.code)
      let whole = last
      for (const { fromPx, code } of others) {
        const then = dartIn(code)
        // A step that changes nothing needs no condition.
        if (isSameDart(then, last)) continue
        context.widths.add(fromPx)
        whole = { kind: 'choice', condition: fromName(fromPx), then, otherwise: whole }
        last = then
      }
      return whole
    }
    case 'chosen': {
      const type = context.choiceType(value.prop)
      const cases = value.options.map(
        ([option, own]) =>
          [
            `${type}.${dartName(option)}`,
            dartOf(own, context, nothing, write) ?? raw(nothing),
          ] as const,
      )
      const [one, other, ...more] = cases
      if (one && other && more.length === 0) {
        if (isSameDart(one[1], other[1])) return one[1]
        return {
          kind: 'choice',
          condition: `${dartName(value.prop)} == ${one[0]}`,
          then: one[1],
          otherwise: other[1],
        }
      }
      return { kind: 'switch', of: dartName(value.prop), cases }
    }
  }
}

/** A value with other codes; undefined where none is left. What depends on a choice is left as it is. */
export const mapCodes = (
  value: SlotValue,
  change: (code: string) => string | undefined,
): SlotValue | undefined => {
  if (value.kind === 'chosen') return value
  if (value.kind === 'same') {
    const code = change(value.code)
    return code === undefined ? undefined : { kind: 'same', code }
  }
  const steps = value.steps.map(({ fromPx, code }) => ({
    fromPx,
    code: code === undefined ? undefined : change(code),
  }))
  return steps.some(({ code }) => code !== undefined) ? { kind: 'stepped', steps } : undefined
}

/** The code of a value that is the same at all widths, whatever is chosen. */
export const sameOf = (value: SlotValue | undefined): string | undefined =>
  value?.kind === 'same' ? value.code : undefined

/** All codes of a value, at any width and whatever is chosen; undefined among them where it is nothing. */
export const codesOf = (value: SlotValue): readonly (string | undefined)[] => {
  switch (value.kind) {
    case 'same':
      return [value.code]
    case 'stepped':
      return value.steps.map(({ code }) => code)
    case 'chosen':
      return value.options.flatMap(([, own]) => (own ? codesOf(own) : [undefined]))
  }
}

/** Whether it is something at any width, whatever is chosen. */
export const isEver = (value: SlotValue | undefined, code?: string): boolean => {
  if (!value) return false
  return codesOf(value).some((one) => one !== undefined && (code === undefined || one === code))
}

/** Whether there are widths or choices at which it is nothing. */
export const isAtTimes = (value: SlotValue): boolean => codesOf(value).includes(undefined)

/** The slots of a node as they are in windows of some widths: what does not change there has no steps. */
export const saidWithin = (
  said: ReadonlyMap<string, SlotValue>,
  windows: Windows,
): ReadonlyMap<string, SlotValue> => {
  if (windows.atLeast === undefined && windows.below === undefined) return said
  const narrowed = [...said].flatMap(([slot, value]): [string, SlotValue][] => {
    if (value.kind !== 'stepped') return [[slot, value]]
    const steps = stepsWithin(value.steps, windows)
    const codes = new Set(steps.map(({ code }) => code))
    if (codes.size > 1) return [[slot, { ...value, steps }]]
    const [code] = codes
    return code === undefined ? [] : [[slot, { kind: 'same', code }]]
  })
  return new Map(narrowed)
}
