import type { Layer } from '../design/layer.js'
import type { Role } from '../design/role.js'
import { walkLayers } from '../design/walk.js'
import type { RoleReading } from '../meaning/roles/index.js'
import { toId } from '../text/names.js'
import { textOf } from '../text/wrap.js'

/** The ids by which labels and help texts of a page refer to its controls and they to those. */
export type ControlIds = {
  /** Of a control, or of a text about it, by its key. */
  of(key: string): string
  /** Whether a text says more about a control. */
  isHelp(key: string): boolean
  /** Whether a text names a group of controls. */
  namesGroup(key: string): boolean
}

const LONGEST_NAME = 40

/** What something is called that has no words of its own. */
const NAMELESS: Readonly<Partial<Record<Role, string>>> = {
  tablist: 'tabs',
  accordion: 'accordion',
}

/** Takes the widest artboard of a page, whose texts name the controls, what its layers are and what they are called. */
export const createControlIds = (
  root: Layer,
  roles: ReadonlyMap<string, RoleReading>,
  names: ReadonlyMap<string, string>,
  takeName: (wanted: string) => string,
): ControlIds => {
  const controlOfHelp = new Map<string, string>()
  const titles = new Set<string>()
  for (const { layer, role, describedBy, labelledBy } of roles.values()) {
    if (describedBy !== undefined) controlOfHelp.set(describedBy, layer)
    if ((role === 'group' || role === 'radiogroup') && labelledBy !== undefined)
      titles.add(labelledBy)
  }
  const texts = new Map<string, string>()
  walkLayers(root, (layer) => {
    if (layer.type === 'text') texts.set(layer.key, textOf(layer).slice(0, LONGEST_NAME))
  })
  const ids = new Map<string, string>()
  const of = (key: string): string => {
    const known = ids.get(key)
    if (known !== undefined) return known
    const control = controlOfHelp.get(key)
    const { role, labelledBy: label, says } = roles.get(key) ?? {}
    const own = role === 'tab' ? names.get(key) : says?.slice(0, LONGEST_NAME)
    const words = own ?? texts.get(label ?? (titles.has(key) ? key : '')) ?? ''
    const name = control === undefined ? words : `${of(control)}-help`
    const id = takeName(toId(name, NAMELESS[role ?? 'none'] ?? 'field'))
    ids.set(key, id)
    return id
  }
  return {
    of,
    isHelp: (key) => controlOfHelp.has(key),
    namesGroup: (key) => titles.has(key),
  }
}
