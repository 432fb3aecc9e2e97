import type { UiNode, UiProject } from '@unimorph/core'
import type { FlowRow, FormRow } from './protocol'

const walk = (node: UiNode, visit: (node: UiNode) => void): void => {
  visit(node)
  if ('children' in node) for (const child of node.children) walk(child, visit)
}

const rootsIn = ({ pages }: UiProject): readonly UiNode[] => {
  const panels = new Map(pages.flatMap((page) => (page.panels ?? []).map((p) => [p.id, p.root])))
  return [...pages.map(({ root }) => root), ...panels.values()]
}

/** The forms of a project, each once. */
export const listForms = (project: UiProject): readonly FormRow[] => {
  const forms = new Map<string, FormRow>()
  for (const root of rootsIn(project)) {
    walk(root, (node) => {
      if (node.type !== 'box' || !node.form) return
      const { id, name, fields } = node.form
      forms.set(node.layer, { layer: node.layer, id, name, fields })
    })
  }
  return [...forms.values()]
}

/** Which pages lead to which, and what is shown over them. */
export const listFlow = ({ pages }: UiProject): readonly FlowRow[] => {
  const panels = new Map(pages.flatMap((page) => (page.panels ?? []).map((p) => [p.id, p])))
  const row = (key: string, name: string, root: UiNode, isPanel: boolean): FlowRow => {
    const to = new Map<string, { kind: 'leads' | 'opens'; layers: string[] }>()
    const add = (target: string, kind: 'leads' | 'opens', layer: string): void => {
      if (target === key) return
      const known = to.get(target)
      if (known) known.layers.push(layer)
      else to.set(target, { kind, layers: [layer] })
    }
    walk(root, (node) => {
      if ('link' in node && node.link?.kind === 'page') add(node.link.page, 'leads', node.layer)
      const act = 'act' in node ? node.act : undefined
      const panel = act?.kind === 'open' ? panels.get(act.panel) : undefined
      if (panel) add(panel.layer, 'opens', node.layer)
      const success = node.type === 'box' ? node.form?.success : undefined
      if (success !== undefined) add(success, 'leads', node.layer)
    })
    return { key, name, isPanel, to: [...to].map(([target, rest]) => ({ key: target, ...rest })) }
  }
  return [
    ...pages.map(({ key, name, root }) => row(key, name, root, false)),
    ...[...panels.values()].map(({ layer, label, root }) => row(layer, label, root, true)),
  ]
}
