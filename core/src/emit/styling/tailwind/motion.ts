import {
  isPopover,
  type Entrance,
  type Hover,
  type PanelKind,
  type PanelSide,
} from '../../../design/interaction.js'
import type { UiNode } from '../../../ui/nodes.js'
import { nameClass } from './slots.js'
import type { TailwindTheme } from './theme.js'
import { decimal, shorten } from './values.js'

type HoverEffect = Hover['effects'][number]

const percent = (share: number): string => {
  const value = share * 100
  return Number.isInteger(value) ? String(value) : `[${decimal(share)}]`
}

const hoverClass = (theme: TailwindTheme, effect: HoverEffect): string => {
  switch (effect.kind) {
    case 'scale':
      return `scale-${percent(effect.to)}`
    case 'lift':
      return `-translate-y-[${decimal(effect.px)}px]`
    case 'fade':
      return `opacity-${percent(effect.to)}`
    case 'underline':
      return 'underline'
    case 'tint':
      return `bg-${theme.find(effect.token, 'color', () => true) ?? `[${shorten(effect.color)}]`}`
    case 'shadow':
      return `shadow-${theme.find(effect.token, 'shadow', () => true) ?? 'lg'}`
  }
}

const MOVING: ReadonlySet<HoverEffect['kind']> = new Set(['scale', 'lift'])

/** What a node does under the pointer; who wants less motion sees the change without the movement. */
const hoverClasses = (theme: TailwindTheme, { effects, durationMs }: Hover): string[] => {
  const moves = effects.some(({ kind }) => MOVING.has(kind))
  return [
    'transition',
    `duration-${decimal(durationMs)}`,
    ...effects.map((effect) =>
      MOVING.has(effect.kind)
        ? `motion-safe:hover:${hoverClass(theme, effect)}`
        : `hover:${hoverClass(theme, effect)}`,
    ),
    ...(moves ? ['motion-reduce:transition-none'] : []),
  ]
}

/** It is held from the first paint on; where no script would let it go it is not. */
const WAITING = '[@media(scripting:enabled)]:data-[enter=waiting]:[animation-play-state:paused]'

/** How a node comes in. The movement itself is in the theme; its values are variables of the element. */
const entranceClasses = (entrance: Entrance): string[] => {
  const { opacity, x, y, scale, rotationDeg, delayMs, durationMs, easing, at } = entrance
  const variables: [string, string, boolean][] = [
    ['opacity', decimal(opacity), opacity !== 1],
    ['x', `${decimal(x)}px`, x !== 0],
    ['y', `${decimal(y)}px`, y !== 0],
    ['scale', decimal(scale), scale !== 1],
    ['rotate', `${decimal(rotationDeg)}deg`, rotationDeg !== 0],
    ['delay', `${decimal(delayMs)}ms`, delayMs !== 0],
    ['duration', `${decimal(durationMs)}ms`, durationMs !== 600],
    ['easing', easing, easing !== 'ease-out'],
  ]
  return [
    'animate-enter',
    ...variables.flatMap(([name, value, isSaid]) => (isSaid ? [`[--enter-${name}:${value}]`] : [])),
    ...(at === 'view' ? [WAITING] : []),
    'motion-reduce:animate-none',
  ]
}

/** How something comes in: its values are variables of the element. */
export const ENTRANCE_VARIABLE =
  '--animate-enter: enter var(--enter-duration, 600ms)\n  var(--enter-easing, ease-out) var(--enter-delay, 0ms) both;'

export const ENTRANCE_KEYFRAMES = `@keyframes enter {
  from {
    opacity: var(--enter-opacity, 1);
    translate: var(--enter-x, 0) var(--enter-y, 0);
    scale: var(--enter-scale, 1);
    rotate: var(--enter-rotate, 0deg);
  }
}`

/** What the theme says about coming in, for projects in which something does. */
export const ENTRANCE_THEME = [
  ...ENTRANCE_VARIABLE.split('\n'),
  '',
  ...ENTRANCE_KEYFRAMES.split('\n'),
]

/** The classes of how a node moves. */
export const motionClasses = (theme: TailwindTheme, { hover, entrance }: UiNode): string[] => [
  ...(entrance ? entranceClasses(entrance) : []),
  ...(hover ? hoverClasses(theme, hover) : []),
]

const SIDES: Readonly<Record<PanelSide, readonly string[]>> = {
  start: ['mr-auto', 'h-dvh', 'max-h-none'],
  end: ['ml-auto', 'h-dvh', 'max-h-none'],
  top: ['mx-auto', 'mb-auto'],
  bottom: ['mx-auto', 'mt-auto'],
}

/** Below what was pressed, or above it where there is no room; in the middle in browsers that cannot place it. */
const AT_BUTTON = [
  'supports-[position-area:bottom]:m-0',
  '[position-area:bottom_span-right]',
  '[position-try-fallbacks:flip-block,flip-inline]',
]

/** The classes of what shows a screen over the page, which is as wide as it was drawn where there is room. */
export const panelClasses = (kind: PanelKind, side: PanelSide, widthPx: number): string[] => [
  ...(kind === 'drawer' ? SIDES[side] : ['m-auto']),
  ...(kind === 'menu' ? AT_BUTTON : []),
  nameClass('w', `[${decimal(widthPx)}px]`),
  'max-w-full',
  ...(isPopover(kind) ? ['bg-transparent'] : ['bg-transparent', 'backdrop:bg-black/50']),
]
