const ESCAPES: Readonly<Record<string, string>> = {
  '&': '&amp;',
  '<': '&lt;',
  '>': '&gt;',
  '"': '&quot;',
  "'": '&#39;',
}

// Characters XML 1.0 does not allow, not even escaped.
const FORBIDDEN =
  /[\u0000-\u0008\u000b\u000c\u000e-\u001f\ufffe\uffff]|[\ud800-\udbff](?![\udc00-\udfff])|(?<![\ud800-\udbff])[\udc00-\udfff]/g

const NEEDS_CARE = /[&<>"'\u0000-\u0008\u000b\u000c\u000e-\u001f\ud800-\udfff\ufffe\uffff]/

/** Text made safe as XML content or attribute value. */
export const escapeXml = (text: string): string =>
  // Nearly all values are numbers, colours and path data, with nothing to escape.
  NEEDS_CARE.test(text)
    ? text.replace(FORBIDDEN, '').replace(/[&<>"']/g, (character) => ESCAPES[character]!)
    : text

/** A number as SVG writes it: at most three decimals, no `-0`. */
export const formatNumber = (value: number): string => String(Math.round(value * 1000) / 1000 || 0)

export type Attributes = Readonly<Record<string, string | number | undefined>>

/** `element('rect', { x: 1 })` → `<rect x="1"/>`. Attributes without a value are left out. */
export const element = (name: string, attributes: Attributes, content = ''): string =>
  elementOf(name, [attributes], content)

/** As `element`, with attributes from several places; which must not name the same one twice. */
export const elementOf = (name: string, parts: readonly Attributes[], content = ''): string => {
  let open = `<${name}`
  for (const attributes of parts) {
    for (const key in attributes) {
      const value = attributes[key]
      if (value === undefined) continue
      open += ` ${key}="${typeof value === 'number' ? formatNumber(value) : escapeXml(value)}"`
    }
  }
  return content === '' ? `${open}/>` : `${open}>${content}</${name}>`
}
