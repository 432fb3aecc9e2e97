import { Case, type RolePage } from '../page.js'
import { contrastOf, surfaceOf } from '../paint.js'
import { FIELD_ROLES, type RoleReading } from '../reading.js'
import {
  isInLine,
  isPainted,
  isRound,
  roomBetween,
  saidBy,
  siblingsOf,
  walkViews,
  type View,
} from '../view.js'
import { isNamed } from '../words.js'

/** Heights of controls, in px. */
const LEAST_PX = 22
const MOST_PX = 96
const LEAST_FIELD_WIDTH = 60
/** `large`: where several stand below each other. */
const TICK_PX = { least: 9, most: 28, large: 48 }
const BADGE_PX = 26
const ICON_PX = 32
/** A button says no more than this. */
const LONGEST_LABEL = 32
/** Hints are paler than what is to be read. */
const HINT_CONTRAST = 2.5
/** What points down is so much wider than high. */
const FLAT = 1.25
/** What nobody has filled in yet is seldom a whole sentence. */
const SENTENCE = /^.{24,}[.!。]$/su

const isDrawn = (view: View): boolean =>
  isPainted(view) &&
  ['rectangle', 'frame', 'ellipse', 'group', 'path'].includes(view.node.layer.type)

/** The first text right of a box in its line, in the boxes so many levels around it, and no further away in px. */
const firstRightOf = (view: View, levels: number, mostPx: number): View | undefined => {
  const end = view.x + view.width
  let scope: View | undefined = view.parent
  for (let i = 0; scope && i < levels; i++, scope = scope.parent) {
    const [first] = scope.texts
      .filter((text) => text.x >= end - 1 && text.x - end <= mostPx && isInLine(text, view))
      .sort((a, b) => a.x - b.x)
    if (first) return first
  }
  return undefined
}

/** The nearest text that begins right of a small box, in its line. */
const textBeside = (view: View): View | undefined => firstRightOf(view, 2, 20)

/** No other box of its size stands beside it: choices come in twos at least. */
const isSingle = (box: View): boolean =>
  !siblingsOf(box).some(
    (other) =>
      isDrawn(other) &&
      Math.abs(other.width - box.width) <= 2 &&
      Math.abs(other.height - box.height) <= 2,
  )

/** It stands in a quiet box with the only words there, as a sign does in a field. */
const isSignInField = ({ parent: box }: View): boolean =>
  box !== undefined &&
  isDrawn(box) &&
  box.height <= MOST_PX &&
  box.width >= 2 * LEAST_FIELD_WIDTH &&
  box.texts.length === 1 &&
  isSingle(box)

/** It may be ticked by its shape: a square or a circle with no words in it. */
const isTickShaped = (view: View, most: number): boolean =>
  Math.min(view.width, view.height) >= TICK_PX.least &&
  Math.max(view.width, view.height) <= most &&
  Math.abs(view.width - view.height) <= 2 &&
  isDrawn(view) &&
  view.texts.length === 0 &&
  view.children.length <= 2

/** The first words in the line of a small box, right of it. */
const wordsOfRow = (view: View): string | undefined => {
  const first = firstRightOf(view, 4, Infinity)
  return first && saidBy(first)
}

/** Rows that are chosen by a box at their beginning: no fewer than these. */
const FEWEST_ROWS = 3

/**
 * Boxes of one size that stand below each other, each with words in its line: how many there are, by the box. Circles
 * that nothing names are points or pictures.
 */
const findSeries = (root: View): ReadonlyMap<View, number> => {
  const series: View[][] = []
  walkViews(root, (view) => {
    if (!isTickShaped(view, TICK_PX.large) || !surfaceOf(view).isOutlined) return
    if (wordsOfRow(view) === undefined || (isRound(view) && !textBeside(view))) return
    const own = series.find(
      ([first]) =>
        Math.abs(first!.x - view.x) <= 1 &&
        Math.abs(first!.width - view.width) <= 1 &&
        isRound(first!) === isRound(view),
    )
    if (own) own.push(view)
    else series.push([view])
  })
  return new Map(series.flatMap((own) => own.map((view) => [view, own.length] as const)))
}

