import { concat, group, ifBreak, indent, join, line, type Doc } from '../shared/document.js'

/**
 * `import Card, { type CardProps } from "./Card";`, with a name a line where it is too long for one. A single name in braces
 * stays on its line, as Prettier has it.
 */
export const printImportLine = (names: string, from: string): Doc => {
  const [, before = '', inside] = /^(.*?)\{ (.*) \}$/.exec(names) ?? []
  const all = inside?.split(', ') ?? []
  if (all.length === 0 || (all.length === 1 && before === ''))
    return `import ${names} from "${from}";`
  const list = indent(concat([line, join(concat([',', line]), all)]))
  return group(concat([`import ${before}{`, list, ifBreak(',', ''), line, `} from "${from}";`]))
}
