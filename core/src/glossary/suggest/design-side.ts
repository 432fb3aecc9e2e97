import type { ComponentSet, Design } from '../../design/design.js'
import { isIdleName } from '../../design/idle-name.js'
import { mostCommon } from '../../math/statistics.js'
import type { UiProject } from '../../ui/index.js'
import { insideOf, rootsOf, type UiNode } from '../../ui/nodes.js'
import type { Entry, Source } from '../glossary.js'
import { namesIn, roleOf } from '../subjects.js'
import { wordsIn } from '../values.js'

/** Something that differs from one instance to the next. */
export type DesignProperty = {
  readonly name: string
  readonly kind: 'text' | 'variant' | 'switch' | 'content' | 'picture'
  /** Of a variant: what it may be. */
  readonly values: readonly string[]
  /** What it is where nothing is said. */
  readonly standard?: string | boolean
  /** How its value is read. */
  readonly source: Source
}

/** A component of the design, or what the program found to repeat, as a thing to find a component for. */
export type DesignThing = {
  readonly design: Entry['design']
  readonly name: string
  readonly properties: readonly DesignProperty[]
  /** The layers of its instances, in reading order. */
  readonly layers: readonly string[]
  /** What its instances are, mostly. */
  readonly role: string | undefined
  /** Pressing it leads somewhere, does something, or sends a form. */
  readonly leads: boolean
  /** Not all that is pressed leads somewhere. */
  readonly isMixed: boolean
  readonly acts: boolean
  /** A control of a form is in it. */
  readonly hasControl: boolean
  /** What that is. */
  readonly controlRole: string | undefined
}

const propertiesOf = ({ properties }: ComponentSet): readonly DesignProperty[] =>
  properties.map((property): DesignProperty => {
    const { name } = property
    const source: Source = { property: name }
    switch (property.kind) {
      case 'variant':
        return {
          name,
          kind: 'variant',
          values: property.values,
          standard: property.default,
          source,
        }
      case 'switch':
        return { name, kind: 'switch', values: [], standard: property.default, source }
      case 'swap':
        return { name, kind: 'content', values: [], source: { content: name } }
      case 'text':
        return { name, kind: 'text', values: [], standard: property.default, source }
    }
  })

/** What differs among things that repeat, by the names of the layers in them. */
const propertiesIn = (instances: readonly UiNode[]): readonly DesignProperty[] => {
  const found = new Map<string, DesignProperty>()
  for (const instance of instances) {
    for (const node of insideOf(instance)) {
      // Where a layer is called what it says, all its words are what differs.
      const isNameless = node.type === 'text' && node.name === wordsIn(node)
      const name = isNameless ? 'label' : node.name
      if (isIdleName(name) || found.has(name)) continue
      if (node.type === 'text')
        found.set(name, {
          name,
          kind: 'text',
          values: [],
          source: { text: isNameless ? '' : name },
        })
      if (node.type === 'image')
        found.set(name, { name, kind: 'picture', values: [], source: { picture: name } })
    }
  }
  return [...found.values()]
}

/** Whether a property says what stands in the control of every instance: then the control is asked for it. */
const isOfControl = (
  name: string,
  instances: readonly UiNode[],
  valuesOf: (instance: UiNode) => Readonly<Record<string, string | boolean>> | undefined,
): boolean =>
  instances.length > 0 &&
  instances.every((instance) => {
    const control = [instance, ...insideOf(instance)].find(({ type }) => type === 'control')
    if (control?.type !== 'control') return false
    const value = valuesOf(instance)?.[name]
    return value !== undefined && (value === control.hint || value === control.value)
  })

const commonest = (values: readonly (string | undefined)[]): string | undefined => {
  const said = values.filter((value) => value !== undefined)
  return said.length > 0 ? mostCommon(said) : undefined
}

const leads = (node: UiNode): boolean => 'link' in node && node.link !== undefined

const describe = (
  design: Entry['design'],
  name: string,
  properties: readonly DesignProperty[],
  instances: readonly UiNode[],
): DesignThing => {
  const all = instances.flatMap((one) => [one, ...insideOf(one)])
  return {
    design,
    name,
    properties,
    layers: instances.map(({ layer }) => layer),
    role: commonest(instances.map(roleOf)),
    leads: instances.some(leads),
    isMixed: instances.some(leads) && !instances.every(leads),
    acts: instances.some((one) => 'act' in one && one.act !== undefined),
    hasControl: all.some(({ type }) => type === 'control'),
    controlRole: commonest(all.filter(({ type }) => type === 'control').map(roleOf)),
  }
}

/** Roles of which a codebase may have a component, whatever they stand in. */
const ROLES = [
  'heading',
  'button',
  'link',
  'textbox',
  'combobox',
  'checkbox',
  'radio',
  'switch',
  'slider',
] as const

/** All that a thing says. */
const WORDS: DesignProperty = { name: 'label', kind: 'text', values: [], source: { text: '' } }

/** What screens show that is no component and repeats nowhere, by what it is. */
export const listRoles = (project: UiProject): readonly DesignThing[] => {
  const namesOf = namesIn(project)
  const found = new Map<string, UiNode[]>()
  const look = (node: UiNode): void => {
    const { instance, part, role } = namesOf(node)
    // What is in a component is the component's affair.
    if (instance || part !== undefined) return
    if (role !== undefined) found.set(role, [...(found.get(role) ?? []), node])
    if ('children' in node) node.children.forEach(look)
  }
  project.pages.flatMap(rootsOf).forEach(look)
  return ROLES.flatMap((role) => {
    const nodes = found.get(role)
    if (!nodes) return []
    const saysSomething = nodes.every((node) => wordsIn(node) !== '')
    return [describe({ role }, `any ${role}`, saysSomething ? [WORDS] : [], nodes)]
  })
}

/** The things of a project a codebase may have components for, in the order in which the design has them. */
export const listThings = (project: UiProject, design: Design): readonly DesignThing[] => {
  const namesOf = namesIn(project)
  const ofComponents = new Map<string, UiNode[]>()
  const ofParts = new Map<string, UiNode[]>()
  const add = (map: Map<string, UiNode[]>, name: string, node: UiNode): void => {
    const known = map.get(name)
    if (known) known.push(node)
    else map.set(name, [node])
  }
  const look = (node: UiNode): void => {
    const { instance, part } = namesOf(node)
    if (instance) add(ofComponents, instance.component, node)
    else if (part !== undefined && wordsIn(node) !== '') add(ofParts, part, node)
    if ('children' in node) node.children.forEach(look)
  }
  project.pages.flatMap(rootsOf).forEach(look)
  return [
    ...design.components.flatMap((set): DesignThing[] => {
      const instances = ofComponents.get(set.name)
      if (!instances) return []
      const valuesOf = (node: UiNode) => namesOf(node).instance?.values
      const properties = propertiesOf(set).filter(
        ({ name, kind }) => kind !== 'text' || !isOfControl(name, instances, valuesOf),
      )
      return [describe({ component: set.name }, set.name, properties, instances)]
    }),
    ...[...ofParts].map(([name, instances]) =>
      describe({ part: name }, name, propertiesIn(instances), instances),
    ),
  ]
}
