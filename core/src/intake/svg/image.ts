import type { Asset } from '../../design/design.js'
import { roundBox, uniteBoxes, type Box } from '../../design/geometry.js'
import { notes } from '../../notes/catalogue.js'
import { mimeOfName, readMime } from '../../pictures/assets.js'
import { encodeBase64 } from '../../pictures/base64.js'
import type { SvgContext } from './context.js'
import type { XmlElement } from './xml.js'
import { transformPoint, translation, multiply, type Matrix } from './matrix.js'

const DATA_URI = /^data:([^;,]+)((?:;[^;,]+)*),/i
const BASE64_ONLY = /^[A-Za-z0-9+/]*={0,2}$/

/** `%3Csvg…` → its bytes, one character each. */
const decodePercent = (text: string): string =>
  text.replace(/%([0-9a-f]{2})/gi, (_, hex: string) => String.fromCharCode(parseInt(hex, 16)))

/** Stores the picture an `<image>` shows and returns its asset id; undefined, with a note, when it has none. */
export const readImageAsset = (
  context: SvgContext,
  layer: string,
  name: string,
  href: string | undefined,
): string | undefined => {
  const refuse = (reason: string): undefined => {
    context.notes.push(notes.imageRefused(context.file, layer, reason))
    return undefined
  }
  if (!href) return refuse('it has no address')
  const head = DATA_URI.exec(href)
  if (head) {
    const mime = readMime(head[1]!.toLowerCase())
    if (!mime) return refuse(`its kind is ${head[1]!.slice(0, 40)}`)
    const body = href.slice(head[0].length)
    const data = head[2]!.toLowerCase().includes(';base64')
      ? decodePercent(body).replace(/\s+/g, '')
      : encodeBase64(Uint8Array.from(decodePercent(body), (c) => c.charCodeAt(0) & 0xff))
    if (!BASE64_ONLY.test(data)) return refuse('its base64 data is broken')
    return context.assets.add({ name: name || 'picture', mime, data })
  }
  const file = href.split(/[?#]/)[0]!.split(/[\\/]/).at(-1) ?? ''
  const sibling = context.siblings.get(file)
  if (sibling) return context.assets.add(sibling)
  if (!mimeOfName(file) && !/^(https?:)?\/\//.test(href))
    return refuse(`"${href.slice(0, 60)}" is no picture`)
  context.notes.push(notes.imageMissing(context.file, layer, href))
  return undefined
}

/**
 * How a picture lies in its box: as `preserveAspectRatio` says, unless its box has the picture's own ratio
 * and is then stretched with the picture in it.
 */
export const fitOf = (
  element: XmlElement,
  own: Box,
  stretch: { readonly scaleX: number; readonly scaleY: number },
  natural: { readonly width?: number | undefined; readonly height?: number | undefined } = {},
): 'fill' | 'cover' | 'contain' => {
  const ratio = element.attributes['preserveAspectRatio'] ?? 'xMidYMid meet'
  const isStretched = Math.abs(stretch.scaleX / stretch.scaleY - 1) > 0.001
  const { width = own.width, height = own.height } = natural
  const isWhole = Math.abs((own.width * height) / (own.height * width) - 1) < 0.01
  if (ratio.includes('none') || (isStretched && isWhole)) return 'fill'
  return ratio.includes('slice') ? 'cover' : 'contain'
}

const ASPECTS = { fill: 'none', cover: 'xMidYMid slice', contain: 'xMidYMid meet' } as const

/** A mirrored or skewed picture as a drawing that shows it so, with the box it then takes. */
export const twistPicture = (
  picture: Asset,
  own: Box,
  fit: keyof typeof ASPECTS,
  matrix: Matrix,
): { readonly asset: Asset; readonly box: Box } => {
  const corners = [
    [own.x, own.y],
    [own.x + own.width, own.y],
    [own.x, own.y + own.height],
    [own.x + own.width, own.y + own.height],
  ].map(([x, y]) => ({ ...transformPoint(matrix, { x: x!, y: y! }), width: 0, height: 0 }))
  const box = roundBox(uniteBoxes(corners))
  const inner = multiply(translation(-box.x, -box.y), matrix).map((v) => Math.round(v * 1e5) / 1e5)
  const svg =
    `<svg xmlns="http://www.w3.org/2000/svg" width="${box.width}" height="${box.height}" viewBox="0 0 ${box.width} ${box.height}">` +
    `<image href="data:${picture.mime};base64,${picture.data}" x="${own.x}" y="${own.y}" width="${own.width}" height="${own.height}" ` +
    `preserveAspectRatio="${ASPECTS[fit]}" transform="matrix(${inner.join(' ')})"/></svg>`
  const bytes = Uint8Array.from(svg, (c) => c.charCodeAt(0))
  const name = picture.name.replace(/\.[^.]*$/, '')
  return { asset: { name, mime: 'image/svg+xml', data: encodeBase64(bytes) }, box }
}
