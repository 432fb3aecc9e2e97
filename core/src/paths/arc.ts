/** An arc as cubic curves: for each, two handles and an end, six numbers one after the other. */
export const arcToCubics = (
  fromX: number,
  fromY: number,
  radiusX: number,
  radiusY: number,
  rotationDeg: number,
  isLarge: boolean,
  isSweeping: boolean,
  toX: number,
  toY: number,
): number[] => {
  let [rx, ry] = [Math.abs(radiusX), Math.abs(radiusY)]
  if (rx === 0 || ry === 0) return [fromX, fromY, toX, toY, toX, toY]
  const phi = (rotationDeg * Math.PI) / 180
  const [cos, sin] = [Math.cos(phi), Math.sin(phi)]
  // From end points to the centre (SVG 2, B.2.4).
  const [dx, dy] = [(fromX - toX) / 2, (fromY - toY) / 2]
  const [px, py] = [cos * dx + sin * dy, -sin * dx + cos * dy]
  if (px === 0 && py === 0) return []
  const tooSmall = (px / rx) ** 2 + (py / ry) ** 2
  if (tooSmall > 1) {
    rx *= Math.sqrt(tooSmall)
    ry *= Math.sqrt(tooSmall)
  }
  const below = (rx * py) ** 2 + (ry * px) ** 2
  const root = Math.sqrt(Math.max(0, ((rx * ry) ** 2 - below) / below))
  const sign = isLarge === isSweeping ? -1 : 1
  const [cx, cy] = [(sign * root * rx * py) / ry, (-sign * root * ry * px) / rx]
  const angle = (x: number, y: number): number => Math.atan2(y / ry, x / rx)
  const start = angle(px - cx, py - cy)
  let sweep = angle(-px - cx, -py - cy) - start
  if (isSweeping && sweep < 0) sweep += 2 * Math.PI
  if (!isSweeping && sweep > 0) sweep -= 2 * Math.PI
  // An eighth of a circle is off by four millionths of its radius; a quarter by sixty times as much.
  const count = Math.max(1, Math.ceil(Math.abs(sweep) / (Math.PI / 4) - 1e-9))
  const step = sweep / count
  const handle = (4 / 3) * Math.tan(step / 4)
  const [middleX, middleY] = [(fromX + toX) / 2, (fromY + toY) / 2]
  const cubics: number[] = []
  const add = (x: number, y: number): void => {
    const [ex, ey] = [x * rx + cx, y * ry + cy]
    cubics.push(cos * ex - sin * ey + middleX, sin * ex + cos * ey + middleY)
  }
  for (let i = 0; i < count; i++) {
    const [a, b] = [start + i * step, start + (i + 1) * step]
    add(Math.cos(a) - handle * Math.sin(a), Math.sin(a) + handle * Math.cos(a))
    add(Math.cos(b) + handle * Math.sin(b), Math.sin(b) - handle * Math.cos(b))
    add(Math.cos(b), Math.sin(b))
  }
  // The last end is the stated one, not what rounding made of it.
  cubics[cubics.length - 2] = toX
  cubics[cubics.length - 1] = toY
  return cubics
}
