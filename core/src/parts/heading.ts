import type { UiNode } from '../ui/nodes.js'

/** The words of a heading, if a node is one. */
export const headingIn = (node: UiNode): string | undefined => {
  if (node.type === 'text') {
    return node.level === undefined
      ? undefined
      : node.runs.map((run) => (run.kind === 'text' ? run.text : ' ')).join('')
  }
  // A heading with something beside it, as a row.
  return node.type === 'box' && node.children.length <= 3
    ? node.children.map(headingIn).find((words) => words !== undefined)
    : undefined
}
