import {
  accepts,
  findProp,
  handsOn,
  type CodeComponent,
  type Codebase,
  type CodeProp,
  type Framework,
  type Literal,
} from '../codebase/codebase.js'
import { isPopover as isPopoverKind } from '../design/interaction.js'
import { notes } from '../notes/catalogue.js'
import type { Note } from '../notes/note.js'
import type { UiProject } from '../ui/index.js'
import type { UiTheme } from '../ui/theme.js'
import {
  looksOf,
  mapChildren,
  rootsOf,
  type UiAct,
  type UiNode,
  type UiPage,
  type UiUse,
} from '../ui/nodes.js'
import type { Entry, Glossary } from './glossary.js'
import { isAbout, namesIn } from './subjects.js'
import { evaluate, wordsIn, type Subject, type Value } from './values.js'

type Given = { readonly prop: CodeProp; readonly value: Exclude<Value, { kind: 'hole' }> }

/** Stands for what no design knows, in the type that is asked for; undefined where nothing can. */
const standIn = ({ type }: CodeProp, wanted: string): Literal | undefined => {
  switch (type.kind) {
    case 'string':
    case 'node':
      return `TODO: ${wanted}`
    case 'number':
      return 0
    case 'boolean':
      return false
    case 'choice':
      return type.options[0]
    case 'handler':
    case 'other':
      return undefined
  }
}

/** What a component is given for one thing of the design, in the order of the entry. */
const giveOne = (
  entry: Entry,
  component: CodeComponent,
  subject: Subject,
  hear: (note: Note) => void,
): readonly Given[] => {
  const { layer } = subject.node
  const hole = (prop: CodeProp, wanted: string): readonly Given[] => {
    hear(notes.glossaryHole(layer, component.name, prop.name, wanted))
    const value = standIn(prop, wanted)
    return value === undefined ? [] : [{ prop, value: { kind: 'literal', value } }]
  }
  const hasAddress = Object.values(entry.props).some((source) => 'link' in source)
  const given = Object.entries(entry.props).flatMap(([name, source]): readonly Given[] => {
    const prop = findProp(component, name)
    if (!prop) {
      hear(notes.glossaryUnknownProp(entry.code, name))
      return []
    }
    // A widget that knows no addresses goes where it leads when it is pressed.
    const goes = component.framework === 'flutter' && 'press' in source && !hasAddress
    const value =
      evaluate(source, subject) ?? (goes ? evaluate({ link: true }, subject) : undefined)
    if (value === undefined) return []
    if (value.kind === 'hole') return hole(prop, value.wanted)
    if (value.kind !== 'literal') return isTaken(prop, value, component) ? [{ prop, value }] : []
    if (!accepts(prop.type, value.value)) {
      hear(notes.glossaryRefused(layer, component.name, name, value.value, prop.type.text))
      return []
    }
    // What it is anyway is not said.
    const isSaid = prop.isRequired || value.value !== (prop.standard ?? isOff(prop))
    return isSaid ? [{ prop, value }] : []
  })
  const names = new Set(given.map(({ prop }) => prop.name))
  if (leadsNowhere(subject.node, component, given))
    hear(notes.glossaryPressLost(layer, component.name))
  const missing = component.props.filter(
    ({ isRequired, isInherited, name, as }) =>
      isRequired && !isInherited && !names.has(name) && as !== 'slot',
  )
  return [...given, ...missing.flatMap((prop) => hole(prop, prop.about ?? prop.name))]
}

/** Whether a prop takes what is no literal: something shown, an address, something that is done. */
const isTaken = (
  { type }: CodeProp,
  { kind }: Given['value'],
  { framework }: CodeComponent,
): boolean => {
  switch (kind) {
    case 'content':
      return type.kind === 'node'
    case 'press':
      return type.kind === 'handler'
    case 'link':
      return type.kind === 'handler' ? framework === 'flutter' : type.kind !== 'boolean'
    default:
      return true
  }
}

