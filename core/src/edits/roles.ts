import type { Design } from '../design/design.js'
import type { Ruling } from '../design/role.js'
import type { EditOf } from './edit.js'
import { layerFinder } from './has-layer.js'

/** What a person says layers are. Those that are gone are left out; where all are, nothing changes. */
export const setRole = (design: Design, edit: EditOf<'set-role'>): Design => {
  const { layers, role, level, input, required } = edit
  const known = layers.filter(layerFinder(design))
  if (known.length === 0) return design
  const roles = { ...design.roles }
  for (const key of known) {
    if (role === null) delete roles[key]
    else {
      const ruling: Ruling = {
        role,
        ...(level ? { level } : {}),
        ...(input ? { input } : {}),
        ...(required === undefined ? {} : { required }),
      }
      roles[key] = ruling
    }
  }
  if (JSON.stringify(roles) === JSON.stringify(design.roles ?? {})) return design
  return { ...design, roles }
}
