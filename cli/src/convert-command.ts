import { existsSync, readFileSync } from 'node:fs'
import { createRequire } from 'node:module'
import { join } from 'node:path'
import {
  byConventions,
  compileStyles,
  convert,
  findUnsupported,
  measureWith,
  type EmittedFile,
  GRAINS,
  LANGUAGE_TAG,
  LIBRARIES,
  type Note,
  PICTURE_FORMS,
  type PictureCodecs,
  readFiles,
  scalePictures,
  SCRIPTS,
  type SettingsFile,
  STYLINGS,
  TARGET_IDS,
  TARGETS,
  type TargetId,
  UNITS,
} from '@unimorph/core'
import { checkDelivered, deliver, faultNotes, type DeliveredFault } from '@unimorph/core/deliver'
import { Failure } from './failure.js'
import { readEdits } from './read-edits.js'
import { readInputs } from './read-inputs.js'
import { findSettings } from './read-settings.js'
import { writeFiles } from './write-files.js'

/** The options of a command line; what is not said there may be in a settings file. */
export type ConvertOptions = {
  readonly config?: string
  readonly target?: string
  readonly styling?: string
  readonly script?: string
  readonly units?: string
  readonly pictures?: string
  readonly out?: string
  readonly codebase?: string
  readonly select?: readonly string[]
  readonly drawnStates?: boolean
  readonly language?: string
  readonly grain?: string
  readonly library?: string
  readonly fonts?: string
  readonly edits?: string
  readonly force?: boolean
  readonly check?: boolean
  readonly json?: boolean
}

const require = createRequire(import.meta.url)

const checkChoice = <T extends string>(
  option: string,
  value: string | undefined,
  allowed: readonly T[],
): T | undefined => {
  if (value === undefined) return undefined
  const known = allowed.find((choice) => choice === value)
  if (known !== undefined) return known
  throw new Failure(`--${option} ${value}: not known; allowed: ${allowed.join(', ')}.`, 2)
}

const checkLanguage = (tag: string | undefined): string | undefined => {
  if (tag === undefined || LANGUAGE_TAG.test(tag)) return tag
  throw new Failure(`--language ${tag}: not a language tag; write one such as de or pt-BR.`, 2)
}

/** The settings of the command line, and those of the file where it says nothing. */
const mergeSettings = (options: ConvertOptions, file: SettingsFile): SettingsFile => ({
  target: checkChoice('target', options.target, TARGET_IDS) ?? file.target,
  styling: checkChoice('styling', options.styling, STYLINGS) ?? file.styling,
  script: checkChoice('script', options.script, SCRIPTS) ?? file.script,
  units: checkChoice('units', options.units, UNITS) ?? file.units,
  pictures: checkChoice('pictures', options.pictures, PICTURE_FORMS) ?? file.pictures,
  templates: file.templates,
  prefix: file.prefix,
  rules: file.rules,
  extras: file.extras,
  code: file.code,
  files: file.files,
  select: options.select ? [...options.select] : file.select,
  derivesStates: options.drawnStates ? false : file.derivesStates,
  language: checkLanguage(options.language) ?? file.language,
  grain: checkChoice('grain', options.grain, GRAINS) ?? file.grain,
  library: checkChoice('library', options.library, LIBRARIES) ?? file.library,
  fonts: options.fonts ?? file.fonts,
  edits: options.edits ?? file.edits,
})

/** A setting that the target could only ignore is a mistake of whoever gave it. */
const refuseUnsupported = (target: TargetId, settings: SettingsFile): void => {
  const sentences = findUnsupported(TARGETS[target], settings).map(({ field, value, allowed }) =>
    allowed.length === 0
      ? `${field} ${value}: ${TARGETS[target].label} has no such setting.`
      : `${field} ${value}: ${TARGETS[target].label} does not have it; allowed: ${allowed.join(', ')}.`,
  )
  if (sentences.length > 0) throw new Failure(sentences.join('\n'), 2)
}

const formatNote = ({ severity, message, help }: Note): string => `${severity}: ${message} ${help}`

const byGravity = (notes: readonly Note[]): Note[] => {
  const order = { error: 0, warning: 1, info: 2 }
  return [...notes].sort((a, b) => order[a.severity] - order[b.severity])
}

const MOST_NOTES_SHOWN = 20

const printNotes = (notes: readonly Note[]): void => {
  const sorted = byGravity(notes)
  for (const note of sorted.slice(0, MOST_NOTES_SHOWN)) console.error(formatNote(note))
  const rest = sorted.length - MOST_NOTES_SHOWN
  if (rest > 0) console.error(`${rest} more notes; --json lists them all.`)
}

const loadCodecs = async (): Promise<PictureCodecs> =>
  (await import('./picture-codecs.js')).pictureCodecs()

