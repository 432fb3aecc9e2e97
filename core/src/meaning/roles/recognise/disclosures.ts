import { Case, type RolePage } from '../page.js'
import { runKeyOf } from '../reading.js'
import { flowOf, isPainted, saidBy, walkViews, type View } from '../view.js'
import { isNamed } from '../words.js'

const LEAST_ITEMS = 2
const LEAST_WIDTH = 200
/** A row that opens something is no higher, in px; the sign at its end no larger. */
const ROW_PX = 112
const SIGN_PX = 28
const QUESTION = /[?？]\s*$/u

/** Signs that files write as letters. */
const WRITTEN_SIGN = /^[+−–×▾▿▼▽▸▹►›⌄⌃∨∧˅˄-]$/u

const isWrittenSign = (text: View): boolean => WRITTEN_SIGN.test(saidBy(text))

/** A line of words with a sign at its end. */
const isHead = (view: View): boolean => {
  const [text, ...others] = view.texts.filter((one) => !isWrittenSign(one))
  const sign = view.marks.at(-1) ?? view.texts.find(isWrittenSign)
  if (!text || others.length > 0 || !sign || view.marks.length > 2) return false
  return (
    view.width >= LEAST_WIDTH &&
    view.height <= ROW_PX &&
    Math.max(sign.width, sign.height) <= SIGN_PX &&
    sign.x >= view.x + view.width * 0.75 &&
    text.x <= view.x + view.width * 0.3
  )
}

type Item = { readonly view: View; readonly head: View; readonly isOpen: boolean }

/** A row alone, or a row with what it opens below it. */
const asItem = (view: View): Item | undefined => {
  if (isHead(view)) return { view, head: view, isOpen: false }
  const [head, ...body] = flowOf(view)
  const isPair =
    view.node.arrangement.kind === 'column' &&
    head !== undefined &&
    isHead(head) &&
    body.some((part) => part.texts.length > 0)
  return isPair ? { view, head, isOpen: true } : undefined
}

const areLined = (items: readonly Item[]): boolean =>
  items.filter(({ view }) => isPainted(view)).length >= items.length - 1

/** The longest run of neighbours that are rows which open something. */
const findItems = (page: RolePage, view: View): readonly Item[] => {
  let best: Item[] = []
  let run: Item[] = []
  for (const child of flowOf(view)) {
    const item = page.roleOf(child) === undefined ? asItem(child) : undefined
    run = item ? [...run, item] : []
    if (run.length > best.length) best = run
  }
  return best
}

/** An accordion as a whole container, or as neighbours among other things. */
const readAccordion = (page: RolePage, view: View): boolean => {
  const isSaid = page.is(view, 'accordion')
  if (!isSaid && view.node.arrangement.kind !== 'column') return false
  const items = findItems(page, view)
  if (items.length < LEAST_ITEMS) return false
  const own = new Case()
    .for(0.4, 'rows of words with a sign at their end stand under one another', true)
    .for(
      0.35,
      'words stand below one of the rows, which it opens',
      items.some((item) => item.isOpen),
    )
    .for(
      0.25,
      'they ask something',
      items.every(({ head }) => head.texts.some((text) => QUESTION.test(saidBy(text)))),
    )
    .for(0.1, 'lines or grounds part them', areLined(items))
    .for(0.35, 'its name says so', isNamed(view.words, 'accordion'))
  if (!isSaid && own.confidence < 0.65) return false
  const { confidence, evidence } = own
  const found = { role: 'accordion', confidence, evidence } as const
  const isWhole = items.length === flowOf(view).length && view !== page.root
  if (isWhole) page.set(view, found)
  else
    page.setRun(
      items.map((item) => item.view),
      found,
    )
  for (const { view: item, isOpen } of items) {
    page.set(item, {
      role: 'disclosure',
      confidence,
      evidence: [isOpen ? 'it is a row with what it opens' : 'it is a row that opens something'],
      group: isWhole || isSaid ? view.key : runKeyOf(items[0]!.view.key),
      isOn: isOpen,
    })
  }
  return isWhole
}

/** Accordions: rows that show and hide what belongs to them. */
export const readDisclosures = (page: RolePage): void => {
  walkViews(page.root, (view) => {
    if (page.is(view, 'table', 'navigation', 'link')) return false
    return !readAccordion(page, view)
  })
}
