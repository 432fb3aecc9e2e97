const ALPHABET = 'ABCDEFGHIJKLMNOPQRSTUVWXYZabcdefghijklmnopqrstuvwxyz0123456789+/'
const VALUES = new Map([...ALPHABET].map((character, value) => [character, value]))

/** Bytes → base64 (RFC 4648). Written out because `core` has neither `btoa` nor `Buffer`. */
export const encodeBase64 = (bytes: Uint8Array): string => {
  const parts: string[] = []
  let part = ''
  for (let i = 0; i < bytes.length; i += 3) {
    const group = (bytes[i]! << 16) | ((bytes[i + 1] ?? 0) << 8) | (bytes[i + 2] ?? 0)
    part += ALPHABET[group >> 18]! + ALPHABET[(group >> 12) & 63]!
    part += i + 1 < bytes.length ? ALPHABET[(group >> 6) & 63]! : '='
    part += i + 2 < bytes.length ? ALPHABET[group & 63]! : '='
    if (part.length > 8000) {
      parts.push(part)
      part = ''
    }
  }
  return parts.join('') + part
}

/** Base64 → bytes; characters outside the alphabet are ignored. */
export const decodeBase64 = (text: string): Uint8Array => {
  const bytes = new Uint8Array(Math.ceil((text.length * 3) / 4))
  let length = 0
  let buffer = 0
  let bits = 0
  for (const character of text) {
    const value = VALUES.get(character)
    if (value === undefined) continue
    buffer = ((buffer << 6) | value) & 0xffffff
    bits += 6
    if (bits >= 8) {
      bits -= 8
      bytes[length++] = (buffer >> bits) & 0xff
    }
  }
  return bytes.subarray(0, length)
}
