import { basename, resolve } from 'node:path'
import {
  FRAMEWORKS,
  type CodeComponent,
  type Codebase,
  type CodeProp,
  type CodeToken,
  type ScanNote,
} from '@unimorph/core'
import type { ScanCache } from './cache.js'
import { findConventions } from './conventions.js'
import { readSources, type SourceFile } from './files.js'
import { loadDart } from './flutter/parser.js'
import { NOTHING, type Findings, type FoundComponent, type Use } from './found.js'
import { readName } from './name.js'
import { specifierOf } from './specifier.js'
import { READERS, type Reader } from './readers.js'
import { Modules } from './typescript/program.js'

const CHECKED = /\.([cm]?[jt]sx?|vue)$/

const compare = (a: string, b: string): number => (a < b ? -1 : a > b ? 1 : 0)

/** The files that must be read anew: those that changed, and those that depend on one that did. */
const findStale = (files: readonly SourceFile[], cache: ScanCache): ReadonlySet<string> => {
  const stale = new Set<string>()
  const present = new Set(files.map(({ path }) => path))
  for (const { path, hash } of files) {
    if (cache.files.get(path)?.hash !== hash) stale.add(path)
  }
  const gone = [...cache.files.keys()].filter((path) => !present.has(path))
  const changed = new Set([...stale, ...gone])
  // A new file may be what an import was looking for.
  const hasNew = files.some(({ path }) => !cache.files.has(path))
  for (const [path, { findings }] of cache.files) {
    const isUnsure = hasNew && findings.uses.some(({ of }) => !of.includes('/'))
    if (present.has(path) && (isUnsure || findings.needs.some((need) => changed.has(need))))
      stale.add(path)
  }
  return stale
}

/** How often each component is used, and what it is mostly imported from. */
type Fame = { times: number; readonly imports: Map<string, number> }

const countUses = (all: readonly Use[]): ReadonlyMap<string, Fame> => {
  const fame = new Map<string, Fame>()
  for (const { of, specifier, exported, times } of all) {
    const known = fame.get(of) ?? { times: 0, imports: new Map<string, number>() }
    fame.set(of, known)
    known.times += times
    if (/^[./]/.test(specifier)) continue
    const key = `${specifier}#${exported}`
    known.imports.set(key, (known.imports.get(key) ?? 0) + 1)
  }
  return fame
}

const commonest = (counts: ReadonlyMap<string, number>): string | undefined =>
  [...counts].sort((a, b) => b[1] - a[1] || compare(a[0], b[0]))[0]?.[0]

/** Types that are enums of another file, as choices. */
const withEnums = (
  { type, ...prop }: CodeProp,
  enums: Readonly<Record<string, readonly string[]>>,
): CodeProp => {
  const name = type.text.replace(/\?$/, '')
  const options = type.kind === 'other' ? enums[name] : undefined
  if (!options) return { ...prop, type }
  return {
    ...prop,
    type: { kind: 'choice', text: type.text, options: [...options], prefix: `${name}.` },
  }
}

type Around = {
  readonly fame: ReadonlyMap<string, Fame>
  readonly enums: Readonly<Record<string, readonly string[]>>
  aliasFor(path: string): string | undefined
}

/** Whether a prop can be written as an attribute of a tag; what selects a slot stands in quotes. */
const isWritable = ({ name, as }: CodeProp): boolean =>
  as === 'slot' ? /^[^"<>{}\\]+$/.test(name) : /^[^\s"'`<>=\\{}]+$/.test(name)

const finish = (found: FoundComponent, { fame, enums, aliasFor }: Around): CodeComponent => {
  const id = `${found.path}#${found.exported}`
  const own = fame.get(id) ?? fame.get(`${found.path}#${found.name}`)
  const [specifier, exported] = (own && commonest(own.imports))?.split('#') ?? []
  const alias = specifier ?? (found.path === undefined ? undefined : aliasFor(found.path))
  return {
    id,
    ...found,
    ...(alias === undefined ? {} : { specifier: alias }),
    exported: exported ?? found.exported,
    props: found.props
      .filter(isWritable)
      .map((prop) => (found.framework === 'flutter' ? withEnums(prop, enums) : prop)),
    uses: own?.times ?? 0,
  }
}

/**
 * Scans a codebase: its components with what they are given, its theme, how it is written. Reads only what changed since the
 * scan before, of which `cache` knows; nothing of the codebase is executed. Files that cannot be read are notes.
 */
export const scanCodebase = async (
  folder: string,
  cache: ScanCache,
  onProgress: (done: number, all: number) => void = () => undefined,
): Promise<Codebase> => {
  const root = resolve(folder)
  const { files, skipped } = readSources(root)
  if (files.some(({ path }) => path.endsWith('.dart'))) await loadDart()
  const stale = findStale(files, cache)
  cache.modules ??= new Modules(root)
  const wanted = [...stale].filter((path) => CHECKED.test(path))
  const checked = wanted.length > 0 ? cache.modules.check(files, wanted) : undefined
  let done = 0
  for (const file of files) {
    if (!stale.has(file.path)) continue
    cache.files.set(file.path, { hash: file.hash, findings: readOne(file, READERS, checked) })
    onProgress(++done, stale.size)
  }
  const present = new Set(files.map(({ path }) => path))
  for (const path of cache.files.keys()) if (!present.has(path)) cache.files.delete(path)

  const all = files.map(({ path }) => cache.files.get(path)!.findings)
  const uses = all.flatMap((one) => one.uses)
  const conventions = findConventions(files, uses)
  const around: Around = {
    fame: countUses(uses),
    enums: Object.assign({}, ...all.map((one) => one.enums)) as Around['enums'],
    aliasFor: specifierOf(root, conventions),
  }
  const components = all
    .flatMap((one) => one.components)
    .map((one) => finish(one, around))
    .sort((a, b) => compare(a.id, b.id))
  const texts = new Map(files.map(({ path, text }) => [path, text]))
  const notes: ScanNote[] = [...skipped, ...all.flatMap((one) => one.notes)]
  return {
    name: readName((path) => texts.get(path)) ?? basename(root),
    frameworks: FRAMEWORKS.filter((one) => components.some(({ framework }) => framework === one)),
    components,
    tokens: uniqueTokens(all.flatMap(({ tokens }) => tokens)),
    conventions,
    notes: notes.sort((a, b) => compare(a.path, b.path)),
    files: files.length,
  }
}

/** What is said several times, as of a dark theme, is as it is said first. */
const uniqueTokens = (tokens: readonly CodeToken[]): CodeToken[] =>
  [...new Map([...tokens].reverse().map((token) => [token.name, token] as const)).values()].sort(
    (a, b) => compare(a.name, b.name),
  )

const readOne = (
  file: SourceFile,
  readers: readonly Reader[],
  checked: Parameters<Reader['read']>[1],
): Findings => {
  const parts = readers
    .filter(({ reads }) => reads(file))
    .map((reader): Findings => {
      try {
        return { ...NOTHING, ...reader.read(file, checked) }
      } catch (error) {
        const why = error instanceof Error ? error.message : String(error)
        return { ...NOTHING, notes: [{ path: file.path, message: `It could not be read: ${why}` }] }
      }
    })
  return {
    components: parts.flatMap((part) => part.components),
    uses: parts.flatMap((part) => part.uses),
    tokens: parts.flatMap((part) => part.tokens),
    enums: Object.assign({}, ...parts.map((part) => part.enums)) as Findings['enums'],
    notes: parts.flatMap((part) => part.notes),
    needs: [...new Set(parts.flatMap((part) => part.needs))].sort(),
  }
}
