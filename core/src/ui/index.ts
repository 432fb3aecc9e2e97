import type { Design } from '../design/design.js'
import type { Layer } from '../design/layer.js'
import { findFace, weightDistance, type Font } from '../fonts/face.js'
import { fallbackOf, isGenericFamily, listFontNeeds } from '../fonts/needs.js'
import { inferLayout, type LayoutNode } from '../layout/index.js'
import { groupScreens, nameOfScreen } from '../meaning/find-artboards.js'
import { findTitle } from '../meaning/find-title.js'
import { readRoles } from '../meaning/roles/index.js'
import { notes } from '../notes/catalogue.js'
import type { Note } from '../notes/note.js'
import { composeScreen, screenOptions } from '../responsive/index.js'
import { createMeasure } from '../text/measure.js'
import { Account } from './account.js'
import { AssetCollector } from './asset-collector.js'
import { buildNode, OUTSIDE, type BuildContext } from './build/index.js'
import { createControlIds } from './control-ids.js'
import { joinSteps } from './join-steps.js'
import { placeMain } from './landmarks.js'
import type { UiAsset, UiNode, UiPage } from './nodes.js'
import { buildTheme, type UiTheme } from './theme.js'

/** Everything an emitter reads: pages, the files they show, and the theme their styles refer to. */
export type UiProject = {
  readonly name: string
  readonly pages: readonly UiPage[]
  readonly assets: readonly UiAsset[]
  /** Font files the pages need and that are at hand. */
  readonly fonts: readonly Font[]
  /** Families that are not at hand, with what stands in for each. */
  readonly missingFonts: readonly { readonly family: string; readonly fallback: string }[]
  readonly theme: UiTheme
  readonly notes: readonly Note[]
}

/** Layers that nothing separates and that stay where they are; true overlays are not counted. */
const countFree = (node: LayoutNode): number =>
  node.children.reduce(
    (count, child) => count + countFree(child),
    node.arrangement.kind === 'free' ? node.children.length : 0,
  )

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

/** A screen with auto layout takes the room the window has. */
const finishRoot = (node: UiNode, isScreen: boolean): UiNode => {
  if (node.type !== 'box') return node
  const { style } = node
  const flows = style.arrange.kind !== 'free' && style.arrange.kind !== 'none'
  if (!isScreen || !flows) return node
  const width = { ...style.width, sizing: 'stretch' as const }
  const height = { ...style.height, sizing: 'stretch' as const }
  return { ...node, style: { ...style, width, height } }
}

/**
 * Takes the layers that become pages (screens with their instances resolved, or single layers), returns
 * the target-neutral tree. Decides here, once, what each layer becomes; emitters only write it down.
 */
export const buildUi = (
  design: Design,
  roots: readonly Layer[],
  fonts: readonly Font[] = [],
): UiProject => {
  const measure = createMeasure(fonts.map((font) => font.face))
  const account = new Account()
  const collector = new AssetCollector(design.assets)
  const screens = new Set(design.screens.map((screen) => screen.key))
  const groups = groupScreens(design, roots)
  const pageKeys = new Map(
    groups.flatMap((group) => group.map((root) => [root.key, group[0]!.key] as const)),
  )
  const pageNames = new Map(
    groups.map((group) => [pageName(group).toLowerCase(), group[0]!.key] as const),
  )
  const pages = groups.map((group): UiPage => {
    const root = group[0]!
    const isScreen = screens.has(root.key)
    const trees = group.map((artboard) => inferLayout(artboard, { measure, assets: design.assets }))
    trees.forEach((tree, i) => {
      const free = countFree(tree)
      if (free > 0) account.add(notes.placedAbsolutely(group[i]!.key, free))
    })
    const screen = composeScreen(trees, screenOptions(design, measure, isScreen))
    const menus = new Map<string, string>()
    const menuId = (key: string): string => {
      const id = menus.get(key) ?? (menus.size === 0 ? 'menu' : `menu-${menus.size + 1}`)
      menus.set(key, id)
      return id
    }
    const roles = readRoles(
      [...screen.steps].reverse().map((step) => step.root),
      { rulings: design.roles ?? {}, title: findTitle(root) },
    )
    const context: BuildContext = {
      account,
      collector,
      measure,
      pages: pageKeys,
      roles,
      home: groups[0]![0]!.key,
      pageNamed: (words) => pageNames.get(words.trim().toLowerCase()),
      ids: createControlIds(root, roles),
      built: new Map(),
      menuId,
    }
    const joined = joinSteps(
      screen.steps.map(({ fromPx, root: step }) => ({
        fromPx,
        root: placeMain(finishRoot(buildNode(context, step, OUTSIDE), isScreen)),
      })),
    )
    return {
      key: root.key,
      artboards: group.map((artboard) => artboard.key),
      name: pageName(group),
      root: joined,
      widthPx: root.box.width,
      heightPx: root.box.height,
    }
  })
  return {
    name: design.name,
    pages,
    assets: collector.assets,
    ...chooseFonts(account, roots, fonts),
    theme: buildTheme(design),
    notes: account.notes,
  }
}
