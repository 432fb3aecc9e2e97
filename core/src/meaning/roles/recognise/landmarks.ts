import type { RolePage } from '../page.js'
import { walkViews, type View } from '../view.js'
import { isNamed } from '../words.js'

const FIELDS = ['textbox', 'textarea', 'combobox', 'checkbox', 'radio', 'switch']
const HEAD_PX = 200

/** The outermost container that holds more than one part of the page. */
const bodyOf = (root: View): View => {
  let view = root
  while (view.children.length === 1 && view.children[0]!.children.length > 0)
    view = view.children[0]!
  return view
}

const holds = (page: RolePage, view: View, ...roles: readonly string[]): boolean => {
  let found = false
  walkViews(view, (inner) => {
    if (roles.includes(page.roleOf(inner) ?? '')) found = true
    return !found
  })
  return found
}

/** Head and foot of the page, and what is between them. */
export const readBands = (page: RolePage): void => {
  const body = bodyOf(page.root)
  if (body.node.arrangement.kind !== 'column' || body.children.length < 2) return
  const isWide = (view: View): boolean => view.width >= page.root.width * 0.9
  const [first] = body.children
  const last = body.children.at(-1)!
  if (first && isWide(first) && first.y <= 8 && first.height <= HEAD_PX) {
    const isHead = holds(page, first, 'navigation', 'link') || isNamed(first.words, 'header')
    const evidence = ['it stands at the top of the page, with links']
    if (isHead && page.roleOf(first) !== 'navigation')
      page.set(first, { role: 'banner', confidence: 0.85, evidence })
  }
  const isLow = last.y + last.height >= page.root.height - 8 && last.y > page.root.height * 0.5
  const isSmall = last.height <= Math.max(160, page.root.height * 0.2)
  if (
    isWide(last) &&
    isLow &&
    isSmall &&
    last.texts.length > 0 &&
    !holds(page, last, ...FIELDS, 'heading')
  ) {
    page.set(last, {
      role: 'contentinfo',
      confidence: 0.8,
      evidence: ['it stands at the end of the page'],
    })
  }
}

const isField = (page: RolePage, view: View): boolean => FIELDS.includes(page.roleOf(view) ?? '')

/** Forms: the smallest part of the page that holds fields and the button that sends them. */
export const readForms = (page: RolePage): void => {
  const count = (view: View): { fields: number; buttons: View[] } => {
    let fields = 0
    const buttons: View[] = []
    walkViews(view, (inner) => {
      if (isField(page, inner)) fields++
      if (page.roleOf(inner) === 'button') buttons.push(inner)
      return true
    })
    return { fields, buttons }
  }
  const visit = (view: View): void => {
    for (const child of view.children) visit(child)
    if (view === page.root || page.roleOf(view) !== undefined) return
    const hasForm = (inner: View): boolean =>
      page.roleOf(inner) === 'form' || inner.children.some(hasForm)
    if (view.children.some(hasForm)) return
    const { fields, buttons } = count(view)
    const isWhole = fields >= 1 && buttons.length >= 1 && buttons.length <= fields + 2
    const button = buttons.at(0)
    if (!isWhole || !button || holds(page, view, 'navigation', 'banner')) return
    const evidence = [`it holds ${fields === 1 ? 'a field' : `${fields} fields`} and a button`]
    if (page.set(view, { role: 'form', confidence: 0.8, evidence }))
      page.amend(button, { submits: true })
  }
  visit(page.root)
}
