import type { Design } from '../design/design.js'
import type { Layer } from '../design/layer.js'
import { findFace, NO_FONTS, weightDistance, type Font } from '../text/face.js'
import { fallbackOf, isGenericFamily, listFontNeeds } from '../fonts/needs.js'
import { groupScreens, nameOfScreen } from '../design/find-artboards.js'
import { findLanguage } from '../meaning/language.js'
import { findDrawnStates } from '../design/states.js'
import { notes } from '../notes/catalogue.js'
import type { Note } from '../notes/note.js'
import { UniqueNames } from '../text/names.js'
import { measureWith } from '../text/measure.js'
import { Account } from './account.js'
import { AssetCollector } from './asset-collector.js'
import { createPageBuilder } from './build-page.js'
import { describePage, textsIn, wordsOf } from './describe-page.js'
import { deriveStates } from './derive-states.js'
import type { UiAsset, UiNode, UiPage, UiPanel, UiPart } from './nodes.js'
import { shareParts } from './share-parts.js'
import { describeForms } from './forms.js'
import { idsIn } from './unique-ids.js'
import { buildNotFound } from './not-found.js'
import { phrasesIn, type Phrases } from './phrases.js'
import { asMenu, asOverlays, isMenu } from './menus.js'
import { lowerHeadings, panelsIn, planPanels } from './panels.js'
import { placeTabs } from './tabs.js'
import { buildTheme, type UiTheme } from './theme.js'

/** Everything an emitter reads: pages, the files they show, and the theme their styles refer to. */
/** A property that shows and hides a layer, and whether it is shown where nothing is said. */
export type Switch = { readonly name: string; readonly standard: boolean }

/** What an instance of a component of the design is given: by property, defaults among them. */
export type UiInstance = {
  /** The name of its component. */
  readonly component: string
  readonly values: Readonly<Record<string, string | boolean>>
}

export type UiProject = {
  readonly name: string
  /** The language its texts are in, as a BCP 47 tag. */
  readonly language: string
  /** What the pages say by themselves, in that language. */
  readonly phrases: Phrases
  readonly pages: readonly UiPage[]
  /** What is shown for an address that is none, in a project of several pages. */
  readonly notFound?: UiPage
  /** What is written once and used in several places; found when the pages are finished. */
  readonly parts: readonly UiPart[]
  /** Layers that could be instances, and that a person has said are written where they stand. */
  readonly detached: readonly string[]
  /** Layers a person has said to be parts, and that cannot be: something in them is bound to its page. */
  readonly refused: readonly string[]
  /** Keys of layers of which a person has said that their parts are given them. */
  readonly slots: readonly string[]
  /** The property of its component that a text shows, by the text's layer; the variant values of instances, by theirs. */
  readonly properties: ReadonlyMap<string, string>
  /** The property that shows and hides a layer of a component, by the layer. */
  readonly switches: ReadonlyMap<string, Switch>
  readonly variants: ReadonlyMap<string, Readonly<Record<string, string>>>
  /** The property that says which component a layer shows, by the layer. */
  readonly swaps: ReadonlyMap<string, string>
  /** The instances of the design's components, by their layers. */
  readonly instances: ReadonlyMap<string, UiInstance>
  readonly assets: readonly UiAsset[]
  /** Font files the pages need and that are at hand. */
  readonly fonts: readonly Font[]
  /** Families that are not at hand, with what stands in for each. */
  readonly missingFonts: readonly { readonly family: string; readonly fallback: string }[]
  readonly theme: UiTheme
  readonly notes: readonly Note[]
}

/** The fonts at hand that the texts need, one file each; those that are missing are noted. */
const chooseFonts = (
  account: Account,
  roots: readonly Layer[],
  fonts: readonly Font[],
): Pick<UiProject, 'fonts' | 'missingFonts'> => {
  const chosen = new Set<Font>()
  const missingFonts: { family: string; fallback: string }[] = []
  for (const { family, styles } of listFontNeeds(roots)) {
    if (isGenericFamily(family)) continue
    const inexact: number[] = []
    for (const { weight, italic } of styles) {
      const font = findFace(fonts, family, weight, italic)
      if (!font) continue
      chosen.add(font)
      const isExact = weightDistance(font.face, weight) === 0 && font.face.italic === italic
      if (!isExact) inexact.push(weight)
    }
    const weights = [...new Set(styles.map((s) => s.weight))]
    if (![...chosen].some((f) => f.face.family.toLowerCase() === family.toLowerCase())) {
      const fallback = fallbackOf(family)
      account.add(notes.fontMissing(family, weights, fallback))
      missingFonts.push({ family, fallback })
    } else if (inexact.length > 0) {
      account.add(notes.fontInexact(family, [...new Set(inexact)]))
    }
  }
  return { fonts: [...chosen], missingFonts }
}