/** Check boxes and radio buttons: small squares and circles with words beside them, or at the beginnings of rows. */
const readTick = (page: RolePage, view: View, series: ReadonlyMap<View, number>): boolean => {
  const { width } = view
  const alike = series.get(view) ?? 1
  if (!isTickShaped(view, alike > 1 ? TICK_PX.large : TICK_PX.most)) return false
  const label = textBeside(view)
  const says = label ? undefined : wordsOfRow(view)
  const surface = surfaceOf(view)
  const round = isRound(view)
  const isMarked = view.marks.some((mark) => mark !== view)
  const own = new Case()
    .for(
      0.45,
      round ? 'a small circle with a line around it' : 'a small square with a line around it',
      surface.isOutlined,
    )
    .for(0.35, 'words begin right beside it', label !== undefined)
    .for(0.35, 'it begins one of several rows', !label && !round && alike >= FEWEST_ROWS)
    .for(0.2, 'a sign stands in it', isMarked && !round)
    .for(0.3, 'its name says so', isNamed(view.words, round ? 'radio' : 'check'))
    .for(0.1, 'it has the size of one', width >= 12 && width <= 24)
    .for(-0.5, '', !surface.isOutlined && !isMarked)
    .for(-0.5, '', isSignInField(view))
  if (own.confidence < 0.6) return false
  const isOn = isMarked || surface.isStrong
  return page.setInCell(view, {
    role: round ? 'radio' : 'checkbox',
    confidence: own.confidence,
    evidence: own.evidence,
    isOn,
    ...(label ? { labelledBy: label.key } : {}),
    ...(says === undefined ? {} : { says }),
  })
}

/** A pill with a circle at one of its ends. */
const readSwitch = (page: RolePage, view: View): boolean => {
  const { width, height } = view
  const isPill = height >= 12 && height <= 36 && width >= height * 1.4 && width <= height * 2.6
  if (!isPill || !isDrawn(view) || !isRound(view) || view.texts.length > 0) return false
  const [knob, ...others] = view.children
  if (!knob || others.length > 0 || !isRound(knob) || Math.abs(knob.width - knob.height) > 2)
    return false
  if (knob.height < height * 0.5) return false
  const isOn = knob.x + knob.width / 2 > view.x + width / 2
  const label = textBeside(view)
  const evidence = ['a pill with a circle at one end']
  return page.set(view, {
    role: 'switch',
    confidence: 0.9,
    evidence,
    isOn,
    ...(label ? { labelledBy: label.key } : {}),
  })
}

/** Room at both sides of what is in a box, in px. */
const roomAround = (view: View, inner: readonly View[]): { left: number; right: number } => ({
  left: Math.min(...inner.map((one) => one.x)) - view.x,
  right: view.x + view.width - Math.max(...inner.map((one) => one.x + textWidth(one))),
})

/** The texts in a view that can be seen: hints that a label lies over are drawn all the same. */
const seenTexts = (view: View): readonly View[] =>
  view.texts.length < 2 ? view.texts : view.texts.filter((text) => contrastOf(text) > 1.1)

/** A text that fills its column says little about where its words end: they are as wide as they were drawn. */
const textWidth = (view: View): number =>
  view.node.layer.type === 'text' ? Math.min(view.width, view.node.layer.box.width) : view.width

const isCentred = (view: View, inner: readonly View[]): boolean => {
  const { left, right } = roomAround(view, inner)
  const [only] = inner
  if (only?.node.layer.type === 'text' && only.node.layer.align === 'centre') return true
  return Math.abs(left - right) <= Math.max(3, view.width * 0.06)
}

