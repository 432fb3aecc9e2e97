import { ValueNames } from './name-values.js'
import { childrenInLayout, rootsOf, type UiImage, type UiNode } from '../../../ui/nodes.js'
import type { UiProject } from '../../../ui/index.js'
import { textFile } from '../../shared/emitted-file.js'
import type { Styling, StylingOptions } from '../styling.js'
import { colorIn } from './color-in.js'
import { meantSlots } from './meant.js'
import { boxSlots, focusPercent, type ShadowCaster } from './box.js'
import { plainClasses, steppedClasses, type Slot } from './slots.js'
import { controlSlots } from './control.js'
import { ENTRANCE_THEME, ENTRANCE_VARIABLE, motionClasses, panelClasses } from './motion.js'
import { stateClasses } from './states.js'
import { runClasses, textSlots } from './text.js'
import { inUnits, utilityInUnits } from '../units.js'
import { modeRules } from './modes.js'
import { scaleInPx } from './scale.js'
import { TailwindTheme } from './theme.js'
import { decimal } from './values.js'

/** What forms say takes no room until there is something to say. */
const MESSAGES = {
  problems: ['empty:hidden', 'text-sm', 'text-red-800'],
  status: ['empty:hidden', 'text-sm'],
} as const

const FIT = { cover: 'object-cover', contain: 'object-contain', fill: 'object-fill' } as const

/** How a picture fills its box, and which part of it is seen. */
const fitSlots = ({ fit, focus }: UiImage): Slot[] => [
  { slot: 'fit', token: FIT[fit] },
  ...(fit === 'cover' && focus
    ? [{ slot: 'object', token: `object-[${focusPercent(focus)}]` } as const]
    : []),
]

/** The family most texts use: set once on the root, every other text inherits it. */
const findMainFamily = (project: UiProject): string | undefined => {
  const counts = new Map<string, number>()
  const visit = (node: UiNode): void => {
    if (node.type === 'text') {
      const { family } = node.textStyle
      counts.set(family, (counts.get(family) ?? 0) + 1)
    }
    if ('children' in node) node.children.forEach(visit)
  }
  for (const page of project.pages) rootsOf(page).forEach(visit)
  let main: string | undefined
  for (const [family, count] of counts) if (count > (counts.get(main ?? '') ?? 0)) main = family
  return main
}

const casterOf = (node: UiNode): ShadowCaster => {
  if (node.type === 'text') return 'text'
  const isBox = node.style.fills.length > 0 || (node.type === 'image' && node.fit !== 'contain')
  return isBox ? 'box' : 'drawing'
}

const holdsAbsolute = (node: UiNode): boolean =>
  childrenInLayout(node).some((child) => child.style.place.kind === 'absolute')

const holdsUnder = (node: UiNode): boolean =>
  childrenInLayout(node).some(({ style: { place } }) => place.kind === 'absolute' && place.isUnder)

/** Tailwind's base sheet keeps pictures inside their parents; only a limit of their own needs a class. */
const asPicture = (slot: Slot): Slot =>
  slot.slot === 'max-w' && (slot.token === 'max-w-none' || slot.token === 'max-w-full')
    ? { slot: 'max-w', token: '' }
    : slot

/** A picture is not pulled wide by its two sides as a box is: it has to be told. */
const pulled = ({ style: { place } }: UiImage): Slot[] => {
  if (place.kind !== 'absolute' || place.x.edge !== 'both') return []
  const by = place.x.before + place.x.after
  const width = by === 0 ? 'full' : `[calc(100%${by > 0 ? '-' : '+'}${decimal(Math.abs(by))}px)]`
  const own: Slot = { slot: 'w', token: `w-${width}` }
  // The base sheet would keep it inside its parent.
  return by < 0 ? [own, { slot: 'unbound', token: 'max-w-none' }] : [own]
}

const overflowing = (node: UiNode): Slot[] =>
  node.style.place.kind === 'absolute' && !node.style.fitsParent
    ? [{ slot: 'max-w', token: 'max-w-none' }]
    : []

/** Margins, sizes, and what else places a thing in its container, from any width on. */
const PLACING =
  /^(?:(?:sm|md|lg|xl|2xl|min-\[[^\]]*\]|from-[\d_]+):)*-?(?:m[trblxy]?-|w-|h-|size-|min-[wh]-|max-[wh]-|basis-|flex-(?:1|auto|none|initial)$|grow|shrink|self-|justify-self-|order-|col-|row-|absolute$|relative$|inset-|top-|right-|bottom-|left-|start-|end-|z-|hidden$)/

/** The theme that the classes in use refer to. */
export type TailwindStyling = Styling & {
  readonly theme: {
    declarations(): readonly string[]
    modeRules(): string
    hasEntrance(): boolean
  }
}

/** Pictures say their own sizes so that their room is kept; how wide they are is not said by that. */
const SIZED_PICTURES = `
@layer base {
  img {
    width: auto;
  }
}
`

