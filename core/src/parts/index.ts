import type { Design } from '../design/design.js'
import type { InstanceLayer, Layer } from '../design/layer.js'
import { createInstanceResolver, defaultsOf, findVariant } from '../design/resolve-instances.js'
import { walkLayers } from '../design/walk.js'
import { findStateProperty } from '../design/states.js'
import { notes } from '../notes/catalogue.js'
import type { Note } from '../notes/note.js'
import type { Switch, UiInstance, UiProject } from '../ui/index.js'
import { findParts } from './find-parts.js'
import { markSections, type Grain } from './sections.js'
import { findUndrawn } from './undrawn.js'

type Known = Pick<UiProject, 'instances' | 'properties' | 'swaps' | 'switches' | 'variants'>

type Instances = Known & {
  /** The component set each instance shows, by the instance's key. */
  readonly components: ReadonlyMap<string, string>
}

/** What the screens of a design show of its components. */
const readInstances = (design: Design): Instances => {
  const components = new Map<string, string>()
  const variants = new Map<string, Readonly<Record<string, string>>>()
  const properties = new Map<string, string>()
  const switches = new Map<string, Switch>()
  const instances = new Map<string, UiInstance>()
  const swaps = new Map<string, string>()
  const all = { components, variants, properties, swaps, switches, instances }
  if (design.components.length === 0) return all
  const sets = new Map(design.components.map((set) => [set.key, set]))
  const bound = new Map<string, readonly Layer[]>()
  for (const set of design.components) {
    const found: Layer[] = []
    for (const variant of set.variants) {
      walkLayers(variant, (layer) => {
        if (layer.bind) found.push(layer)
      })
    }
    bound.set(set.key, found)
  }
  const read = ({ key, component, variant, props }: InstanceLayer): void => {
    const set = sets.get(component)
    if (!set) return
    components.set(key, component)
    for (const { key: layer, bind } of bound.get(component)!) {
      if (bind?.text !== undefined) properties.set(`${key}/${layer}`, bind.text)
      if (bind?.swap !== undefined) swaps.set(`${key}/${layer}`, bind.swap)
      const name = bind?.visible
      if (name === undefined) continue
      const property = set.properties.find((one) => one.name === name)
      const standard = property?.kind === 'switch' && property.default
      switches.set(`${key}/${layer}`, { name, standard })
    }
    // States are told by what happens, not by who uses a component.
    const state = findStateProperty(set)?.name
    const values = set.properties.flatMap((property) =>
      property.kind === 'variant' && property.name !== state
        ? [[property.name, variant[property.name] ?? property.default] as const]
        : [],
    )
    variants.set(key, Object.fromEntries(values))
    const drawn = findVariant(set, variant).variant
    instances.set(key, {
      component: set.name,
      values: { ...defaultsOf(set), ...props, ...drawn, ...variant },
    })
  }
  createInstanceResolver(design, read).screens()
  return all
}

const MOST_TOLD = 3

/** What the components that are used have no drawing of. */
const noteUndrawn = (design: Design, used: ReadonlySet<string>): readonly Note[] =>
  design.components.flatMap((set) => {
    const undrawn = used.has(set.key) ? findUndrawn(set) : []
    if (undrawn.length === 0) return []
    const some = undrawn.slice(0, MOST_TOLD).map((values) =>
      Object.entries(values)
        .map(([name, value]) => `${name}=${value}`)
        .join(', '),
    )
    return [notes.variantsUndrawn(set.key, set.name, some, undrawn.length)]
  })

/**
 * A project with what is written once and used in several places, and with long pages cut into sections. `grain`: how
 * finely those are cut.
 */
export const withParts = (
  project: UiProject,
  design: Design,
  grain: Grain = 'sections',
): UiProject => {
  const names = new Map(design.components.map(({ key, name }) => [key, name]))
  const { components, ...known } = readInstances(design)
  const { pages, parts } = findParts(project.pages, {
    components,
    properties: known.properties,
    nameOfComponent: (key) => names.get(key) ?? 'Component',
    rulings: design.parts ?? {},
  })
  const said = (wanted: 'none' | 'part' | 'slot'): string[] =>
    Object.entries(design.parts ?? {}).flatMap(([layer, { as }]) => (as === wanted ? [layer] : []))
  const made = new Set(parts.flatMap(({ instances }) => instances))
  const refused = said('part').filter((layer) => !made.has(layer))
  const rulings = design.parts ?? {}
  const all = [...project.notes, ...noteUndrawn(design, new Set(components.values()))]
  return {
    ...project,
    ...known,
    notes: all,
    pages: markSections(pages, grain, rulings),
    parts,
    detached: said('none'),
    refused,
    slots: said('slot'),
  }
}