const isSmallMark = (mark: View): boolean => Math.max(mark.width, mark.height) <= ICON_PX

/** What a control may hold: a line of words and small signs. */
const holdsLittle = (view: View): boolean =>
  seenTexts(view).length <= 1 && view.marks.every((mark) => mark === view || isSmallMark(mark))

/** A field of the same width stands above or below it. */
const hasTwin = (page: RolePage, view: View): boolean =>
  siblingsOf(view).some(
    (other) =>
      page.is(other, ...FIELD_ROLES) &&
      Math.abs(other.width - view.width) <= 2 &&
      Math.abs(other.x - view.x) <= 2,
  )

const touchesField = (page: RolePage, view: View): boolean =>
  siblingsOf(view).some(
    (other) =>
      page.is(other, 'textbox', 'combobox') &&
      Math.abs(other.height - view.height) <= 4 &&
      Math.abs(roomBetween(view, other)) <= 3,
  )

/** A box with words that touches an empty one, on another ground: it says what goes into that. */
const isAddon = (view: View): boolean =>
  view.texts.length === 1 &&
  siblingsOf(view).some(
    (other) =>
      isDrawn(other) &&
      other.texts.length === 0 &&
      Math.abs(other.height - view.height) <= 2 &&
      Math.abs(other.y - view.y) <= 2 &&
      other.width > view.width &&
      Math.abs(roomBetween(view, other)) <= 2,
  )

/** What is found of a box that may be one control or another. */
type Candidate = {
  readonly role: RoleReading['role']
  readonly confidence: number
  readonly evidence: readonly string[]
  readonly labelledBy?: string
  readonly showsHint?: boolean
}

const fillsOf = ({ node: { layer } }: View): string =>
  JSON.stringify('fills' in layer ? layer.fills : [])

/** Boxes of one ground that touch in a row of three or more are cells of something. */
const isCell = (view: View): boolean => {
  const row = siblingsOf(view).filter(
    (other) => Math.abs(other.y - view.y) <= 2 && Math.abs(other.height - view.height) <= 2,
  )
  const touches = row.some((other) => Math.abs(roomBetween(view, other)) <= 2)
  if (!touches) return false
  const fills = fillsOf(view)
  return row.filter((other) => isDrawn(other) && fillsOf(other) === fills).length >= 2
}

