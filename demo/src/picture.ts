import { crc32, deflateSync } from 'node:zlib'

const chunk = (type: string, data: Buffer): Buffer => {
  const body = Buffer.concat([Buffer.from(type, 'latin1'), data])
  const length = Buffer.alloc(4)
  length.writeUInt32BE(data.length)
  const sum = Buffer.alloc(4)
  sum.writeUInt32BE(crc32(body))
  return Buffer.concat([length, body, sum])
}

type Color = readonly [number, number, number]

const mix = (a: Color, b: Color, share: number): Color => [
  a[0] + (b[0] - a[0]) * share,
  a[1] + (b[1] - a[1]) * share,
  a[2] + (b[2] - a[2]) * share,
]

const SKY_TOP: Color = [168, 200, 208]
const SKY_LOW: Color = [238, 226, 202]
const SEA_FAR: Color = [86, 138, 138]
const SEA_NEAR: Color = [142, 184, 172]
const WET_SAND: Color = [190, 166, 132]
const DRY_SAND: Color = [232, 214, 180]

/** A made-up shore: sky, sea with a curved edge, wet and dry sand. */
const colorAt = (x: number, y: number): Color => {
  if (y < 0.42) return mix(SKY_TOP, SKY_LOW, y / 0.42)
  const edge = 0.66 + 0.06 * Math.sin(x * 5.2) + 0.02 * Math.sin(x * 17)
  if (y < edge) {
    const ripple = Math.sin(y * 160 + Math.sin(x * 9) * 2) > 0.92 ? 0.25 : 0
    return mix(mix(SEA_FAR, SEA_NEAR, (y - 0.42) / (edge - 0.42)), [255, 255, 255], ripple)
  }
  if (y < edge + 0.015) return [246, 244, 236]
  return mix(WET_SAND, DRY_SAND, Math.min(1, (y - edge) / 0.2))
}

/** Draws the picture of the demo as a PNG (true colour, 8 bits). */
export const drawShorePicture = (width: number, height: number): Buffer => {
  const rows = Buffer.alloc((width * 3 + 1) * height)
  let at = 0
  for (let y = 0; y < height; y++) {
    rows[at++] = 0
    for (let x = 0; x < width; x++) {
      for (const value of colorAt(x / width, y / height)) rows[at++] = Math.round(value)
    }
  }
  const head = Buffer.alloc(13)
  head.writeUInt32BE(width, 0)
  head.writeUInt32BE(height, 4)
  head.set([8, 2, 0, 0, 0], 8)
  return Buffer.concat([
    Buffer.from([0x89, 0x50, 0x4e, 0x47, 0x0d, 0x0a, 0x1a, 0x0a]),
    chunk('IHDR', head),
    chunk('IDAT', deflateSync(rows, { level: 9 })),
    chunk('IEND', Buffer.alloc(0)),
  ])
}
