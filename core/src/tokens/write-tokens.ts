import { parse } from 'culori'
import { splitColor } from '../design/color.js'
import type { Design } from '../design/design.js'
import type { Effect } from '../design/paint.js'
import type { TextStyle } from '../design/text.js'
import type { Token } from '../design/token.js'
import { EXTENSION, isRadiusName } from './read-tokens.js'

type Group = { [name: string]: unknown }

const round = (value: number): number => Math.round(value * 10_000) / 10_000

const writeColor = (value: string): unknown => {
  const { color, opacity } = splitColor(value)
  const rgb = parse(color)
  const components = rgb?.mode === 'rgb' ? [rgb.r, rgb.g, rgb.b].map(round) : [0, 0, 0]
  return {
    colorSpace: 'srgb',
    components,
    ...(opacity < 1 ? { alpha: round(opacity) } : {}),
    hex: color,
  }
}

const px = (value: number): unknown => ({ value, unit: 'px' })

const writeValue = (token: Token, value: unknown): unknown => {
  if (typeof value === 'string' && value.startsWith('{')) return value
  switch (token.type) {
    case 'color':
      return writeColor(value as string)
    case 'space':
    case 'radius':
      return px(value as number)
    case 'shadow':
      return (value as Effect[]).flatMap((e) =>
        e.kind === 'shadow'
          ? [
              {
                color: writeColor(e.color),
                offsetX: px(e.x),
                offsetY: px(e.y),
                blur: px(e.blur),
                spread: px(e.spread),
                ...(e.inset ? { inset: true } : {}),
              },
            ]
          : [],
      )
    case 'border': {
      const { color, width, dashed } = value as { color: string; width: number; dashed: boolean }
      return { color: writeColor(color), width: px(width), style: dashed ? 'dashed' : 'solid' }
    }
    case 'type': {
      const style = value as Omit<TextStyle, 'color'>
      return {
        fontFamily: style.family,
        fontSize: px(style.size),
        fontWeight: style.weight,
        ...(style.italic ? { fontStyle: 'italic' } : {}),
        letterSpacing: px(style.letterSpacing),
        // The format counts line height in multiples of the size.
        ...(style.lineHeight === undefined
          ? {}
          : { lineHeight: round(style.lineHeight / style.size) }),
      }
    }
  }
}

const TYPES: Readonly<Record<Token['type'], string>> = {
  border: 'border',
  color: 'color',
  radius: 'dimension',
  shadow: 'shadow',
  space: 'dimension',
  type: 'typography',
}

/** The format has one type for all lengths; where the name does not tell which it is, this does. */
const extensionOf = ({ name, type }: Token): Group =>
  (type === 'radius' && !isRadiusName(name)) || (type === 'space' && isRadiusName(name))
    ? { $extensions: { [EXTENSION]: type } }
    : {}

/** A name that is a token, a group, or both. */
type Branch = { token?: Group; readonly children: Map<string, Branch> }

const branchAt = (root: Branch, path: readonly string[]): Branch =>
  path.reduce((branch, name) => {
    const next = branch.children.get(name) ?? { children: new Map<string, Branch>() }
    branch.children.set(name, next)
    return next
  }, root)

/** A token that bears the name of a group stands in it under `$root`. */
const toGroup = ({ token, children }: Branch): Group => {
  if (token && children.size === 0) return token
  const entries = [...children].map(([name, child]): [string, unknown] => [name, toGroup(child)])
  return Object.fromEntries([...(token ? [['$root', token] as const] : []), ...entries])
}

/**
 * The tokens of a design as files in the format of the W3C community group, one for each mode. A later
 * mode's file holds only the tokens that differ there.
 */
export const writeTokens = (
  design: Pick<Design, 'modes' | 'tokens'>,
): { readonly mode: string; readonly document: unknown }[] =>
  design.modes.map((mode) => {
    const root: Branch = { children: new Map() }
    for (const token of design.tokens) {
      const values = token.values as Readonly<Record<string, unknown>>
      const isFirst = mode === design.modes[0]
      const value = values[mode] ?? (isFirst ? Object.values(values)[0] : undefined)
      if (value === undefined) continue
      branchAt(root, token.name.split('.')).token = {
        $type: TYPES[token.type],
        $value: writeValue(token, value),
        ...(token.description === undefined ? {} : { $description: token.description }),
        ...extensionOf(token),
      }
    }
    return { mode, document: toGroup(root) }
  })
