import { notes } from '../../notes/catalogue.js'
import { mimeOfName, readMime } from '../assets.js'
import { encodeBase64 } from '../base64.js'
import type { SvgContext } from './context.js'

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