/** Whether a file is in the codebase that code is made for: what is delivered may import it. */
const fileIn =
  (codebase: string | undefined) =>
  (path: string): boolean =>
    codebase !== undefined && existsSync(join(codebase, path))

/**
 * What the target's rules find: all that its own compiler tells when that is asked for. Dart is read by our checker each
 * time, which is fast; it knows the files of no codebase.
 */
const checkByTarget = async (
  files: readonly EmittedFile[],
  target: TargetId,
  { check = false, codebase }: ConvertOptions,
): Promise<readonly DeliveredFault[]> => {
  const isDart = target === 'flutter'
  if (codebase !== undefined || !(check || isDart)) return []
  const { compileDelivered, readDart } = await import('./check/index.js')
  return check ? compileDelivered(files, target) : readDart(files)
}

/** What a conversion of some files gives: the files to write, or why there are none. */
export type Conversion =
  | {
      readonly ok: true
      readonly files: readonly EmittedFile[]
      readonly notes: readonly Note[]
      /** How many of the notes are faults of ours in what is delivered. */
      readonly faults: number
      /** What is left to do by hand, in sentences. */
      readonly kept: readonly string[]
      /** The settings file that was used. */
      readonly config?: string
    }
  | { readonly ok: false; readonly notes: readonly Note[] }

/** Reads files and converts them as one project, by the settings that are found. Writes nothing. */
export const convertFiles = async (
  paths: readonly string[],
  options: ConvertOptions,
): Promise<Conversion> => {
  const found = findSettings(options.config)
  const settings = mergeSettings(options, found?.settings ?? {})
  const { target = 'html', derivesStates = true } = settings
  refuseUnsupported(target, settings)
  const edits = settings.edits === undefined ? [] : readEdits(settings.edits)

  const glossary =
    options.codebase === undefined
      ? undefined
      : await (await import('./into-codebase.js')).readCodebase(options.codebase)
  const fonts =
    settings.fonts === undefined ? [] : (await import('./read-fonts.js')).readFonts(settings.fonts)
  const measure = measureWith(fonts)
  const intake = readFiles(readInputs(paths), measure)
  const isBroken = !intake.design || intake.notes.some((n) => n.severity === 'error')
  const result =
    intake.design && !isBroken
      ? convert(intake.design, edits, { ...settings, target, derivesStates, fonts, glossary })
      : undefined
  const said = [...intake.notes, ...(result?.notes ?? [])]
  if (!result?.ok) return { ok: false, notes: said }
  const { files, styles } = result.value
  const made: EmittedFile[] = [...files]
  if (styles.compiledPath) {
    const library = readFileSync(require.resolve('tailwindcss/index.css'), 'utf8')
    const text = await compileStyles(styles.source, styles.classes, library)
    made.push({ path: styles.compiledPath, content: { kind: 'text', text }, spans: [] })
  }
  const house = glossary ? byConventions(glossary.codebase.conventions, settings) : settings
  const housed = await deliver({ ...result.value, files: made }, house, target)
  const { files: chosen, kept } =
    options.out === undefined && options.codebase !== undefined
      ? (await import('./into-codebase.js')).forCodebase(options.codebase, housed.files)
      : { files: housed.files, kept: [] }
  const broken = await checkDelivered(housed.files, fileIn(options.codebase))
  const compiled = broken.length === 0 ? await checkByTarget(housed.files, target, options) : []
  const faults = faultNotes([...broken, ...compiled])
  return {
    ok: true,
    faults: faults.length,
    files: await scalePictures(chosen, loadCodecs),
    notes: [...faults, ...said, ...housed.notes],
    kept,
    ...(found ? { config: found.path } : {}),
  }
}

/** The exit code when delivered code does not build: the fault is ours, not that of the input. */
const EXIT_BROKEN = 4

/** `unimorph convert`: reads files, converts them as one project, writes it. Returns the exit code. */
export const convertCommand = async (
  paths: readonly string[],
  options: ConvertOptions,
): Promise<number> => {
  const out = options.out ?? options.codebase
  if (out === undefined) throw new Failure('Say where to write to: --out or --codebase.', 2)
  const made = await convertFiles(paths, options)
  const { notes } = made
  if (!made.ok) {
    if (options.json) console.log(JSON.stringify({ ok: false, files: [], notes }, null, 2))
    else printNotes(notes)
    return 1
  }
  writeFiles(out, made.files, { force: options.force ?? false })
  const written = made.files.map((f) => f.path)
  if (options.json)
    console.log(JSON.stringify({ ok: made.faults === 0, files: written, notes }, null, 2))
  else {
    printNotes(notes.filter((n) => n.severity !== 'info'))
    const by = made.config === undefined ? '' : `, by the settings in ${made.config}`
    console.log(`${written.length} files written to ${out}${by}`)
    for (const line of made.kept) console.log(line)
  }
  return made.faults > 0 ? EXIT_BROKEN : 0
}
