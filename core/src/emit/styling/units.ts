/** What lengths are written in; where nothing is said, steps of the scale in rem, and what was drawn beside them in px. */
export const UNITS = ['px', 'rem'] as const
export type Units = (typeof UNITS)[number]

/** The size of text on the root of a page that nobody has changed, in px. */
const ROOT_SIZE = 16
/** Shorter lengths are lines and edges, which do not grow with text. */
const LEAST_PX = 4

const decimals = (value: number): string => String(Math.round(value * 1e6) / 1e6)

const LENGTH = /(?<![A-Za-z0-9.#-])(-?(?:\d+\.?\d*|\.\d+))(px|rem)(?![A-Za-z0-9-])/g

const convert = (css: string, units: Units): string =>
  css.replace(LENGTH, (whole, written: string, unit: string) => {
    const value = Number(written)
    if (unit === units) return whole
    if (units === 'px') return `${decimals(value * ROOT_SIZE)}px`
    return Math.abs(value) < LEAST_PX ? whole : `${decimals(value / ROOT_SIZE)}rem`
  })

/** CSS with its lengths in one unit, `padding: 23px` → `padding: 1.4375rem`; what stands in quotes stays. */
export const inUnits = (css: string, units: Units | undefined): string =>
  units === undefined
    ? css
    : css.replace(/("[^"]*")|[^"]+/g, (part, quoted: string | undefined) =>
        quoted === undefined ? convert(part, units) : part,
      )

/** A utility with the lengths in its brackets in one unit: `w-[23px]` → `w-[1.4375rem]`. Widths of the window stay. */
export const utilityInUnits = (name: string, units: Units | undefined): string =>
  units === undefined
    ? name
    : name.replace(/(?<!\bmin-)\[[^\]]*\]/g, (brackets) => inUnits(brackets, units))
