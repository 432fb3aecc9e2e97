import { z } from 'zod'
import { notes } from '../notes/catalogue.js'
import { describeIssue, formatPath } from '../notes/describe-issue.js'
import { failed, type Note, type Outcome } from '../notes/note.js'
import { DESIGN_VERSION, designSchema, type Design } from './design.js'
import { checkReferences } from './check-references.js'
import { measureResolved } from './measure-resolved.js'
import { migrateDesign } from './migrations/index.js'

/** Most layers a design may have, and how deep they may be nested. */
export const MAX_LAYERS = 100_000
export const MAX_DEPTH = 256

const MOST_ERRORS_SHOWN = 20

/** So many times the most layers are looked at before a design is said to have too many: with other things put in, again. */
const LOOKED_AT = 4

/** Counts objects and depth without recursion: a hostile document must not exhaust the stack. */
const findExcess = (document: unknown): 'too-deep' | 'too-many' | undefined => {
  // A layer adds two levels: the object and its list of children.
  const deepest = MAX_DEPTH * 2 + 20
  const open: [unknown, number][] = [[document, 0]]
  let layers = 0
  for (let next = open.pop(); next; next = open.pop()) {
    const [value, depth] = next
    if (typeof value !== 'object' || value === null) continue
    if (depth > deepest) return 'too-deep'
    if ('type' in value && 'box' in value && ++layers > MAX_LAYERS) return 'too-many'
    for (const inner of Object.values(value)) {
      if (typeof inner === 'object' && inner !== null) open.push([inner, depth + 1])
    }
  }
  return undefined
}

/** Why a checked design is refused that draws too much, with what its components draw; undefined for all others. */
export const refuseDrawn = (design: Design, file: string): Note | undefined => {
  const { layers, depth } = measureResolved(design, {
    layers: MAX_LAYERS * LOOKED_AT,
    // The list of screens is the outermost level.
    depth: MAX_DEPTH + 1,
  })
  if (depth > MAX_DEPTH) return notes.tooDeep(file, MAX_DEPTH)
  if (layers > MAX_LAYERS) return notes.tooManyResolved(file, MAX_LAYERS)
  return undefined
}

/** So many elements of each list are read of a document that has more faults than can be gathered. */
const FIRST_READ = 200

const shortened = (value: unknown): unknown => {
  if (Array.isArray(value)) return value.slice(0, FIRST_READ).map(shortened)
  if (typeof value !== 'object' || value === null) return value
  return Object.fromEntries(Object.entries(value).map(([key, inner]) => [key, shortened(inner)]))
}

/** The document as a design, or what is wrong with it. The parser overflows the stack on tens of thousands of faults. */
const parse = (document: unknown): ReturnType<typeof designSchema.safeParse> => {
  try {
    return designSchema.safeParse(document)
  } catch (error) {
    if (!(error instanceof RangeError)) throw error
    const beginning = shortened(document)
    const first = designSchema.safeParse(beginning)
    if (!first.success) return first
    // Without faults there would be no overflow: where the first elements have none, later ones do.
    const message = 'it has more faults than can be listed'
    return designSchema.refine(() => false, message).safeParse(beginning)
  }
}

/**
 * Takes a parsed JSON value, returns a checked design with all defaults filled in, or notes that name
 * the path of each error. Never throws for bad input and never changes the value.
 */
export const readDesign = (document: unknown, file = 'design.json'): Outcome<Design> => {
  const excess = findExcess(document)
  if (excess === 'too-deep') return failed([notes.tooDeep(file, MAX_DEPTH)])
  if (excess === 'too-many') return failed([notes.tooManyLayers(file, MAX_LAYERS)])

  const version = (document as { version?: unknown } | null)?.version
  if (typeof version === 'number' && version > DESIGN_VERSION) {
    return failed([notes.newerVersion(file, version, DESIGN_VERSION)])
  }
  const isOlder = Number.isInteger(version) && (version as number) >= 1
  const current = isOlder ? migrateDesign(document, version as number) : document
  const parsed = parse(current)
  if (!parsed.success) {
    const found: Note[] = parsed.error.issues
      .slice(0, MOST_ERRORS_SHOWN)
      .map((issue) => notes.invalid(file, formatPath(issue.path), describeIssue(issue, current)))
    return failed(found)
  }
  const broken = checkReferences(parsed.data, file)
  if (broken.length > 0) return failed(broken.slice(0, MOST_ERRORS_SHOWN))
  const tooMuch = refuseDrawn(parsed.data, file)
  if (tooMuch) return failed([tooMuch])
  return { ok: true, value: parsed.data, notes: [] }
}

/** The JSON Schema (draft 2020-12) of the format, derived from the same description as the types. */
export const buildJsonSchema = (): unknown =>
  z.toJSONSchema(designSchema, { io: 'input', reused: 'ref', target: 'draft-2020-12' })
