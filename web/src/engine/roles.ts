import {
  findTitle,
  nameThings,
  readRoles,
  type Design,
  type Examined,
  type RoleReading,
} from '@unimorph/core'
import { nameLayers } from './widths'

/** What a layer is, with what a person needs to tell it from others. */
export type NamedRole = RoleReading & {
  readonly name: string
  /** Layers that were read as the same for the same reasons, itself among them. */
  readonly alike: readonly string[]
}

/** Roles that say something; the rest is layout. In the order of the page. */
export const listRoles = (design: Design, { root, trees }: Examined): readonly NamedRole[] => {
  const wide = [...trees].reverse().map((step) => step.root)
  const roles = readRoles(wide, { rulings: design.roles ?? {}, title: findTitle(root) })
  const readings = [...roles.values()]
  const names = nameThings(wide[0]!, roles)
  const idOf = ({ role, level, evidence }: RoleReading): string =>
    JSON.stringify([role, level, evidence])
  const groups = new Map<string, string[]>()
  for (const reading of readings) {
    const id = idOf(reading)
    groups.set(id, [...(groups.get(id) ?? []), reading.layer])
  }
  const nameOf = nameLayers(design)
  return readings.map((reading) => ({
    ...reading,
    name: names.get(reading.layer) ?? nameOf(reading.layer),
    alike: groups.get(idOf(reading))!,
  }))
}