/** Whether what pressing does can be told to a component: some of it is said to an element. */
const isHeard = (act: UiAct, component: CodeComponent): boolean => {
  if (act.kind === 'step') return false
  const isPopover = (act.kind === 'open' || act.kind === 'close') && isPopoverKind(act.as)
  return !isPopover || handsOn(component)
}

/** Whether pressing a thing does something, and what is written for it is not told. */
const leadsNowhere = (node: UiNode, component: CodeComponent, given: readonly Given[]): boolean => {
  const { props } = component
  const sends =
    'submits' in node && node.submits === true && !props.some(({ name }) => name === 'type')
  const does =
    sends ||
    ('link' in node && node.link !== undefined) ||
    ('act' in node && node.act !== undefined)
  const isTold = given.some(
    ({ value }) =>
      value.kind === 'link' ||
      (value.kind === 'press' && (!value.act || isHeard(value.act, component))),
  )
  return does && !isTold
}

/** A flag that is not said is off. */
const isOff = ({ type }: CodeProp): Literal | undefined =>
  type.kind === 'boolean' ? false : undefined

/** A node with a component of the codebase in its place; what it is given as content becomes its children. */
const toUse = (node: UiNode, component: CodeComponent, given: readonly Given[]): UiNode => {
  const children = given.flatMap(({ value }) => (value.kind === 'content' ? value.nodes : []))
  const use: UiUse = {
    component,
    given: given.map(({ prop, value }) => ({
      prop,
      value: value.kind === 'content' ? { kind: 'content', count: value.nodes.length } : value,
    })),
  }
  const { part: _part, states: _states, reacts: _reacts, isOwner: _isOwner, ...rest } = node
  // What a component does by itself is not said of the place it stands in.
  const placed = { ...rest, use } as UiNode
  return 'children' in placed ? ({ ...placed, children } as UiNode) : placed
}

/** A tree without those of its nodes that are not to be left. */
const withoutNodes = (node: UiNode, isLeft: (node: UiNode) => boolean): UiNode => {
  if (!('children' in node)) return node
  const children = node.children.filter(isLeft).map((child) => withoutNodes(child, isLeft))
  return { ...node, children } as UiNode
}

/** The words that name each control, by its id: of what stands beside it, else of its form. */
const labelsIn = (pages: readonly UiPage[]): ReadonlyMap<string, string> => {
  const labels = new Map<string, string>()
  const look = (node: UiNode): void => {
    for (const { id, label } of (node.type === 'box' && node.form?.fields) || []) {
      if (!labels.has(id)) labels.set(id, label)
    }
    if ('labelFor' in node && node.labelFor !== undefined) labels.set(node.labelFor, wordsIn(node))
    if ('children' in node) node.children.forEach(look)
  }
  for (const root of pages.flatMap(rootsOf)) look(root)
  return labels
}

type Usable = { readonly entry: Entry; readonly component: CodeComponent }

/** The entries that may be used, each with its component. */
const usable = (
  { components: entries }: Glossary,
  { components }: Codebase,
  framework: Framework,
  hear: (note: Note) => void,
): readonly Usable[] => {
  const known = new Map(components.map((one) => [one.id, one]))
  return entries.flatMap((entry): Usable[] => {
    if (entry.status === 'proposed') return []
    const component = known.get(entry.code)
    if (!component) {
      hear(notes.glossaryUnknownComponent(entry.code))
      return []
    }
    return component.framework === framework ? [{ entry, component }] : []
  })
}

/** The layers that are still in some pages, and the pictures. */
const collect = (pages: readonly UiPage[]) => {
  const layers = new Set<string>()
  const assets = new Set<string>()
  const look = (node: UiNode): void => {
    layers.add(node.layer)
    if (node.type === 'image') assets.add(node.asset)
    for (const { value } of node.use?.given ?? [])
      if (value.kind === 'picture') assets.add(value.asset)
    for (const one of looksOf(node)) {
      for (const fill of one.style.fills) if (fill.kind === 'picture') assets.add(fill.asset)
      if (one.type === 'image') assets.add(one.asset)
    }
    for (const state of node.states ?? []) {
      for (const fill of state.node.style.fills) if (fill.kind === 'picture') assets.add(fill.asset)
    }
    if ('children' in node) node.children.forEach(look)
  }
  pages.flatMap(rootsOf).forEach(look)
  return { layers, assets }
}