/** Text fields, text areas and selects: wide quiet boxes with a line around or below. */
const asField = (page: RolePage, view: View): Candidate | undefined => {
  const { width, height } = view
  if (height < LEAST_PX || height > 320 || width < LEAST_FIELD_WIDTH || !isDrawn(view))
    return undefined
  if (view.node.layer.type === 'path' || !holdsLittle(view) || view.children.length > 4)
    return undefined
  const isArea = height > MOST_PX
  const surface = surfaceOf(view)
  // A white field stands out from a dark page, and is a quiet box all the same.
  const isLoud = surface.isStrong && !surface.isWhite
  const [text] = seenTexts(view)
  const marks = view.marks.filter((mark) => mark !== view)
  // A sign may stand before the words, as a lens does where something is looked for.
  const before = isSingle(view)
    ? marks.filter((mark) => text && isSmallMark(mark) && mark.x < text.x)
    : []
  const room = text && {
    left: roomAround(view, [...before, text]).left,
    right: roomAround(view, [text]).right,
  }
  const sign = marks.at(-1)
  const isOpened =
    sign !== undefined && marks.length === 1 && sign.x > view.x + width * 0.6 && sign.width <= 20
  const startsLeft = room !== undefined && room.left <= Math.max(28, height * 0.6)
  const endsEarly = room !== undefined && room.right >= Math.max(24, room.left * 1.6)
  const isFull = room !== undefined && room.right >= room.left - 6 && room.left <= 20 && width >= 80
  const isEmpty = view.texts.length === 0 && marks.length === 0
  const named =
    isNamed(view.words, 'field') || isNamed(view.words, 'select') || isNamed(view.words, 'area')
  const isAtTop = text !== undefined && text.y - view.y <= 36
  const isPale = text !== undefined && contrastOf(text) < 6
  const isSentence = text !== undefined && SENTENCE.test(saidBy(text))
  const own = new Case()
    .for(0.4, 'a quiet box with a line around it', surface.isOutlined && !isLoud)
    .for(0.3, 'a line below it and nothing around', surface.isUnderlined && !isLoud)
    .for(0.15, 'a quiet box', surface.isFilled && !isLoud && !surface.isOutlined)
    .for(
      0.25,
      'its words begin at the start and leave room',
      startsLeft && endsEarly && (!isArea || isAtTop),
    )
    .for(0.1, 'its words begin at the start', startsLeft && !endsEarly && isFull)
    .for(0.15, 'its words are pale, as a hint is', isPale)
    .for(0.2, 'it is empty', isEmpty && (!isArea || height <= 240))
    .for(0.2, 'it is empty but for a sign at its end', view.texts.length === 0 && isOpened)
    .for(0.15, 'it is much wider than high', width >= height * 3)
    .for(0.35, 'its name says so', named)
    .for(0.25, 'a sign at its end opens it', isOpened && startsLeft)
    .for(0.3, 'a field beside it is as wide', hasTwin(page, view))
    .for(-0.3, '', isSentence && !isPale && !named)
    .for(-0.5, '', isCell(view))
    .for(-0.6, '', isAddon(view))
    .for(-0.5, '', isLoud)
    .for(-0.3, '', isNamed(view.words, 'button'))
    .for(-0.35, '', !isEmpty && !startsLeft && !(text === undefined && isOpened))
    .for(-0.35, '', text !== undefined && isCentred(view, [text]) && !isFull)
    .for(-0.3, '', isArea && !isEmpty && !isAtTop)
    .for(-0.25, '', isArea && !named && !isEmpty && !isPale)
    .for(-0.2, '', isArea && width < height)
  if (own.confidence < 0.6) return undefined
  // A flat sign points down; a square one is a lens, a tick or a calendar as well, where the words are a hint.
  const isOpener = isOpened && (sign.width >= sign.height * FLAT || !isPale)
  const isSelect = (isOpener && !isArea && text !== undefined) || isNamed(view.words, 'select')
  const role = isSelect ? 'combobox' : isArea ? 'textarea' : 'textbox'
  // A label may lie over the hint, which is seen once the field is used.
  const floating = text && view.texts.length === 2 ? { labelledBy: text.key } : {}
  const hint = isPale ? { showsHint: true } : {}
  return { role, confidence: own.confidence, evidence: own.evidence, ...hint, ...floating }
}

/** A higher box with words stands in its line: beside a button, a pill tells a state. */
const standsBesideLarger = (view: View): boolean =>
  siblingsOf(view).some(
    (other) =>
      isDrawn(other) &&
      other.texts.length === 1 &&
      other.height >= view.height * 1.25 &&
      other.height <= MOST_PX &&
      other.y <= view.y &&
      other.y + other.height >= view.y + view.height,
  )