/** Tailwind 4 utilities, with a theme made of the design's tokens and fonts. */
export const createTailwind = (
  project: UiProject,
  { fonts, address, isIcon, units, namesValues }: StylingOptions,
): TailwindStyling => {
  const theme = new TailwindTheme(
    project.theme,
    new Set(project.fonts.map(({ face }) => face.family.toLowerCase())),
  )
  const mainFamily = findMainFamily(project)
  const showsPictures = project.assets.some(
    ({ content }) => content.kind === 'bytes' && content.size !== undefined,
  )
  const names = namesValues ? new ValueNames(theme.colorNames()) : undefined
  let hasEntrance = false
  const classes = new Set<string>()
  const hand = (list: readonly string[]): readonly string[] => {
    const given = list
      .filter((name) => name !== '')
      .map((name) => utilityInUnits(name, units))
      .map((name) => names?.name(name) ?? name)
    for (const name of given) classes.add(name)
    return given
  }
  const isRoot = (node: UiNode): boolean => node.style.place.kind === 'root'
  const box = (node: UiNode): Slot[] =>
    boxSlots(theme, node.style, {
      isHeld: holdsAbsolute(node),
      isIsolated: holdsUnder(node),
      caster: casterOf(node),
      address,
    })
  const slotsOf = (node: UiNode): Slot[] => {
    const own = meantSlots(node, box(node))
    switch (node.type) {
      case 'image': {
        if (isIcon(node.asset)) return own
        const size = pulled(node)
        const rest = own.map(asPicture).filter(({ slot }) => slot !== 'w' || size.length === 0)
        return [...rest, ...size, ...fitSlots(node), ...overflowing(node)]
      }
      case 'text':
        return [...own, ...textSlots(theme, node, isRoot(node) ? undefined : mainFamily)]
      case 'control':
        return [...own, ...controlSlots(theme, node, mainFamily)]
      case 'box':
      case 'menu-button':
        return isRoot(node) && mainFamily
          ? [...own, { slot: 'family', token: theme.font(mainFamily) }]
          : own
    }
  }
  const classesOf = (node: UiNode, slots: (node: UiNode) => Slot[]): string[] =>
    node.steps
      ? steppedClasses(
          node.steps
            // What is as it was one step before says nothing.
            .filter((step, i, all) => {
              const before = all[i - 1]
              return !before || step.node !== before.node || step.order !== before.order
            })
            .map(({ fromPx, node: look, order }) => ({
              fromPx,
              slots: look && [
                ...slots(look),
                { slot: 'order', token: order === 0 ? 'order-none' : `order-${order}` },
              ],
            })),
          node.type === 'box' && node.menu !== undefined,
        )
      : plainClasses(slots(node))

  const declarations = (): readonly string[] =>
    theme.declarations().map((line) => inUnits(line, units))
  const rulesOfModes = (): string => inUnits(modeRules(theme.modes()), units)
  const stylesheet = (): string => {
    const own = declarations()
    const lines = [
      ...(units === 'px' ? scaleInPx(classes, own) : []),
      ...own,
      ...[...(names?.declarations ?? [])]
        .map(([variable, value]) => `${variable}: ${value};`)
        .sort(),
      ...(hasEntrance ? ENTRANCE_THEME : []),
    ]
    const block =
      lines.length > 0
        ? `\n@theme {\n${lines.map((d) => (d === '' ? '\n' : `  ${d}\n`)).join('')}}\n`
        : ''
    const faces = fonts.map((rule) => `\n${rule}\n`).join('')
    return `@import "tailwindcss";\n${faces}${block}${showsPictures ? SIZED_PICTURES : ''}${rulesOfModes()}`
  }
  return {
    id: 'tailwind',
    classes,
    theme: {
      declarations: () => [
        ...declarations(),
        ...(hasEntrance ? [inUnits(ENTRANCE_VARIABLE, units)] : []),
      ],
      modeRules: rulesOfModes,
      hasEntrance: () => hasEntrance,
    },
    node: (node) => {
      if (node.type === 'control' && node.control === 'file') return hand(['sr-only'])
      hasEntrance ||= node.entrance !== undefined
      const own = classesOf(node, slotsOf)
      return hand([...own, ...motionClasses(theme, node), ...stateClasses(node, slotsOf)])
    },
    panel: ({ kind, side, root }) => hand(panelClasses(kind, side, root.style.width.px)),
    message: (kind) => hand(MESSAGES[kind]),
    colorIn: (token) => colorIn(token, (slug) => theme.foundColor(slug)),
    isText: true,
    isPlacing: (name) => PLACING.test(name),
    likenessOf: (list) =>
      list
        .split(' ')
        .filter((name) => !/(^|:)(whitespace-(nowrap|normal)|wrap-anywhere)$/.test(name))
        .join(' '),
    run: (style) => hand(runClasses(theme, style)),
    frame: (node: UiImage) =>
      hand(
        classesOf(node, (look) =>
          look.style.place.kind === 'flow'
            ? [...box(look), { slot: 'link', token: 'block' }]
            : box(look),
        ),
      ),
    picture: (node: UiImage) => hand(['size-full', ...fitSlots(node).map(({ token }) => token)]),
    flat: () => hand(['contents']),
    lineBreak: (steps) =>
      hand(
        steppedClasses(
          steps.map(({ fromPx, isShown }) => ({
            fromPx,
            slots: isShown ? [{ slot: 'display', token: 'inline' }] : undefined,
          })),
        ).filter((name) => name !== 'inline'),
      ),
    stylesheet,
    files: (path) => [textFile(path, stylesheet())],
  }
}
