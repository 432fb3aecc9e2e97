import type { UiProject } from '../../ui/index.js'

/** Text that cannot become markup in a Markdown file. */
const plain = (text: string): string => text.replace(/[^\p{L}\p{N} .,-]/gu, '').trim()

/** The part of a delivered README about fonts that did not come along; empty when all did. */
export const fontReadme = ({ missingFonts }: UiProject): string => {
  if (missingFonts.length === 0) return ''
  const lines = missingFonts.map(
    ({ family, fallback }) => `- ${plain(family)}: until you add it, \`${fallback}\` stands in\n`,
  )
  return `\n## Fonts that are not included\n\n${lines.join('')}`
}