/** The theme with the names of the codebase's own, where the glossary has them; what the design does not name stays without. */
const nameTokens = (
  theme: UiTheme,
  { tokens = {} }: Glossary,
  { tokens: known }: Codebase,
  framework: Framework,
): UiTheme => {
  const byName = new Map(known.map((token) => [token.name, token]))
  // Dart knows no custom properties, and style sheets no constants.
  const isOwn = (name: string): boolean => name.startsWith('--') !== (framework === 'flutter')
  const named = [...theme].filter(([, { isFound }]) => !isFound)
  return new Map(
    named.map(([name, token]) => {
      const found = Object.hasOwn(tokens, name) ? byName.get(tokens[name]!) : undefined
      return found && isOwn(found.name)
        ? [name, { ...token, code: { name: found.name, path: found.path } }]
        : [name, token]
    }),
  )
}

/**
 * A project with the codebase's own components where the glossary has them. Takes what is confirmed, for components of
 * one framework. What does not fit is noted, and stays generic; `notes` are those of the glossary alone.
 */
export const applyGlossary = (
  untold: UiProject,
  glossary: Glossary,
  codebase: Codebase,
  framework: Framework,
): { readonly project: UiProject; readonly notes: readonly Note[] } => {
  const theme = nameTokens(untold.theme, glossary, codebase, framework)
  const project = { ...untold, theme }
  const heard = new Map<string, Note>()
  const hear = (note: Note): void => {
    heard.set(`${note.code} ${note.where.layer ?? ''} ${note.message}`, note)
  }
  const entries = usable(glossary, codebase, framework, hear)
  const namesOf = namesIn(project)
  const all = project.notFound ? [...project.pages, project.notFound] : project.pages
  const labels = labelsIn(all)
  const labelOf = (control: string): string | undefined => labels.get(control)
  const swapOf = (layer: string): string | undefined => project.swaps.get(layer)
  let isUsed = false
  /** Controls whose label their component writes itself. */
  const labelled = new Set<string>()
  const visit = (node: UiNode): UiNode => {
    const names = namesOf(node)
    const found = entries.find(({ entry }) => isAbout(entry, names))
    if (!found) return mapChildren(node, visit)
    isUsed = true
    const { entry, component } = found
    const subject: Subject = { node, instance: names.instance, labelOf, swapOf }
    const given = giveOne(entry, component, subject, hear)
    const tellsLabel = Object.values(entry.props).some(
      (source) => 'field' in source && source.field === 'label',
    )
    if (node.type === 'control' && tellsLabel) labelled.add(node.id)
    return mapChildren(toUse(node, component, given), visit)
  }
  const translate = (page: UiPage): UiPage => ({
    ...page,
    root: visit(page.root),
    ...(page.panels
      ? { panels: page.panels.map((panel) => ({ ...panel, root: visit(panel.root) })) }
      : {}),
  })
  const finish = (page: UiPage): UiPage => {
    const translated = translate(page)
    if (labelled.size === 0) return translated
    const isLeft = (node: UiNode): boolean =>
      !('labelFor' in node && node.labelFor !== undefined && labelled.has(node.labelFor))
    return { ...translated, root: withoutNodes(translated.root, isLeft) }
  }
  const pages = project.pages.map(finish)
  const notFound = project.notFound && finish(project.notFound)
  const noted = [...heard.values()]
  if (!isUsed) return { project, notes: noted }
  const { layers, assets } = collect(notFound ? [...pages, notFound] : pages)
  const parts = project.parts.flatMap((part) => {
    const instances = part.instances.filter((layer) => layers.has(layer))
    return instances.length > 0 ? [{ ...part, instances }] : []
  })
  const translated = {
    ...project,
    pages,
    ...(notFound ? { notFound } : {}),
    assets: project.assets.filter(({ id }) => assets.has(id)),
    parts,
  }
  return { project: translated, notes: noted }
}
