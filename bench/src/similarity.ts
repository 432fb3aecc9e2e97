import type { LayoutNode } from '@unimorph/core'

type Tree = { readonly label: string; readonly children: readonly Tree[] }

const toTree = (node: LayoutNode): Tree => ({
  label:
    node.children.length > 0 ? node.arrangement.kind : node.isGraphic ? 'graphic' : node.layer.type,
  children: node.children.map(toTree),
})

/** A tree in the form the algorithm works on: nodes in post-order, with the leftmost leaf under each. */
const number = (tree: Tree): { labels: string[]; leftmost: number[]; keyroots: number[] } => {
  const labels: string[] = []
  const leftmost: number[] = []
  const visit = (node: Tree): number => {
    const first = node.children.map(visit)[0]
    const own = labels.length
    labels.push(node.label)
    leftmost.push(first ?? own)
    return leftmost[own]!
  }
  visit(tree)
  const last = new Map<number, number>()
  leftmost.forEach((left, i) => last.set(left, i))
  return { labels, leftmost, keyroots: [...last.values()].sort((a, b) => a - b) }
}

/** Nodes to insert, remove or relabel to make one tree of the other (Zhang and Shasha, 1989). */
const distance = (one: Tree, other: Tree): number => {
  const [a, b] = [number(one), number(other)]
  const trees = a.labels.map(() => new Array<number>(b.labels.length).fill(0))
  for (const i of a.keyroots) {
    for (const j of b.keyroots) {
      const [left, top] = [a.leftmost[i]!, b.leftmost[j]!]
      const rows = i - left + 2
      const columns = j - top + 2
      const forest = Array.from({ length: rows }, () => new Array<number>(columns).fill(0))
      for (let x = 1; x < rows; x++) forest[x]![0] = x
      for (let y = 1; y < columns; y++) forest[0]![y] = y
      for (let x = 1; x < rows; x++) {
        for (let y = 1; y < columns; y++) {
          const [m, n] = [left + x - 1, top + y - 1]
          const edit = Math.min(forest[x - 1]![y]! + 1, forest[x]![y - 1]! + 1)
          if (a.leftmost[m] === left && b.leftmost[n] === top) {
            const same = a.labels[m] === b.labels[n] ? 0 : 1
            forest[x]![y] = Math.min(edit, forest[x - 1]![y - 1]! + same)
            trees[m]![n] = forest[x]![y]!
          } else {
            const before = forest[a.leftmost[m]! - left]![b.leftmost[n]! - top]!
            forest[x]![y] = Math.min(edit, before + trees[m]![n]!)
          }
        }
      }
    }
  }
  return trees.at(-1)!.at(-1)!
}

const size = (tree: Tree): number => 1 + tree.children.reduce((sum, child) => sum + size(child), 0)

/** How alike two layouts are, from 0 to 1: the tree edit distance in shares of the larger one. */
export const similarity = (one: LayoutNode, other: LayoutNode): number => {
  const [a, b] = [toTree(one), toTree(other)]
  return 1 - distance(a, b) / Math.max(size(a), size(b))
}