/** Buttons: boxes that stand out, or that are named so, with a short word or a sign in the middle. */
const asButton = (page: RolePage, view: View): Candidate | undefined => {
  const { width, height } = view
  const isNamedSo = isNamed(view.words, 'button')
  const isBox = isDrawn(view) || (isNamedSo && view.children.length > 0)
  if (height < (isNamedSo ? 12 : 18) || height > MOST_PX || !isBox || !holdsLittle(view))
    return undefined
  if (view.node.layer.type === 'path' && view.children.length === 0) return undefined
  const surface = surfaceOf(view)
  const said = saidBy(view)
  const inner = [...view.texts, ...view.marks.filter((mark) => mark !== view)]
  if (inner.length === 0) return undefined
  const hasWords = /\p{L}/u.test(said)
  const isSquare = Math.abs(width - height) <= 6
  const [text] = view.texts
  const size = text?.node.layer.type === 'text' ? text.node.layer.style.size : 16
  const isBadge = height <= BADGE_PX && size <= 13
  const own = new Case()
    .for(0.4, 'it stands out from what is behind it', surface.isStrong)
    .for(0.3, 'it has a line around it', surface.isOutlined && !surface.isStrong)
    .for(0.3, 'its content stands in the middle', isCentred(view, inner))
    .for(0.15, 'it says a few words', hasWords && said.length <= LONGEST_LABEL)
    .for(0.15, 'it is a square with a sign', !hasWords && isSquare && view.marks.length > 0)
    .for(0.35, 'its name says so', isNamedSo)
    .for(-0.45, '', isBadge && !isNamedSo)
    .for(-0.3, '', isNamed(view.words, 'badge'))
    .for(-0.4, '', isRound(view) && standsBesideLarger(view) && !isNamedSo)
    .for(-0.3, '', said.length > LONGEST_LABEL)
    .for(-0.4, '', !hasWords && said.length > 0)
    .for(-0.4, '', touchesField(page, view) && (!surface.isStrong || !hasWords))
    // Signs in boxes that touch are a group of buttons.
    .for(-0.5, '', isCell(view) && (hasWords || !isSquare) && !isNamedSo)
    .for(-0.5, '', page.root.width >= 700 && width > page.root.width * 0.6)
    .for(-0.2, '', height < 24 && !isNamedSo)
    // Hints are so pale, words to press are not.
    .for(-0.25, '', text !== undefined && !surface.isStrong && contrastOf(text) < HINT_CONTRAST)
  if (own.confidence < 0.65) return undefined
  return { role: 'button', confidence: own.confidence, evidence: own.evidence }
}

/** Boxes of one height and roundness in a row, each with a word in it: chips, of which one may be chosen. */
const chipsIn = (view: View): readonly View[] => {
  const boxes = view.children.filter(
    (child) =>
      isDrawn(child) &&
      child.texts.length === 1 &&
      child.height >= LEAST_PX &&
      saidBy(child).length <= LONGEST_LABEL &&
      !isCell(child),
  )
  const [first] = boxes
  const isRun =
    first !== undefined &&
    boxes.length >= 3 &&
    boxes.every(
      (box) =>
        Math.abs(box.height - first.height) <= 2 &&
        Math.abs(box.y - first.y) <= 2 &&
        isRound(box) === isRound(first),
    )
  return isRun ? boxes : []
}

/** What is like a button beside it in all but its colour is one too. */
const readChips = (page: RolePage): void => {
  walkViews(page.root, (view) => {
    const chips = chipsIn(view)
    if (!chips.some((chip) => page.is(chip, 'button'))) return
    for (const chip of chips.filter((one) => page.roleOf(one) === undefined)) {
      const evidence = ['it is shaped as the buttons beside it']
      page.set(chip, { role: 'button', confidence: 0.7, evidence })
    }
  })
}

/** All controls of a page. What stands in a control is part of it. */
export const readControls = (page: RolePage): void => {
  const fields = new Set<View>()
  const series = findSeries(page.root)
  walkViews(page.root, (view) => {
    if (view === page.root) return true
    if (readTick(page, view, series) || readSwitch(page, view)) {
      fields.add(view)
      return false
    }
    const field = asField(page, view)
    // What looks more like a button is looked at again, when all fields are known.
    const isField = field && field.confidence >= (asButton(page, view)?.confidence ?? 0)
    if (isField && page.set(view, field)) fields.add(view)
    return !fields.has(view)
  })
  walkViews(page.root, (view) => {
    if (fields.has(view)) return false
    if (page.roleOf(view) === 'link') return false
    const button = view === page.root ? undefined : asButton(page, view)
    return !button || !page.set(view, button)
  })
  readChips(page)
}
