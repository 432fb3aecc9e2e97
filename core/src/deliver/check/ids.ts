import type { FaultFinder } from './fault.js'

const TAG = /<[a-z][^<>]*>/g
/** Values of attributes are escaped, so that none holds a quote. */
const ATTRIBUTE = /\s([\w-]+)="([^"]*)"/g
/** Attributes that name other elements of the page by their ids, one or several. */
const REFERRING = new Set([
  ...['for', 'form', 'list', 'headers', 'popovertarget', 'commandfor'],
  ...['aria-controls', 'aria-describedby', 'aria-labelledby', 'aria-owns', 'aria-errormessage'],
])

/** Ids that a page has twice, and names of ids that it does not have. */
export const brokenIds: FaultFinder = ({ path, text }) => {
  if (!path.endsWith('.html') || !text.startsWith('<!doctype html>')) return []
  const ids = new Map<string, number>()
  const references: { readonly at: number; readonly name: string; readonly id: string }[] = []
  const faults: { at: number; what: string }[] = []
  for (const tag of text.matchAll(TAG)) {
    for (const [, name, value] of tag[0].matchAll(ATTRIBUTE)) {
      if (name === 'id') {
        if (ids.has(value!)) faults.push({ at: tag.index, what: `has the id ${value!} twice` })
        ids.set(value!, tag.index)
      } else if (REFERRING.has(name!)) {
        const named = value!.split(/\s+/).filter(Boolean)
        references.push(...named.map((id) => ({ at: tag.index, name: name!, id })))
      }
    }
  }
  const dangling = references
    .filter(({ id }) => !ids.has(id))
    .map(({ at, name, id }) => ({ at, what: `says ${name}="${id}", and no element has that id` }))
  return [...faults, ...dangling]
}
