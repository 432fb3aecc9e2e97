import { isBarKey } from '../../../design/node-key.js'
import type { RolePage } from '../page.js'
import { CONTROL_ROLES, type RoleReading } from '../reading.js'
import { saidBy, walkViews, type View } from '../view.js'
import { isNamed } from '../words.js'
import { setLink } from './links.js'
import { isLabel } from './navigation.js'

const HEAD_PX = 200
/** A head begins where the page does, but for the room around what it holds, in px. */
const ROOM_ABOVE = 48

/** The outermost container that holds more than one part of the page. */
const partsOf = (root: View): View => {
  let view = root
  while (view.children.length === 1 && view.children[0]!.children.length > 0)
    view = view.children[0]!
  return view
}

const holds = (page: RolePage, view: View, ...roles: readonly RoleReading['role'][]): boolean => {
  let found = false
  walkViews(view, (inner) => {
    found ||= page.is(inner, ...roles)
    return !found
  })
  return found
}

/** Head and foot of the page, and what is between them. */
export const readBands = (page: RolePage): void => {
  const body = partsOf(page.root)
  if (body.node.arrangement.kind !== 'column' || body.children.length < 2) return
  const isWide = (view: View): boolean => view.width >= page.root.width * 0.9
  const [first] = body.children
  const last = body.children.at(-1)!
  const isAtTop = first && first.y <= ROOM_ABOVE && first.width >= page.root.width * 0.75
  // The bar that a rail becomes is there in narrow windows only.
  if (isAtTop && first.height <= HEAD_PX && !isBarKey(first.key)) {
    const isHead = holds(page, first, 'navigation', 'link') || isNamed(first.words, 'header')
    const evidence = ['it stands at the top of the page, with links']
    if (isHead && page.roleOf(first) !== 'navigation')
      page.set(first, { role: 'banner', confidence: 0.85, evidence })
  }
  if (isFoot(page, last) && isWide(last)) setFoot(page, last)
  else readInnerFoot(page, last)
}

const FOOT_PX = 160
/** The end of a page reaches to its end, but for the room around what it holds, in px. */
const ROOM_BELOW = 80
/** Who owns what the page says. */
const OWNER = /©|\(c\)|copyright/iu

/** Small, without anything to fill in, and no title of what follows. */
const isFoot = (page: RolePage, view: View): boolean =>
  view.y + view.height >= page.root.height - ROOM_BELOW &&
  view.y > page.root.height * 0.5 &&
  view.height <= Math.max(FOOT_PX, page.root.height * 0.2) &&
  view.texts.length > 0 &&
  !holds(page, view, ...CONTROL_ROLES, 'heading')

const setFoot = (page: RolePage, foot: View): void => {
  const evidence = ['it stands at the end of the page']
  if (!page.set(foot, { role: 'contentinfo', confidence: 0.8, evidence })) return
  // Short words in a line of it lead somewhere; who owns the page does not.
  walkViews(foot, (view) => {
    const labels = view.children.filter(
      (child) => isLabel(child) && !OWNER.test(saidBy(child)) && !/\d/.test(saidBy(child)),
    )
    if (labels.length < 2) return
    for (const label of labels.filter((one) => page.roleOf(one) === undefined))
      setLink(page, label, 0.7, 'it is one of several short words at the end of the page')
  })
}

/** The last of what stands in the middle of a page is its foot when it says who owns the page. */
const readInnerFoot = (page: RolePage, last: View): void => {
  const saysOwner = last.texts.some((text) => OWNER.test(saidBy(text)))
  if (saysOwner && isFoot(page, last)) setFoot(page, last)
  else if (last.node.arrangement.kind === 'column' && last.children.length > 1)
    readInnerFoot(page, last.children.at(-1)!)
}

/** What is in a part of the page. */
type Content = {
  readonly fields: number
  readonly buttons: readonly View[]
  readonly isClosed: boolean
}

const holdsSearch = (page: RolePage, view: View): boolean =>
  page.readings.get(view.key)?.input === 'search' ||
  view.children.some((child) => holdsSearch(page, child))

/** Forms: the smallest part of the page that holds fields and the button that sends them. */
export const readForms = (page: RolePage): void => {
  const visit = (view: View): Content => {
    const inside = view.children.map(visit)
    const content: Content = {
      fields: inside.reduce(
        (sum, part) => sum + part.fields,
        page.is(view, ...CONTROL_ROLES) ? 1 : 0,
      ),
      buttons: [
        ...(page.is(view, 'button') ? [view] : []),
        ...inside.flatMap((part) => part.buttons),
      ],
      // A form in a form is none, and what leads through the site is part of none.
      isClosed:
        inside.some((part) => part.isClosed) ||
        page.is(view, 'navigation', 'banner', 'form', 'search'),
    }
    const { fields, buttons, isClosed } = content
    const [button] = buttons
    const isWhole = fields >= 1 && button !== undefined && buttons.length <= fields + 2
    if (!isWhole || isClosed || view === page.root) return content
    const evidence = [`it holds ${fields === 1 ? 'a field' : `${fields} fields`} and a button`]
    const isSearch = fields === 1 && holdsSearch(page, view)
    const found = {
      role: isSearch ? 'search' : 'form',
      confidence: 0.8,
      evidence: isSearch ? [...evidence, 'the field is for words to look for'] : evidence,
    } as const
    // A dialog stays one, and holds the form.
    if (page.is(view, 'dialog')) page.setRun(view.children, found)
    else if (!page.set(view, found)) return content
    page.amend(button, { submits: true })
    return { ...content, isClosed: true }
  }
  visit(page.root)
}
