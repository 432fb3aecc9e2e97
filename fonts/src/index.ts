export { FontRefused, MAX_FONT_BYTES, readFont } from './read-font.js'
export { listShippedFonts, type ShippedFont } from './shipped.js'
