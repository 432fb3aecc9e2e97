import type { CodeToken } from '@unimorph/core'
import type { Node } from 'web-tree-sitter'

const namedOf = (node: Node): Node[] => node.namedChildren.filter((child) => child !== null)
const first = (node: Node, type: string): Node | undefined =>
  namedOf(node).find((child) => child.type === type)

/** `Color(0xff2c664b)` → `#2c664bff`, as style sheets write it. */
const toToken = (name: string, value: string, path: string): readonly CodeToken[] => {
  const argb = /^(?:const\s+)?Color\(\s*0x([0-9a-fA-F]{8})\s*\)$/.exec(value)?.[1]
  if (argb !== undefined) {
    const written = `#${argb.slice(2)}${argb.slice(0, 2)}`.toLowerCase()
    return [{ name, type: 'color', value: written, path }]
  }
  return /^\d+(\.\d+)?$/.test(value) ? [{ name, type: 'length', value, path }] : []
}

/** Colours and lengths that a file of Dart has as constants of its classes: `AppColors.brand`. */
export const readDartTokens = (path: string, root: Node): readonly CodeToken[] =>
  namedOf(root).flatMap((node) => {
    const home = node.type === 'class_definition' ? first(node, 'identifier')?.text : undefined
    const body = first(node, 'class_body')
    if (home === undefined || !body) return []
    return namedOf(body).flatMap((declaration) => {
      const list = first(declaration, 'static_final_declaration_list')
      return (list ? namedOf(list) : []).flatMap((one) => {
        const name = first(one, 'identifier')?.text
        const [, value] = /=\s*([\s\S]+)$/.exec(one.text) ?? []
        return name === undefined || value === undefined
          ? []
          : toToken(`${home}.${name}`, value.trim(), path)
      })
    })
  })
