import { writeFileSync } from 'node:fs'
import {
  applyEdits,
  measureWith,
  findAll,
  FINDING_KINDS,
  mendAll,
  readFiles,
  type Design,
  type Finding,
  type Report,
} from '@unimorph/core'
import { describeSystemError, Failure } from './failure.js'
import { readEdits } from './read-edits.js'
import { readFonts } from './read-fonts.js'
import { readInputs } from './read-inputs.js'

export type FindingsOptions = {
  readonly edits?: string
  readonly fonts?: string
  readonly mend?: string
  readonly out?: string
  readonly json?: boolean
}

/** Which findings `--mend` means: the safe ones, all, or those of one kind. */
const pick = (mend: string): ((finding: Finding) => boolean) => {
  if (mend === 'all') return () => true
  if (mend === 'safe') return (finding) => finding.remedy?.isSafe === true
  if (FINDING_KINDS.some((kind) => kind.id === mend)) return (finding) => finding.kind === mend
  const kinds = FINDING_KINDS.map((kind) => kind.id).join(', ')
  throw new Failure(`--mend ${mend}: not known; allowed: safe, all, ${kinds}.`, 2)
}

const nameOf = (design: Design, key: string): string =>
  design.screens.find((screen) => screen.key === key)?.name || key

const printReport = (design: Design, { findings, grades }: Report): void => {
  for (const grade of grades) {
    const parts = grade.parts.map((p) => `${p.area} ${p.points}/${p.weight}`).join(', ')
    console.log(`${nameOf(design, grade.screen)}: grade ${grade.letter}, ${grade.points} of 100`)
    console.log(`  ${parts}`)
    const best = FINDING_KINDS.find((kind) => kind.id === grade.best?.kind)
    if (best) console.log(`  raised most by: ${best.title} (+${grade.best!.points})`)
  }
  for (const kind of FINDING_KINDS) {
    const own = findings.filter((finding) => finding.kind === kind.id)
    if (own.length === 0) continue
    const mendable = own.filter((finding) => finding.remedy).length
    console.log(
      `\n${kind.title}: ${own.length}${mendable > 0 ? `, ${mendable} can be mended` : ''} [${kind.id}]`,
    )
    for (const { layers, message } of own.slice(0, 10)) console.log(`  ${layers[0]!}: ${message}`)
    if (own.length > 10) console.log(`  ${own.length - 10} more; --json lists them all.`)
  }
}

/** `unimorph findings`: what in a design makes worse code, and the edits that mend it. Returns the exit code. */
export const findingsCommand = (paths: readonly string[], options: FindingsOptions): number => {
  const wants = options.mend === undefined ? undefined : pick(options.mend)
  const fonts = options.fonts === undefined ? [] : readFonts(options.fonts)
  const measure = measureWith(fonts)
  const { design, notes } = readFiles(readInputs(paths), measure)
  const errors = notes.filter((note) => note.severity === 'error')
  if (!design || errors.length > 0) {
    throw new Failure(errors.map((n) => n.message).join(' ') || 'There is no design to look at.')
  }
  const given = options.edits === undefined ? [] : readEdits(options.edits)
  const edited = applyEdits(design, given)
  const before = findAll(edited.design, measure)
  if (!wants) {
    if (options.json) console.log(JSON.stringify(before, null, 2))
    else printReport(edited.design, before)
    return 0
  }
  const mended = mendAll(edited.design, measure, wants)
  const after = findAll(mended.design, measure)
  const edits = [...given, ...mended.edits]
  if (options.out !== undefined) {
    try {
      writeFileSync(options.out, `${JSON.stringify(edits, null, 2)}\n`)
    } catch (error) {
      throw new Failure(`--out ${options.out}: cannot be written, ${describeSystemError(error)}.`)
    }
  }
  const { refused } = mended
  if (options.json) console.log(JSON.stringify({ before, after, edits, refused }, null, 2))
  else {
    printReport(mended.design, after)
    before.grades.forEach((grade, i) => {
      const now = after.grades[i]!
      console.log(
        `\n${nameOf(design, grade.screen)}: ${grade.letter} ${grade.points} before, ${now.letter} ${now.points} after`,
      )
    })
    const to = options.out === undefined ? '' : ` written to ${options.out}`
    console.log(`${mended.edits.length} edits${to}`)
    if (refused.length > 0) {
      console.log(
        `${refused.length} remedies left out: they would have changed how the design looks.`,
      )
    }
  }
  return 0
}
