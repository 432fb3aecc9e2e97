import type { Helper } from './component-code.js'
import type { DataList } from './lists.js'
import type { MarkupNode } from './markup.js'

/** Helpers that markup names itself. */
export const HELPERS = [
  'closeDialog',
  'countField',
  'enterInView',
  'enterMenu',
  'leaveMenu',
  'moveInMenu',
  'moveTab',
  'scrollToPart',
] as const satisfies readonly Helper[]

type Uses = { readonly tags: Set<string>; readonly codes: Set<string> }

const scan = (node: MarkupNode, uses: Uses): void => {
  switch (node.kind) {
    case 'element':
      uses.tags.add(node.tag)
      for (const one of node.attributes) if (one.kind === 'code') uses.codes.add(one.code)
      for (const child of node.children) scan(child, uses)
      return
    case 'loop':
      scan(node.template, uses)
      return
    case 'when':
      scan(node.content, uses)
      return
    case 'text':
    case 'expression':
  }
}

/** What some markup and the lists beside it refer to: tags, and code in attributes and in lists. */
export const findUses = (markup: MarkupNode, lists: readonly DataList[]): Uses => {
  const uses: Uses = { tags: new Set(), codes: new Set() }
  scan(markup, uses)
  for (const { fields, rows } of lists) {
    fields.forEach(({ kind }, i) => {
      if (kind === 'code') for (const { values } of rows) uses.codes.add(String(values[i]))
    })
  }
  return uses
}
