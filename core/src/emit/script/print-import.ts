import { concat, group, type Doc } from '../shared/document.js'
import { printBraces } from '../shared/print-braces.js'

/**
 * `import Card, { type CardProps } from "./Card";`, with a name a line where it is too long for one. A single name in braces
 * stays on its line, as Prettier has it.
 */
export const printImportLine = (names: string, from: string): Doc => {
  const [, before = '', inside] = /^(.*?)\{ (.*) \}$/.exec(names) ?? []
  const all = inside?.split(', ') ?? []
  if (all.length === 0 || (all.length === 1 && before === ''))
    return `import ${names} from "${from}";`
  return group(concat([`import ${before}`, printBraces(all), ` from "${from}";`]))
}
