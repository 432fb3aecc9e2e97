import { concat, hardline, indent, join, type Doc } from '../shared/document.js'

/** Lines in braces, each one step further in; nothing between them where there are none. */
export const printBlock = (open: string, lines: readonly Doc[], close: string): Doc =>
  lines.length === 0
    ? `${open}${close}`
    : concat([open, indent(concat([hardline, join(hardline, lines)])), hardline, close])
