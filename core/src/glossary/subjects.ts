import type { UiInstance, UiProject } from '../ui/index.js'
import { isTick, type UiNode } from '../ui/nodes.js'
import type { Entry } from './glossary.js'

/** What a node is, as a role of ARIA; undefined for what is only there for the layout. */
export const roleOf = (node: UiNode): string | undefined => {
  if (node.type === 'control') {
    const { control } = node
    if (isTick(control)) return control
    if (control === 'select') return 'combobox'
    if (control === 'range') return 'slider'
    return control === 'file' ? 'file' : 'textbox'
  }
  if (node.type === 'image') return node.link ? 'link' : 'img'
  if (node.type === 'text') {
    if (node.isButton) return 'button'
    if (node.link) return 'link'
    return node.level === undefined ? undefined : 'heading'
  }
  if (node.type === 'box') return node.role ?? (node.link ? 'link' : undefined)
  return undefined
}

/** What a node may be called in a glossary. */
export type Names = {
  readonly instance: UiInstance | undefined
  readonly part: string | undefined
  readonly role: string | undefined
  /** Pressing it leads somewhere. */
  readonly leads: boolean
}

/** Tells what nodes of a project may be called. */
export const namesIn = ({ instances, parts }: UiProject): ((node: UiNode) => Names) => {
  const names = new Map(parts.map(({ id, name }) => [id, name]))
  return (node) => ({
    instance: instances.get(node.layer),
    part: node.part === undefined ? undefined : names.get(node.part),
    role: roleOf(node),
    leads: 'link' in node && node.link !== undefined,
  })
}

/** Whether an entry is about what is so called. */
export const isAbout = (
  { design, when = {}, leads }: Entry,
  { instance, part, role, leads: isLeading }: Names,
): boolean => {
  const isMeant =
    'component' in design
      ? instance?.component === design.component
      : 'part' in design
        ? part === design.part && instance === undefined
        : role === design.role
  return (
    isMeant &&
    (leads === undefined || leads === isLeading) &&
    Object.entries(when).every(([name, value]) => String(instance?.values[name] ?? '') === value)
  )
}
