import { Case, type RolePage } from '../page.js'
import { flowOf, isPainted, saidBy, walkViews, type View } from '../view.js'
import { isNamed } from '../words.js'

const LESS = /^[-−–]$/u
const MORE = /^[+＋]$/u
const NUMBER = /^\d{1,6}$/
/** The sides of a stepper, in px. */
const HIGHEST = 72
const WIDEST = 280
/** A stroke drawn for a minus is no thicker, in px. */
const STROKE_PX = 5

/** What is drawn of a sign: the innermost thing in what is pressed. */
const signIn = (view: View): View => {
  let inner = view
  while (inner.children.length === 1) inner = inner.children[0]!
  return inner
}

const isLess = (view: View): boolean => {
  if (view.texts.length > 0) return LESS.test(saidBy(view))
  const { width, height } = signIn(view)
  return height <= STROKE_PX && width >= 6 && width <= 32
}

const isMore = (view: View): boolean => {
  if (view.texts.length > 0) return MORE.test(saidBy(view))
  const { width, height } = signIn(view)
  return Math.abs(width - height) <= 2 && width >= 6 && width <= 40
}

const isNumber = (view: View): boolean => view.texts.length === 1 && NUMBER.test(saidBy(view))

/** A number between a minus and a plus, which count it down and up. */
const readStepper = (page: RolePage, view: View): boolean => {
  const isSaid = page.is(view, 'spinbutton')
  const parts = flowOf(view)
  const [less, number, more] = parts
  if (!less || !number || !more || parts.length !== 3 || !isNumber(number)) return false
  if (!isSaid && (view.height > HIGHEST || view.width > WIDEST)) return false
  const own = new Case()
    .for(0.75, 'a number stands between a minus and a plus', isLess(less) && isMore(more))
    .for(0.1, 'both are boxes of their own', isPainted(less) && isPainted(more))
    .for(0.1, 'a line or ground holds them together', isPainted(view))
    .for(0.3, 'its name says so', isNamed(view.words, 'stepper'))
  if (!isSaid && own.confidence < 0.7) return false
  page.set(view, { role: 'spinbutton', confidence: own.confidence, evidence: own.evidence })
  const { confidence } = page.readings.get(view.key)!
  const [field] = number.texts
  const evidence = ['it is part of a stepper']
  page.set(field!, {
    role: 'textbox',
    confidence,
    evidence,
    input: 'number',
    stepper: view.key,
  })
  for (const [part, by] of [
    [less, -1],
    [more, 1],
  ] as const) {
    page.set(part, {
      role: 'button',
      confidence,
      evidence,
      steps: { by, field: field!.key },
    })
  }
  return true
}

/** Steppers: numbers that are counted up and down. */
export const readSteppers = (page: RolePage): void => {
  walkViews(page.root, (view) => !readStepper(page, view))
}
