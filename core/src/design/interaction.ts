import { z } from 'zod'
import { coordinatePx } from './geometry.js'

const key = z.string().min(1).max(500)

/** From where a panel comes: `start` and `end` are the sides of a line of text. */
export const sideSchema = z.enum(['start', 'end', 'top', 'bottom'])
export type PanelSide = z.infer<typeof sideSchema>

/**
 * How another screen is shown over the page: by itself, from a side, until something else is pressed, or as a menu at
 * what was pressed.
 */
export const panelKindSchema = z.enum(['dialog', 'drawer', 'overlay', 'menu'])
export type PanelKind = z.infer<typeof panelKindSchema>

/** Whether the page can still be used while it is shown, and a press elsewhere puts it away. */
export const isPopover = (kind: PanelKind): boolean => kind === 'overlay' || kind === 'menu'

/** What happens when a layer is pressed. */
export const linkSchema = z.discriminatedUnion('kind', [
  z.strictObject({ kind: z.literal('screen'), screen: key }),
  z.strictObject({ kind: z.literal('address'), url: z.string().min(1).max(2000) }),
  /** The page is scrolled to a layer of it. */
  z.strictObject({ kind: z.literal('section'), layer: key }),
  /** A screen is shown over the page. */
  z.strictObject({
    kind: z.literal('open'),
    screen: key,
    as: panelKindSchema.default('dialog'),
    side: sideSchema.default('end'),
  }),
  /** What it stands in, shown over a page, is put away. */
  z.strictObject({ kind: z.literal('close') }),
  /** A layer is shown or hidden in turns. */
  z.strictObject({
    kind: z.literal('toggle'),
    layer: key,
    starts: z.enum(['hidden', 'shown']).default('hidden'),
  }),
  /** A layer is shown, and those beside it that tabs show are not. */
  z.strictObject({ kind: z.literal('tab'), layer: key }),
  /** The form it stands in is sent. */
  z.strictObject({ kind: z.literal('submit') }),
])
export type Link = z.infer<typeof linkSchema>

const tokenName = z.string().min(1).max(200)

const durationMs = z.number().min(0).max(10_000)

/** What a layer does while the pointer is over it. */
export const hoverSchema = z.strictObject({
  effects: z
    .array(
      z.discriminatedUnion('kind', [
        z.strictObject({ kind: z.literal('scale'), to: z.number().min(0.5).max(2).default(1.05) }),
        z.strictObject({ kind: z.literal('lift'), px: z.number().min(0).max(100).default(4) }),
        z.strictObject({ kind: z.literal('fade'), to: z.number().min(0).max(1).default(0.8) }),
        z.strictObject({ kind: z.literal('underline') }),
        /** `token` names a colour token; `color` holds where the design has no such token. */
        z.strictObject({
          kind: z.literal('tint'),
          color: z.string().regex(/^#[0-9a-f]{6}([0-9a-f]{2})?$/),
          token: tokenName.optional(),
        }),
        /** `token` names a shadow token; without one it is a large soft shadow. */
        z.strictObject({ kind: z.literal('shadow'), token: tokenName.optional() }),
      ]),
    )
    .min(1)
    .max(6),
  durationMs: durationMs.default(200),
})
export type Hover = z.infer<typeof hoverSchema>

/** Renames a token that hover effects refer to; without a new name the reference is dropped. */
export const renameHoverToken = (hover: Hover, name: string, to?: string): Hover => {
  const refers = (effect: Hover['effects'][number]): boolean =>
    'token' in effect && effect.token === name
  if (!hover.effects.some(refers)) return hover
  return {
    ...hover,
    effects: hover.effects.map((effect) => {
      if (!refers(effect)) return effect
      const { token: _before, ...rest } = effect as Extract<typeof effect, { token?: string }>
      return to === undefined ? rest : { ...rest, token: to }
    }),
  }
}

export const easingSchema = z.enum(['linear', 'ease', 'ease-in', 'ease-out', 'ease-in-out'])

/** How a layer comes in: what it is like at first, and how long it takes to be as drawn. */
export const entranceSchema = z.strictObject({
  at: z.enum(['load', 'view']).default('load'),
  opacity: z.number().min(0).max(1).default(1),
  x: coordinatePx.default(0),
  y: coordinatePx.default(0),
  scale: z.number().min(0).max(10).default(1),
  rotationDeg: z.number().min(-360).max(360).default(0),
  delayMs: durationMs.default(0),
  durationMs: durationMs.default(600),
  easing: easingSchema.default('ease-out'),
})
export type Entrance = z.infer<typeof entranceSchema>

/** What a person has said a layer does; null takes away what the design says. */
export const interactionSchema = z.strictObject({
  press: linkSchema.nullable().optional(),
  hover: hoverSchema.nullable().optional(),
  entrance: entranceSchema.nullable().optional(),
})
export type Interaction = z.infer<typeof interactionSchema>

/** The layer a press is about beside the one that is pressed. */
export const targetOf = (link: Link | undefined): string | undefined =>
  link && 'layer' in link ? link.layer : undefined

/** The screen a press leads to or shows. */
export const screenOf = (link: Link | undefined): string | undefined =>
  link && 'screen' in link ? link.screen : undefined

type Behaviour = { readonly link?: Link; readonly hover?: Hover; readonly entrance?: Entrance }

/** Whether a layer does something: it is more than what is drawn of it. */
export const hasBehaviour = ({ link, hover, entrance }: Behaviour): boolean =>
  link !== undefined || hover !== undefined || entrance !== undefined
