import type { Codebase, Framework } from '../codebase/codebase.js'
import type { Design } from '../design/design.js'
import type { UiProject } from '../ui/index.js'
import { rootsOf, type UiNode } from '../ui/nodes.js'
import { subjectOf, type Glossary } from './glossary.js'
import { isAbout, namesIn } from './subjects.js'
import { listRoles, listThings, type DesignThing } from './suggest/design-side.js'

/** A thing of the design, and what of the glossary is about it. */
export type Covered = DesignThing & {
  /** The entries about it, by their places in the glossary. */
  readonly entries: readonly number[]
  /** How many of its instances are written as components of the codebase. */
  readonly mapped: number
}

/** What the screens show that a codebase may have components for, and which of it has one. */
export const coverDesign = (
  project: UiProject,
  design: Design,
  glossary: Glossary,
  { components }: Codebase,
  framework: Framework,
): readonly Covered[] => {
  const usable = new Set(
    components.filter((one) => one.framework === framework).map(({ id }) => id),
  )
  const confirmed = glossary.components.filter(
    ({ status, code }) => status !== 'proposed' && usable.has(code),
  )
  const namesOf = namesIn(project)
  const mapped = new Set<string>()
  const look = (node: UiNode): void => {
    const names = namesOf(node)
    if (confirmed.some((entry) => isAbout(entry, names))) mapped.add(node.layer)
    if ('children' in node) node.children.forEach(look)
  }
  project.pages.flatMap(rootsOf).forEach(look)
  return [...listThings(project, design), ...listRoles(project)].map((thing) => ({
    ...thing,
    entries: glossary.components.flatMap((entry, at) =>
      subjectOf(entry) === subjectOf(thing) ? [at] : [],
    ),
    mapped: thing.layers.filter((layer) => mapped.has(layer)).length,
  }))
}
