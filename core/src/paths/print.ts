import { arityOf, V, Z, type Path } from './parse.js'

const [ZERO, MINUS, POINT, SPACE, LOWER_Z] = [48, 45, 46, 32, 122] as const

// Digits of the largest number written, its sign, point, three decimals and a space.
const MOST_BYTES_PER_NUMBER = 14
const LARGEST = 1e7

/** Writes numbers and letters as bytes: joining millions of short strings would make as many objects. */
class Writer {
  private at = 0
  private readonly bytes: Uint8Array

  constructor(size: number) {
    this.bytes = new Uint8Array(size)
  }

  byte(code: number): void {
    this.bytes[this.at++] = code
  }

  /** A number with at most three decimals, a thousandth of a px. */
  number(value: number): void {
    let scaled = Math.round(value * 1000)
    if (scaled < 0) {
      this.byte(MINUS)
      scaled = -scaled
    }
    let fraction = scaled % 1000
    this.digits((scaled - fraction) / 1000)
    if (fraction === 0) return
    this.byte(POINT)
    let unit = 100
    while (fraction > 0) {
      const digit = (fraction / unit) | 0
      this.byte(ZERO + digit)
      fraction -= digit * unit
      unit /= 10
    }
  }

  private digits(whole: number): void {
    let unit = 1
    while (unit * 10 <= whole) unit *= 10
    for (let rest = whole; unit >= 1; unit /= 10) {
      const digit = (rest / unit) | 0
      this.byte(ZERO + digit)
      rest -= digit * unit
    }
  }

  text(decoder: TextDecoder): string {
    return decoder.decode(this.bytes.subarray(0, this.at))
  }
}

/** What a number of a command is moved by: along which axis it lies, if it is a place at all. */
const shiftOf = (code: number, arity: number, i: number, dx: number, dy: number): number => {
  if (arity === 7) return i === 5 ? dx : i === 6 ? dy : 0
  return code === V || i % 2 === 1 ? dy : dx
}

/** Path data as text, moved by `dx` and `dy`: `M0 0H20V10z`. Places lie within ten thousand screens. */
export const printPath = ({ codes, values }: Path, dx = 0, dy = 0): string => {
  const writer = new Writer(values.length * MOST_BYTES_PER_NUMBER + codes.length + 1)
  let at = 0
  for (const code of codes) {
    if (code === Z) {
      writer.byte(LOWER_Z)
      continue
    }
    writer.byte(code)
    const arity = arityOf(code)
    for (let i = 0; i < arity; i++) {
      if (i > 0) writer.byte(SPACE)
      const value = values[at + i]! + shiftOf(code, arity, i, dx, dy)
      writer.number(Math.min(LARGEST, Math.max(-LARGEST, value)))
    }
    at += arity
  }
  return writer.text(new TextDecoder('latin1'))
}
