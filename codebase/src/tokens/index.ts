import type { CodeToken } from '@unimorph/core'
import { generate, parse, walk } from 'css-tree'
import type { Reader } from '../readers.js'

const typeOf = (value: string): CodeToken['type'] => {
  if (/^(#[0-9a-f]{3,8}|(rgb|rgba|hsl|hsla|oklch|oklab|lab|lch|color|hwb)\(.*\))$/i.test(value))
    return 'color'
  return /^-?[\d.]+(px|rem|em)?$/.test(value) ? 'length' : 'other'
}

/** Custom properties of style sheets, those of Tailwind's theme among them. */
const readCssTokens = (path: string, text: string): readonly CodeToken[] => {
  const tokens: CodeToken[] = []
  const tree = parse(text, { parseCustomProperty: false, onParseError: () => undefined })
  walk(tree, {
    visit: 'Declaration',
    enter({ property, value }) {
      if (!property.startsWith('--')) return
      const said = (value.type === 'Raw' ? value.value : generate(value)).trim()
      if (said === '' || said === 'initial') return
      tokens.push({ name: property, type: typeOf(said), value: said, path })
    },
  })
  return tokens
}

/** Themes of style sheets. */
export const tokens: Reader = {
  reads: ({ path, text }) => /\.(css|scss)$/.test(path) && text.includes('--'),
  read: ({ path, text }) => ({ tokens: readCssTokens(path, text) }),
}
