import { arityOf, Z, type Path } from './parse.js'

/** `.001` to `.999` without zeros at the end; whole numbers have none. */
const FRACTIONS = Array.from({ length: 1000 }, (_, i) =>
  i === 0 ? '' : `.${String(i).padStart(3, '0').replace(/0+$/, '')}`,
)

/** Three decimals: a thousandth of a px. Put together from whole numbers, which is many times faster. */
const format = (value: number): string => {
  const scaled = Math.round(value * 1000)
  const size = scaled < 0 ? -scaled : scaled
  const fraction = size % 1000
  const text = (size - fraction) / 1000 + FRACTIONS[fraction]!
  return scaled < 0 ? `-${text}` : text
}

/** Path data as text, moved by `dx` and `dy`: `M0 0H20V10z`. */
export const printPath = ({ codes, values }: Path, dx = 0, dy = 0): string => {
  let text = ''
  let at = 0
  for (const code of codes) {
    if (code === Z) {
      text += 'z'
      continue
    }
    text += String.fromCharCode(code)
    const arity = arityOf(code)
    for (let i = 0; i < arity; i++) {
      // Along which axis a number lies: of an arc only the end is a place.
      const shift =
        arity === 7 ? (i === 5 ? dx : i === 6 ? dy : 0) : code === 86 || i % 2 === 1 ? dy : dx
      if (i > 0) text += ' '
      text += format(values[at + i]! + shift)
    }
    at += arity
  }
  return text
}
