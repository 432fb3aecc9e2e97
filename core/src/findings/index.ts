import type { Design } from '../design/design.js'
import { freeKey } from '../design/free-key.js'
import { resolveInstances } from '../design/resolve-instances.js'
import { walkScreens } from '../design/walk.js'
import type { SingleEdit } from '../edits/edit.js'
import { applyEdits } from '../edits/index.js'
import { inferLayout } from '../layout/index.js'
import type { TextMeasure } from '../text/measure.js'
import { listEntries, type ScreenContext } from './context.js'
import type { Finding, ReadingChoice, Remedy } from './finding.js'
import { gradeScreen, type Grade } from './grade.js'
import type { FindingKind } from './kind.js'
import { ambiguousPlace } from './kinds/ambiguous-place.js'
import { background } from './kinds/background.js'
import { doubtfulReading } from './kinds/doubtful-reading.js'
import { drawnDifferently } from './kinds/drawn-differently.js'
import { fixedText } from './kinds/fixed-text.js'
import { floating } from './kinds/floating.js'
import { idleName } from './kinds/idle-name.js'
import { lowContrast, smallTarget, smallText } from './kinds/legibility.js'
import { looseVectors } from './kinds/loose-vectors.js'
import { mixedSpacing } from './kinds/mixed-spacing.js'
import { nearColors, nearRadii, nearTextSizes } from './kinds/near-values.js'
import { needlessWrapper } from './kinds/needless-wrapper.js'
import { covered, empty, outside, switchedOff } from './kinds/never-seen.js'
import { largePicture, outlinedText } from './kinds/pictures.js'
import { smallOverlap } from './kinds/small-overlap.js'
import { wrongBox } from './kinds/wrong-box.js'
import { compareLook } from './look.js'

/** All kinds, in the order they are listed and mended: first what nobody sees, then what holds what. */
export const FINDING_KINDS: readonly FindingKind[] = [
  covered,
  outside,
  empty,
  switchedOff,
  needlessWrapper,
  wrongBox,
  smallOverlap,
  looseVectors,
  background,
  floating,
  doubtfulReading,
  ambiguousPlace,
  fixedText,
  mixedSpacing,
  nearColors,
  nearTextSizes,
  nearRadii,
  drawnDifferently,
  idleName,
  largePicture,
  outlinedText,
  lowContrast,
  smallText,
  smallTarget,
]

export type Report = {
  readonly findings: readonly Finding[]
  readonly grades: readonly Grade[]
}

/** Looks through every visible screen of a design for what makes worse code. */
export const findAll = (design: Design, measure: TextMeasure): Report => {
  const keys = new Set<string>()
  walkScreens(design, (layer) => keys.add(layer.key))
  const resolved = new Map(resolveInstances(design).map((screen) => [screen.key, screen]))
  const findings: Finding[] = []
  const grades: Grade[] = []
  for (const screen of design.screens) {
    if (!screen.visible) continue
    const entries = listEntries(screen)
    const context: ScreenContext = {
      design,
      screen,
      entries,
      byKey: new Map(entries.map((entry) => [entry.layer.key, entry])),
      layout: inferLayout(resolved.get(screen.key)!, { measure, assets: design.assets }),
      measure,
      freeKey: (wanted) => freeKey(wanted, keys),
    }
    for (const kind of FINDING_KINDS) {
      const { id, area, severity } = kind
      for (const found of kind.find(context)) {
        findings.push({
          ...found,
          id: `${id}:${found.layers.slice(0, 3).join(',')}`,
          kind: id,
          area,
          severity: found.severity ?? severity,
          screen: screen.key,
        })
      }
    }
    grades.push(gradeScreen(screen, entries.length - 1, findings))
  }
  return { findings, grades }
}

// What a drawing program rounds.
const ROUNDING_PX = 0.02

/** Whether a remedy changes the look of a design by no more than it says; this is measured, not trusted. */
export const keepsItsWord = (before: Design, after: Design, { change }: Remedy): boolean => {
  const look = compareLook(before, after)
  return (
    look.lost.length === 0 &&
    look.px <= change.px + ROUNDING_PX &&
    look.deltaE <= change.deltaE + ROUNDING_PX
  )
}

export type Mended = {
  readonly design: Design
  readonly edits: readonly SingleEdit[]
  /** Remedies left out because they would have changed the look by more than they say. */
  readonly refused: readonly Finding[]
}

const MOST_ROUNDS = 12

/** All remedies at once, if they all apply and the design then looks as the boldest of them says. */
const tryTogether = (design: Design, remedies: readonly Remedy[]): Design | undefined => {
  if (remedies.length === 0) return undefined
  const next = applyEdits(
    design,
    remedies.flatMap((remedy) => remedy.edits),
  )
  const change = {
    px: Math.max(...remedies.map((remedy) => remedy.change.px)),
    deltaE: Math.max(...remedies.map((remedy) => remedy.change.deltaE)),
  }
  const isTrue =
    next.adrift.length === 0 && keepsItsWord(design, next.design, { ...remedies[0]!, change })
  return isTrue ? next.design : undefined
}

/**
 * Applies the remedies of all findings that `wants` picks, again and again until none is left: what one
 * mends, another may build on. Each is applied only if the design then looks as it says.
 */
export const mendAll = (
  design: Design,
  measure: TextMeasure,
  wants: (finding: Finding) => boolean,
): Mended => {
  let current = design
  const edits: SingleEdit[] = []
  const refused = new Map<string, Finding>()
  for (let round = 0; round < MOST_ROUNDS; round++) {
    const start = current
    // In one round a layer is mended once: what else was found for it was found before it changed.
    const touched = new Set<string>()
    const chosen = findAll(current, measure).findings.flatMap((finding) => {
      const { remedy } = finding
      if (!remedy || !wants(finding) || refused.has(finding.id)) return []
      if (finding.layers.some((layer) => touched.has(layer))) return []
      finding.layers.forEach((layer) => touched.add(layer))
      return [{ finding, remedy }]
    })
    const together = tryTogether(
      current,
      chosen.map(({ remedy }) => remedy),
    )
    if (together) {
      edits.push(...chosen.flatMap(({ remedy }) => remedy.edits))
      current = together
    } else {
      for (const { finding, remedy } of chosen) {
        const next = applyEdits(current, remedy.edits)
        if (next.adrift.length > 0) continue
        if (!keepsItsWord(current, next.design, remedy)) {
          refused.set(finding.id, finding)
          continue
        }
        edits.push(...remedy.edits)
        current = next.design
      }
    }
    if (current === start) break
  }
  return { design: current, edits, refused: [...refused.values()] }
}

export type { Finding, FindingKind, Grade, ReadingChoice, Remedy }
