import { hasOneRadius } from '../design/geometry.js'
import type { TokenType } from '../design/token.js'
import { FEWEST_USES, nameRepeated } from '../tokens/propose.js'
import { looksOf, rootsOf, type UiNode, type UiStyle } from './nodes.js'
import type { UiProject } from './index.js'
import type { ThemeToken } from './theme.js'

/** What a theme has names for whether or not the design has. */
type Named = Extract<TokenType, 'color' | 'radius' | 'shadow'>
type Value = { readonly type: Named; readonly value: unknown }

const valuesOf = (style: UiStyle): readonly Value[] => {
  const { fills, border, corners, effects } = style
  const shadows = effects.filter((effect) => effect.kind === 'shadow')
  return [
    ...fills.flatMap((fill): Value[] =>
      fill.kind === 'solid' && fill.opacity === 1 ? [{ type: 'color', value: fill.color }] : [],
    ),
    ...(border ? [{ type: 'color', value: border.color } as const] : []),
    ...(hasOneRadius(corners) && corners.topLeft > 0
      ? [{ type: 'radius', value: corners.topLeft } as const]
      : []),
    ...(shadows.length > 0 ? [{ type: 'shadow', value: shadows } as const] : []),
  ]
}

/** The colours of the words a node shows. */
const inksOf = (node: UiNode): string[] => {
  if (node.type === 'text') return [node.textStyle.color]
  if (node.type !== 'control') return []
  const { hint, hintColor, textStyle } = node
  return [
    ...(textStyle ? [textStyle.color] : []),
    ...(hint !== undefined && hintColor !== undefined ? [hintColor] : []),
  ]
}

/** The values of a node, once each: what it has at several widths or in several states it has in one place. */
const valuesIn = (node: UiNode): ReadonlyMap<string, Value> => {
  const looks = [...looksOf(node), ...(node.states ?? []).map((state) => state.node)]
  const inks = looks.flatMap(inksOf)
  const runs = node.type === 'text' ? node.runs : []
  for (const run of runs) {
    if (run.kind === 'text' && run.style.color !== undefined) inks.push(run.style.color)
  }
  const values = [
    ...looks.flatMap(({ style }) => valuesOf(style)),
    ...inks.map((value): Value => ({ type: 'color', value })),
  ]
  return new Map(values.map((one) => [keyOf(one), one]))
}

const keyOf = ({ type, value }: Pick<ThemeToken, 'type' | 'value'>): string =>
  `${type} ${JSON.stringify(value)}`

/**
 * A project whose theme also has the colours, radii and shadows that stand in several places and that no token of the
 * design has. What a design file does not name gets a name in the code all the same.
 */
export const nameValues = (project: UiProject): UiProject => {
  const uses = new Map<string, { readonly one: Value; count: number }>()
  const look = (node: UiNode): void => {
    for (const [key, one] of valuesIn(node)) {
      const known = uses.get(key) ?? { one, count: 0 }
      known.count++
      uses.set(key, known)
    }
    if ('children' in node) node.children.forEach(look)
  }
  for (const page of project.pages) rootsOf(page).forEach(look)
  const tokens = [...project.theme.values()]
  const known = new Set(tokens.map(keyOf))
  const names = new Set(project.theme.keys())
  const found = (['color', 'radius', 'shadow'] as const).flatMap((type) => {
    const values = [...uses].flatMap(([key, { one, count }]) =>
      one.type === type && count >= FEWEST_USES[type] && !known.has(key) ? [one] : [],
    )
    return nameRepeated(type, values, names).map((one): ThemeToken => ({ ...one, isFound: true }))
  })
  return { ...project, theme: new Map([...tokens, ...found].map((token) => [token.name, token])) }
}