/** `Home / Desktop` of several artboards is `Home`; a lone screen keeps its name. */
const pageName = (group: readonly Layer[]): string =>
  (group.length > 1 ? nameOfScreen(group[0]!.name) : '') || group[0]!.name

/** What is shown over a page: a menu, where that is asked for, when it holds nothing but what is pressed. */
const settlePanel = (account: Account, panel: Omit<UiPanel, 'root'>, root: UiNode): UiPanel => {
  if (panel.kind !== 'menu') return { ...panel, root }
  if (isMenu(root)) return { ...panel, root: asMenu(root) }
  account.approximated(
    panel.layer,
    'menu',
    'it holds more than what is pressed, and is shown as an overlay',
  )
  return { ...panel, kind: 'overlay', root }
}

export type UiOptions = {
  /** What is pressed answers the pointer also where no state of it is drawn. */
  readonly derivesStates?: boolean
  /** The language of the texts, as a BCP 47 tag; absent: told by their words. */
  readonly language?: string | undefined
}

/**
 * Takes the layers that become pages (screens with their instances resolved, or single layers), returns
 * the target-neutral tree. Decides here, once, what each layer becomes; emitters only write it down.
 */
export const buildUi = (
  design: Design,
  roots: readonly Layer[],
  fonts: readonly Font[] = NO_FONTS,
  { derivesStates = true, language: said }: UiOptions = {},
): UiProject => {
  const measure = measureWith(fonts)
  const account = new Account()
  const collector = new AssetCollector(design.assets)
  const screens = new Set(design.screens.map((screen) => screen.key))
  const groups = groupScreens(design, roots)
  const { panels: plans, pages: pageGroups } = planPanels(groups, pageName)
  const keyOf = new Map(
    groups.flatMap((group) => group.map((root) => [root.key, group[0]!.key] as const)),
  )
  const pageOf = new Map(
    pageGroups.flatMap((group) => group.map((root) => [root.key, group[0]!.key] as const)),
  )
  const pageNames = new Map(
    pageGroups.map((group) => [pageName(group).toLowerCase(), group[0]!.key] as const),
  )
  const buildPage = createPageBuilder({
    design,
    account,
    collector,
    measure,
    states: findDrawnStates(design),
    pages: pageOf,
    home: pageGroups[0]![0]!.key,
    pageNamed: (words) => pageNames.get(words.trim().toLowerCase()),
    panelOf: (screen) => plans.get(keyOf.get(screen) ?? ''),
  })
  const formNames = new UniqueNames('-')
  const finish = (root: UiNode): UiNode => {
    const ids = idsIn(root)
    const takeName = (wanted: string): string => {
      const name = formNames.take(wanted)
      return ids.has(name) ? takeName(wanted) : name
    }
    const whole = describeForms(placeTabs(root), {
      rulings: design.forms ?? {},
      pageOf: (screen) => pageOf.get(screen),
      refuse: (layer, url) => account.add(notes.linkRefused(layer, url)),
      takeName,
    })
    return derivesStates ? deriveStates(whole) : whole
  }
  const panels = new Map(
    groups.flatMap((group) => {
      const panel = plans.get(group[0]!.key)
      if (!panel) return []
      const { root } = buildPage(group, { kind: 'panel', panel })
      return [[panel.id, settlePanel(account, panel, lowerHeadings(finish(root)))] as const]
    }),
  )
  const overlays = new Set(
    [...panels.values()].flatMap(({ id, layer, kind }) =>
      kind !== plans.get(layer)?.kind ? [id] : [],
    ),
  )
  const built = pageGroups.map((group): UiPage => {
    const use = screens.has(group[0]!.key)
      ? ({ kind: 'page' } as const)
      : ({ kind: 'layer' } as const)
    const page = buildPage(group, use)
    const whole = finish(page.root)
    const root = overlays.size > 0 ? asOverlays(whole, overlays) : whole
    const shown = panelsIn(root, panels)
    return { ...page, name: pageName(group), root, ...(shown.length > 0 ? { panels: shown } : {}) }
  })
  const shared = shareParts(built)
  const language = said ?? findLanguage(shared.flatMap(({ root }) => textsIn(root).map(wordsOf)))
  const phrases = phrasesIn(language)
  // One page alone has no other addresses.
  const isSite = shared.length > 1 && pageGroups.every(([root]) => screens.has(root!.key))
  const notFound = isSite ? buildNotFound(shared[0]!, phrases) : undefined
  return {
    name: design.name,
    language,
    phrases,
    pages: shared.map((page) => ({ ...page, description: describePage(page.root) })),
    ...(notFound ? { notFound } : {}),
    parts: [],
    detached: [],
    refused: [],
    slots: [],
    properties: new Map(),
    switches: new Map(),
    swaps: new Map(),
    instances: new Map(),
    variants: new Map(),
    assets: collector.assets,
    ...chooseFonts(account, roots, fonts),
    theme: buildTheme(design),
    notes: account.notes,
  }
}
