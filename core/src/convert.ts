import type { Codebase } from './codebase/codebase.js'
import type { Design } from './design/design.js'
import type { Layer } from './design/layer.js'
import { findNearestName } from './design/nearest-name.js'
import { refuseDrawn } from './design/read-design.js'
import { resolveInstances } from './design/resolve-instances.js'
import { walkLayers } from './design/walk.js'
import { applyEdits } from './edits/index.js'
import type { Edit } from './edits/edit.js'
import type { Font } from './text/face.js'
import { TARGETS, type TargetId } from './emit/index.js'
import type { StylingId } from './emit/styling/styling.js'
import type { Emitted, EmitStyle } from './emit/target.js'
import { applyGlossary } from './glossary/apply.js'
import type { Glossary } from './glossary/glossary.js'
import { notes } from './notes/catalogue.js'
import { failed, type Note, type Outcome } from './notes/note.js'
import { withParts } from './parts/index.js'
import { withLibraryScreen, type Library } from './parts/library-screen.js'
import type { Grain } from './parts/sections.js'
import { nameValues } from './ui/name-values.js'
import { buildUi, type UiOptions, type UiProject } from './ui/index.js'

export type Settings = EmitStyle & {
  readonly target: TargetId
  /** Keys or names of the layers to convert; all screens when empty. */
  readonly select?: readonly string[]
  /** Fonts at hand: texts are measured by them, and those the design uses are delivered. */
  readonly fonts?: readonly Font[]
  /** What is pressed answers the pointer also where no state of it is drawn; so when absent. */
  readonly derivesStates?: boolean
  /** The language of the texts, as a BCP 47 tag; told by their words when absent. */
  readonly language?: string | undefined
  /** How finely long pages are cut into files; into their sections when absent. */
  readonly grain?: Grain | undefined
  /** Converts a page that shows every variant of every component too, or it alone. */
  readonly library?: Library | undefined
  /** How pages are styled; by Tailwind when absent. */
  readonly styling?: StylingId | undefined
  /** What elements of the design are called in a codebase, whose own components are then used. */
  readonly glossary?: { readonly entries: Glossary; readonly codebase: Codebase } | undefined
  /** See `EmitOptions.marks`. */
  readonly marks?: boolean
}

/** Finds what a person named: a key, else the first layer of that name, in any screen. */
const findSelected = (screens: readonly Layer[], wanted: string): Layer | undefined => {
  let byName: Layer | undefined
  let byKey: Layer | undefined
  for (const screen of screens) {
    walkLayers(screen, (layer) => {
      if (layer.key === wanted) byKey ??= layer
      else if (layer.name === wanted) byName ??= layer
    })
  }
  return byKey ?? byName
}

const namesIn = (screens: readonly Layer[]): string[] => {
  const names: string[] = []
  for (const screen of screens) walkLayers(screen, (l) => names.push(l.name, l.key))
  return names
}

const selectRoots = (
  screens: readonly Layer[],
  select: readonly string[],
): Outcome<readonly Layer[]> => {
  if (select.length === 0) return { ok: true, value: screens.filter((s) => s.visible), notes: [] }
  const roots: Layer[] = []
  for (const wanted of select) {
    const found = findSelected(screens, wanted)
    if (!found)
      return failed([notes.unknownLayer(wanted, findNearestName(wanted, namesIn(screens)))])
    roots.push(found)
  }
  return { ok: true, value: roots, notes: [] }
}

type PrepareOptions = UiOptions & Pick<Settings, 'grain' | 'library'>

type Shown = { readonly design: Design; readonly select: readonly string[] }

/** A design with the page of its components, where that is wanted; undefined where it alone is, and there are none. */
const withLibrary = (
  design: Design,
  select: readonly string[],
  library: Library | undefined,
): Shown | undefined => {
  const made = library && withLibraryScreen(design)
  if (!made) return library === 'only' ? undefined : { design, select }
  const alone = library === 'only'
  return {
    design: made.design,
    select: alone ? [made.key] : select.length === 0 ? [] : [...select, made.key],
  }
}

/** What is converted, up to the point where targets differ. */
export const prepare = (
  design: Design,
  edits: readonly Edit[],
  select: readonly string[] = [],
  fonts?: readonly Font[],
  options: PrepareOptions = {},
): Outcome<UiProject> => {
  const edited = applyEdits(design, edits)
  const shown = withLibrary(edited.design, select, options.library)
  if (!shown) return failed([...edited.notes, notes.noComponents()])
  // Its page draws components that no screen does.
  const tooMuch = options.library && refuseDrawn(shown.design, design.name)
  if (tooMuch) return failed([...edited.notes, tooMuch])
  const roots = selectRoots(resolveInstances(shown.design), shown.select)
  if (!roots.ok) return roots
  if (roots.value.length === 0) return failed([...edited.notes, notes.nothingVisible()])
  const project = buildUi(shown.design, roots.value, fonts, options)
  const value = nameValues(withParts(project, shown.design, options.grain))
  return { ok: true, value, notes: [...edited.notes, ...value.notes] }
}

/** What is said where a target is not styled as it was asked to be. */
export const stylingNotes = (target: TargetId, styling: StylingId | undefined): readonly Note[] => {
  const { label, stylings } = TARGETS[target]
  const isThere = styling === undefined || stylings.length === 0 || stylings.includes(styling)
  return isThere ? [] : [notes.stylingNotHere(label, styling, stylings)]
}

/**
 * The whole of Unimorph as one function: a checked design and a list of edits in, files out.
 * Deterministic and without I/O: the same input gives the same bytes, in a worker, in Node, in a test.
 */
export const convert = (
  design: Design,
  edits: readonly Edit[],
  {
    target,
    select,
    fonts,
    derivesStates = true,
    language,
    grain,
    library,
    styling,
    glossary,
    marks = false,
    ...style
  }: Settings,
): Outcome<Emitted> => {
  const project = prepare(design, edits, select, fonts, { derivesStates, language, grain, library })
  if (!project.ok) return project
  const { value, notes: found } = project
  const translated = glossary && applyGlossary(value, glossary.entries, glossary.codebase, target)
  return {
    ok: true,
    value: TARGETS[target].emit(translated?.project ?? value, {
      ...style,
      marks,
      styling,
    }),
    notes: [...found, ...(translated?.notes ?? []), ...stylingNotes(target, styling)],
  }
}
