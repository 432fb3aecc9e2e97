/**
 * Path data as absolute commands: `codes[i]` is the letter's character code (M L H V C S Q T A Z), its numbers
 * lie one after the other in `values`. Flat arrays, because files hold millions of these numbers.
 */
export type Path = { readonly codes: number[]; readonly values: number[] }

export const [M, L, H, V, C, S, Q, T, A, Z] = [...'MLHVCSQTAZ'].map((c) => c.charCodeAt(0)) as [
  number,
  number,
  number,
  number,
  number,
  number,
  number,
  number,
  number,
  number,
]

/** How many numbers belong to a command, by its code. */
export const arityOf = (code: number): number => {
  switch (code) {
    case M:
    case L:
    case T:
      return 2
    case H:
    case V:
      return 1
    case S:
    case Q:
      return 4
    case C:
      return 6
    case A:
      return 7
    default:
      return 0
  }
}

const POWERS = Array.from({ length: 16 }, (_, i) => 10 ** i)

const isSpace = (c: number): boolean => c === 32 || c === 44 || (c >= 9 && c <= 13)
const isDigit = (c: number): boolean => c >= 48 && c <= 57

/** Reads numbers and flags one after the other. */
class Scanner {
  at = 0
  constructor(private readonly text: string) {}

  skip(): void {
    while (this.at < this.text.length && isSpace(this.text.charCodeAt(this.at))) this.at++
  }

  get isDone(): boolean {
    return this.at >= this.text.length
  }

  peek(): number {
    return this.text.charCodeAt(this.at)
  }

  /** The next number; NaN when there is none. */
  number(): number {
    this.skip()
    const { text } = this
    const start = this.at
    let at = start
    let sign = 1
    let c = text.charCodeAt(at)
    if (c === 45 || c === 43) {
      if (c === 45) sign = -1
      c = text.charCodeAt(++at)
    }
    let mantissa = 0
    let digits = 0
    while (isDigit(c)) {
      mantissa = mantissa * 10 + c - 48
      digits++
      c = text.charCodeAt(++at)
    }
    let decimals = 0
    if (c === 46) {
      c = text.charCodeAt(++at)
      while (isDigit(c)) {
        mantissa = mantissa * 10 + c - 48
        digits++
        decimals++
        c = text.charCodeAt(++at)
      }
    }
    if (digits === 0) return Number.NaN
    const hasExponent = (c === 101 || c === 69) && /^[eE][-+]?\d/.test(text.slice(at, at + 3))
    this.at = at
    // Beyond 15 digits the sum above is inexact; such numbers are rare enough for the slow way.
    if (!hasExponent && digits <= 15) return (sign * mantissa) / POWERS[decimals]!
    if (hasExponent) this.at += /^[eE][-+]?\d+/.exec(text.slice(at))![0].length
    return Number(text.slice(start, this.at))
  }

  /** A flag of an arc: one digit, which need not be followed by anything. */
  flag(): number {
    this.skip()
    const c = this.peek()
    if (c !== 48 && c !== 49) return Number.NaN
    this.at++
    return c - 48
  }
}

/**
 * Reads SVG path data (SVG 2, 9.3) and makes every command absolute. Data that breaks off or has an error is
 * read up to it, as the standard asks; undefined when nothing can be drawn.
 */
export const parsePath = (d: string): Path | undefined => {
  const scanner = new Scanner(d)
  const codes: number[] = []
  const values: number[] = []
  let [x, y, startX, startY] = [0, 0, 0, 0]
  let letter = 0
  for (;;) {
    scanner.skip()
    if (scanner.isDone) break
    const c = scanner.peek()
    const isLetter = (c >= 65 && c <= 90) || (c >= 97 && c <= 122)
    if (isLetter) {
      scanner.at++
      letter = c
    } else if (letter === 0 || letter === 90 || letter === 122) break
    // More numbers after a move are lines.
    else if (letter === 77) letter = 76
    else if (letter === 109) letter = 108
    const isRelative = letter >= 97
    const code = isRelative ? letter - 32 : letter
    if (codes.length === 0 && code !== M) return undefined
    if (code === Z) {
      codes.push(Z)
      x = startX
      y = startY
      continue
    }
    const arity = arityOf(code)
    if (arity === 0) break
    const from = values.length
    let isWhole = true
    for (let i = 0; i < arity; i++) {
      const value = code === A && (i === 3 || i === 4) ? scanner.flag() : scanner.number()
      if (value !== value) {
        isWhole = false
        break
      }
      values.push(value)
    }
    if (!isWhole) {
      values.length = from
      break
    }
    if (isRelative) {
      if (code === H) values[from]! += x
      else if (code === V) values[from]! += y
      else if (code === A) {
        values[from + 5]! += x
        values[from + 6]! += y
      } else {
        for (let i = from; i < values.length; i += 2) {
          values[i]! += x
          values[i + 1]! += y
        }
      }
    }
    const last = values.length - 1
    if (code === H) x = values[last]!
    else if (code === V) y = values[last]!
    else {
      x = values[last - 1]!
      y = values[last]!
    }
    if (code === M) {
      startX = x
      startY = y
    }
    codes.push(code)
  }
  return codes.length > 0 ? { codes, values } : undefined
}
