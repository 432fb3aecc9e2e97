/** Numbers that look random and are the same for a seed (mulberry32). */
export class Dice {
  constructor(private state: number) {}

  /** From 0 up to 1. */
  next(): number {
    this.state = (this.state + 0x6d2b79f5) | 0
    let t = Math.imul(this.state ^ (this.state >>> 15), 1 | this.state)
    t = (t + Math.imul(t ^ (t >>> 7), 61 | t)) ^ t
    return ((t ^ (t >>> 14)) >>> 0) / 4_294_967_296
  }

  /** A whole number, both ends included. */
  between(low: number, high: number): number {
    return low + Math.floor(this.next() * (high - low + 1))
  }

  pick<T>(all: readonly T[]): T {
    return all[this.between(0, all.length - 1)]!
  }

  /** Some of a list, in its order. */
  some<T>(all: readonly T[], count: number): T[] {
    const left = all.map((one) => ({ one, at: this.next() })).sort((a, b) => a.at - b.at)
    const taken = new Set(left.slice(0, count).map(({ one }) => one))
    return all.filter((one) => taken.has(one))
  }

  isLucky(chance: number): boolean {
    return this.next() < chance
  }
}

type Words = {
  readonly size?: number
  readonly weight?: number
  readonly fill?: string
  readonly anchor?: 'start' | 'middle' | 'end'
}

type Look = { readonly radius?: number; readonly stroke?: string }

const escapeText = (words: string): string =>
  words.replaceAll('&', '&amp;').replaceAll('<', '&lt;').replaceAll('>', '&gt;')

/** A flat drawing of a page, as an export without layers has it: shapes and lines of text in the order they are painted. */
export class Sheet {
  private readonly parts: string[] = []

  constructor(
    readonly width: number,
    readonly dice: Dice,
    readonly family: string,
    /** How far from their places careless hands put things, in px. */
    private readonly careless: number,
  ) {}

  private off(value: number): number {
    if (this.careless === 0) return value
    const moved = value + (this.dice.next() * 2 - 1) * this.careless
    return Math.round(moved * 100) / 100
  }

  box(
    x: number,
    y: number,
    width: number,
    height: number,
    fill: string,
    { radius, stroke }: Look = {},
  ): void {
    const round = radius === undefined ? '' : ` rx="${radius}"`
    const line = stroke === undefined ? '' : ` stroke="${stroke}"`
    this.parts.push(
      `<rect x="${this.off(x)}" y="${this.off(y)}" width="${width}" height="${height}" fill="${fill}"${round}${line}/>`,
    )
  }

  dot(x: number, y: number, radius: number, fill: string, stroke?: string): void {
    const line = stroke === undefined ? '' : ` stroke="${stroke}"`
    this.parts.push(
      `<circle cx="${this.off(x)}" cy="${this.off(y)}" r="${radius}" fill="${fill}"${line}/>`,
    )
  }

  line(x1: number, x2: number, y: number, color: string): void {
    this.parts.push(`<line x1="${x1}" x2="${x2}" y1="${y}" y2="${y}" stroke="${color}"/>`)
  }

  path(d: string, color: string, isFilled = false): void {
    const paint = isFilled
      ? `fill="${color}"`
      : `fill="none" stroke="${color}" stroke-width="2" stroke-linecap="round"`
    this.parts.push(`<path d="${d}" ${paint}/>`)
  }

  /** Lines of text; `y` is the base line of the first. */
  words(
    x: number,
    y: number,
    lines: string | readonly string[],
    { size = 16, weight = 400, fill = '#1d2b2a', anchor = 'start' }: Words = {},
  ): void {
    const step = Math.round(size * 1.5)
    const spans = (typeof lines === 'string' ? [lines] : lines).map(
      (words, i) =>
        `<tspan x="${this.off(x)}" y="${this.off(y + i * step)}">${escapeText(words)}</tspan>`,
    )
    this.parts.push(
      `<text font-family="${this.family}" font-size="${size}" font-weight="${weight}" fill="${fill}" text-anchor="${anchor}">${spans.join('')}</text>`,
    )
  }

  /** Puts another drawing over this one. */
  with(other: Sheet): this {
    this.parts.push(...other.parts)
    return this
  }

  svg(height: number, ground: string): string {
    return [
      `<svg xmlns="http://www.w3.org/2000/svg" width="${this.width}" height="${height}" viewBox="0 0 ${this.width} ${height}">`,
      `<rect width="${this.width}" height="${height}" fill="${ground}"/>`,
      ...this.parts,
      '</svg>\n',
    ].join('\n')
  }
}
