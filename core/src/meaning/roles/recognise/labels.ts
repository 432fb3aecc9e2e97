import type { RolePage } from '../page.js'
import { isWarning } from '../paint.js'
import { CONTROL_ROLES, FIELD_ROLES } from '../reading.js'
import { isInLine, saidBy, siblingsOf, walkViews, type View } from '../view.js'
import { inputTypeOf } from '../words.js'

const ABOVE_PX = 32
const BESIDE_PX = 240
const HELP_PX = 14

/** What stands beside a field, and beside the container of which it is the last. */
const around = (field: View): readonly View[] => {
  const { parent } = field
  const isLast = parent?.parent !== undefined && parent.children.at(-1) === field
  return isLast ? [...siblingsOf(field), ...siblingsOf(parent)] : siblingsOf(field)
}

/** Words in small type right below a field. */
const findHelp = (page: RolePage, field: View): View | undefined =>
  around(field).find((text) => {
    const { layer } = text.node
    const gap = text.y - (field.y + field.height)
    return (
      layer.type === 'text' &&
      isFree(page, text) &&
      layer.style.size <= 14 &&
      gap >= 0 &&
      gap <= HELP_PX &&
      Math.abs(text.x - field.x) <= 18
    )
  })

const REQUIRED =
  /[*＊]\s*$|\((required|erforderlich|pflichtfeld|obligatoire|obligatorio|requerido)\)\s*$/iu

/** The words that name a field end with a mark that it must be filled in, or one stands right behind them. */
const isMarkedRequired = (label: View): boolean =>
  REQUIRED.test(saidBy(label)) ||
  siblingsOf(label).some(
    (other) =>
      /^[*＊]$/u.test(saidBy(other)) &&
      isInLine(other, label) &&
      other.x >= label.x + label.width - 1 &&
      other.x - label.x - label.width <= 12,
  )

const isFree = (page: RolePage, text: View): boolean => page.roleOf(text) === undefined

/** A person has said that it is a label; of what is still to be found. */
const isLabelOfNothing = (page: RolePage, text: View): boolean => {
  const reading = page.readings.get(text.key)
  return reading?.role === 'label' && reading.names === undefined
}

/** What is ticked has its words behind it, no further away in px. */
const BEHIND_PX = 24
const TICKED = ['checkbox', 'radio', 'switch'] as const

/** How far a text stands from a control it may name, in px: above it, before it in its line, or behind what is ticked. */
const distanceTo = (text: View, field: View, isTicked: boolean): number | undefined => {
  const behind = text.x - (field.x + field.width)
  if (isTicked && isInLine(text, field) && behind >= 0 && behind <= BEHIND_PX) return behind
  const above = field.y - (text.y + text.height)
  const begins = Math.abs(text.x - field.x) <= 18
  if (begins && above > -6 && above <= ABOVE_PX) return Math.max(0, above)
  const before = field.x - (text.x + text.width)
  if (isInLine(text, field) && before > 0 && before <= BESIDE_PX) return 40 + before
  return undefined
}

const findLabel = (
  page: RolePage,
  field: View,
  inside: ReadonlySet<View>,
  isTicked: boolean,
): View | undefined => {
  let scope: View | undefined = field.parent
  for (let i = 0; scope && i < 4; i++, scope = scope.parent) {
    const near = scope.texts
      .filter((text) => isFree(page, text) || isLabelOfNothing(page, text))
      .filter((text) => !inside.has(text) && /\p{L}{2}/u.test(saidBy(text)))
      .map((text) => ({ text, distance: distanceTo(text, field, isTicked) }))
      .filter((one): one is { text: View; distance: number } => one.distance !== undefined)
      .sort((a, b) => a.distance - b.distance)
    if (near[0]) return near[0].text
  }
  return undefined
}

/** The box of a control: of a number that is counted, that of the whole stepper. */
const boxOf = (page: RolePage, control: View): View => {
  const { stepper } = page.readings.get(control.key)!
  let view = control
  while (stepper !== undefined && view.key !== stepper && view.parent) view = view.parent
  return view
}

/** The words that name each control, and what a text field takes. */
export const readLabels = (page: RolePage): void => {
  const controls: View[] = []
  walkViews(page.root, (view) => {
    const isControl = page.is(view, ...CONTROL_ROLES)
    if (isControl) controls.push(view)
    return !isControl
  })
  // What a field shows names no other field.
  const inside = new Set(controls.flatMap((control) => control.texts))
  const texts = new Map(page.root.texts.map((text) => [text.key, text]))
  for (const control of controls) {
    const reading = page.readings.get(control.key)!
    const known = reading.labelledBy === undefined ? undefined : texts.get(reading.labelledBy)
    const isTicked = page.is(control, ...TICKED)
    const label = known ?? findLabel(page, boxOf(page, control), inside, isTicked)
    if (reading.role === 'textbox' && !reading.input) {
      page.amend(control, { input: inputTypeOf(label ? saidBy(label) : '', saidBy(control)) })
    }
    const help = page.is(control, ...FIELD_ROLES) ? findHelp(page, boxOf(page, control)) : undefined
    if (help) {
      page.amend(control, {
        describedBy: help.key,
        ...(isWarning(help) ? { isInvalid: true } : {}),
      })
    }
    if (!label) continue
    if (isMarkedRequired(label) && reading.isRequired === undefined) {
      page.amend(control, { isRequired: true })
    }
    if (isLabelOfNothing(page, label)) {
      page.amend(label, { names: control.key })
      page.amend(control, { labelledBy: label.key })
      continue
    }
    const named = page.set(label, {
      role: 'label',
      confidence: reading.confidence,
      evidence: ['it stands beside a control'],
      names: control.key,
    })
    if (named) page.amend(control, { labelledBy: label.key })
  }
}
