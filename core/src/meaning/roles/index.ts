import type { Ruling } from '../../design/role.js'
import type { LayoutNode } from '../../layout/index.js'
import { keysIn } from '../../layout/flow/tree.js'
import { RolePage } from './page.js'
import type { RoleReading } from './reading.js'
import { readAvatars, readBadges, readCards } from './recognise/cards.js'
import { readControls } from './recognise/controls.js'
import { readDescriptionLists } from './recognise/descriptions.js'
import { readDisclosures } from './recognise/disclosures.js'
import { readFileChoosers } from './recognise/file-choosers.js'
import { readFigures, readGroups } from './recognise/groups.js'
import { readHeadings } from './recognise/headings.js'
import { readLabels } from './recognise/labels.js'
import { readBands, readForms } from './recognise/landmarks.js'
import { readLinks, readSigns, readStatedLinks } from './recognise/links.js'
import { readLists } from './recognise/lists.js'
import { readNavigation } from './recognise/navigation.js'
import { readOverlays } from './recognise/overlays.js'
import { readRanges } from './recognise/ranges.js'
import { readSteppers } from './recognise/steppers.js'
import { readTables } from './recognise/tables.js'
import { readSaidTabs, readTabs } from './recognise/tabs.js'
import { viewTree } from './view.js'

export { addressIn } from './recognise/links.js'
export { CONTROL_ROLES, runKeyOf, type RoleReading } from './reading.js'

export type RoleOptions = {
  /** What a person has said, by the key of a layer. */
  readonly rulings: Readonly<Record<string, Ruling>>
  /** Key of the text that is the page's title. */
  readonly title: string | undefined
}

/** The order matters: what is found first stays, and later recognisers look at what is known. */
const readTree = (
  root: LayoutNode,
  { rulings, title }: RoleOptions,
  known: ReadonlyMap<string, RoleReading>,
): RolePage => {
  const page = new RolePage(viewTree(root), rulings, known)
  readStatedLinks(page)
  readSaidTabs(page)
  readTables(page)
  readNavigation(page)
  readSigns(page)
  readOverlays(page)
  readTabs(page)
  readDisclosures(page)
  readRanges(page)
  readSteppers(page)
  readFileChoosers(page)
  readAvatars(page)
  readControls(page)
  readLabels(page)
  readGroups(page)
  readLinks(page)
  readLists(page)
  readDescriptionLists(page)
  readBands(page)
  readHeadings(page, title)
  readFigures(page)
  readForms(page)
  readCards(page)
  readBadges(page)
  return page
}

/**
 * What each layer of a page is, by its key. Takes the page's trees from wide to narrow: what is on several of them
 * is what it is on the widest, and a tree that has no other layers than wider ones tells nothing new.
 */
export const readRoles = (
  trees: readonly LayoutNode[],
  options: RoleOptions,
): ReadonlyMap<string, RoleReading> => {
  const roles = new Map<string, RoleReading>()
  const seen = new Set<string>()
  for (const tree of trees) {
    const keys = keysIn(tree)
    if ([...keys].every((key) => seen.has(key))) continue
    for (const key of keys) seen.add(key)
    for (const [key, reading] of readTree(tree, options, roles).readings) roles.set(key, reading)
  }
  return roles
}
