import { readFileSync } from 'node:fs'
import { createRequire } from 'node:module'
import {
  compileStyles,
  convert,
  createMeasure,
  type EmittedFile,
  GRAINS,
  isGrain,
  isLibrary,
  isStylingId,
  isTargetId,
  LANGUAGE_TAG,
  LIBRARIES,
  type Note,
  readFiles,
  STYLINGS,
  TARGETS,
} from '@unimorph/core'
import { Failure } from './failure.js'
import { readEdits } from './read-edits.js'
import { readFonts } from './read-fonts.js'
import { readInputs } from './read-inputs.js'
import { writeFiles } from './write-files.js'

export type ConvertOptions = {
  readonly target: string
  readonly styling: string
  readonly out: string
  readonly select?: readonly string[]
  readonly drawnStates?: boolean
  readonly language?: string
  readonly grain?: string
  readonly library?: string
  readonly fonts?: string
  readonly edits?: string
  readonly force?: boolean
  readonly json?: boolean
}

const require = createRequire(import.meta.url)

const checkChoice = (option: string, value: string, allowed: readonly string[]): void => {
  if (allowed.includes(value)) return
  throw new Failure(`--${option} ${value}: not known; allowed: ${allowed.join(', ')}.`, 2)
}

const checkLanguage = (tag: string | undefined): void => {
  if (tag === undefined || LANGUAGE_TAG.test(tag)) return
  throw new Failure(`--language ${tag}: not a language tag; write one such as de or pt-BR.`, 2)
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

/** `unimorph convert`: reads files, converts them as one project, writes it. Returns the exit code. */
export const convertCommand = async (
  paths: readonly string[],
  options: ConvertOptions,
): Promise<number> => {
  checkChoice('target', options.target, Object.keys(TARGETS))
  checkChoice('styling', options.styling, STYLINGS)
  checkLanguage(options.language)
  if (options.grain !== undefined) checkChoice('grain', options.grain, GRAINS)
  if (options.library !== undefined) checkChoice('library', options.library, LIBRARIES)
  const { target, styling } = options
  if (!isTargetId(target) || !isStylingId(styling)) return 2
  const edits = options.edits === undefined ? [] : readEdits(options.edits)

  const fonts = options.fonts === undefined ? [] : readFonts(options.fonts)
  const measure = createMeasure(fonts.map((font) => font.face))
  const intake = readFiles(readInputs(paths), measure)
  const isBroken = !intake.design || intake.notes.some((n) => n.severity === 'error')
  const result =
    intake.design && !isBroken
      ? convert(intake.design, edits, {
          target,
          styling,
          select: options.select ?? [],
          fonts,
          derivesStates: options.drawnStates !== true,
          language: options.language,
          grain: isGrain(options.grain) ? options.grain : undefined,
          library: isLibrary(options.library) ? options.library : undefined,
        })
      : undefined
  const notes = [...intake.notes, ...(result?.notes ?? [])]
  if (!result?.ok) {
    if (options.json) console.log(JSON.stringify({ ok: false, files: [], notes }, null, 2))
    else printNotes(notes)
    return 1
  }
  const { files, styles } = result.value
  const delivered: EmittedFile[] = [...files]
  if (styles.compiledPath) {
    const library = readFileSync(require.resolve('tailwindcss/index.css'), 'utf8')
    const text = await compileStyles(styles.source, styles.classes, library)
    delivered.push({ path: styles.compiledPath, content: { kind: 'text', text }, spans: [] })
  }
  writeFiles(options.out, delivered, { force: options.force ?? false })
  const written = delivered.map((f) => f.path)
  if (options.json) console.log(JSON.stringify({ ok: true, files: written, notes }, null, 2))
  else {
    printNotes(notes.filter((n) => n.severity !== 'info'))
    console.log(`${delivered.length} files written to ${options.out}`)
  }
  return 0
}
