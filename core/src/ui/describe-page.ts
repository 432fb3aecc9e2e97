import type { UiNode, UiText } from './nodes.js'

const LEAST_CHARACTERS = 40
const MOST_CHARACTERS = 160

/** The texts of a tree, in reading order. */
export const textsIn = (node: UiNode): UiText[] =>
  node.type === 'text' ? [node] : 'children' in node ? node.children.flatMap(textsIn) : []

export const wordsOf = (text: UiText): string =>
  text.runs
    .map((run) => (run.kind === 'text' ? run.text : ' '))
    .join('')
    .replace(/\s+/g, ' ')
    .trim()

/** What a page is about, for search engines: its first paragraph, cut at a word. */
export const describePage = (root: UiNode): string | undefined => {
  const words = textsIn(root)
    .filter((text) => text.level === undefined && !text.link)
    .map(wordsOf)
    .find((said) => said.length >= LEAST_CHARACTERS)
  if (words === undefined || words.length <= MOST_CHARACTERS) return words
  return `${words.slice(0, words.lastIndexOf(' ', MOST_CHARACTERS - 1))} …`
}
