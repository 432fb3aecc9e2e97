import { createCounter, COLORS, WORDS } from './counter.js'

/**
 * A made-up SVG of about `count` layers and `bytes` bytes, as design programs write them: named groups of
 * cards with rectangles, texts of several lines, curves, gradients and shadows.
 */
export const generateSvg = (count: number, bytes: number): string => {
  const next = createCounter(count)
  const color = (): string => COLORS[next(COLORS.length)]!
  const phrase = (words: number): string =>
    Array.from({ length: words }, () => WORDS[next(WORDS.length)]).join(' ')
  // What the file needs beyond the layers themselves goes into curves, where real files have it too.
  const perCurve = Math.max(40, (bytes / count - 137) * 5)
  const curve = (): string => {
    const parts: string[] = [`M${next(24)} ${next(24)}`]
    for (let length = 0; length < perCurve;) {
      const n = (): string => `${next(24)}.${next(1000)}`
      const part = `C${n()} ${n()} ${n()} ${n()} ${n()} ${n()}`
      parts.push(part)
      length += part.length
    }
    return `${parts.join('')}Z`
  }
  const cards: string[] = []
  // A card is a group, a box, two texts and a curve.
  for (let i = 0; i * 5 < count; i++) {
    const [x, y] = [(i % 8) * 160, Math.floor(i / 8) * 120]
    cards.push(
      `<g id="Card ${i}" filter="url(#lift)" transform="translate(${x} ${y})">\n` +
        `<rect id="Surface_${i}" width="150" height="110" rx="12" fill="${i % 7 === 0 ? 'url(#sea)' : color()}" stroke="${color()}" stroke-opacity="0.4"/>\n` +
        `<text id="Title ${i}" fill="${color()}" xml:space="preserve" style="white-space: pre" font-family="Inter" font-size="14" font-weight="600" letter-spacing="-0.01em"><tspan x="12" y="26.5909">${phrase(3)}</tspan></text>\n` +
        `<text fill="${color()}" font-family="Inter" font-size="12"><tspan x="12" y="50">${phrase(4)} </tspan><tspan x="12" y="66">${phrase(4)}</tspan></text>\n` +
        `<path id="Curve" d="${curve()}" transform="translate(110 76)" fill="${color()}"/>\n</g>\n`,
    )
  }
  const height = Math.ceil(cards.length / 8) * 120
  return (
    `<svg width="1280" height="${height}" viewBox="0 0 1280 ${height}" fill="none" xmlns="http://www.w3.org/2000/svg">\n` +
    '<defs><linearGradient id="sea" x1="0" y1="0" x2="0" y2="1"><stop stop-color="#2c664b"/><stop offset="1" stop-color="#1f3038"/></linearGradient>' +
    '<filter id="lift" x="0" y="0" width="1280" height="200" filterUnits="userSpaceOnUse"><feFlood flood-opacity="0" result="BackgroundImageFix"/><feColorMatrix in="SourceAlpha" type="matrix" values="0 0 0 0 0 0 0 0 0 0 0 0 0 0 0 0 0 0 127 0" result="hardAlpha"/><feOffset dy="2"/><feGaussianBlur stdDeviation="3"/><feComposite in2="hardAlpha" operator="out"/><feColorMatrix type="matrix" values="0 0 0 0 0 0 0 0 0 0 0 0 0 0 0 0 0 0 0.2 0"/><feBlend in2="BackgroundImageFix" result="effect1"/><feBlend in="SourceGraphic" in2="effect1" result="shape"/></filter></defs>\n' +
    `${cards.join('')}</svg>\n`
  )
}
