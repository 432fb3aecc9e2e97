import type { Design } from '../design/design.js'
import { renameHoverToken } from '../design/interaction.js'
import type { Layer } from '../design/layer.js'
import type { Token } from '../design/token.js'
import { changeLayers } from '../design/change-layers.js'
import { listTokenFields, setTokenField } from '../tokens/fields.js'
import { resolveTokenValue } from '../tokens/resolve.js'
import type { EditOf } from './edit.js'

/** Renames a token in the hover effects of layers, and in what a person has set for them. */
const changeHovers = (design: Design, name: string, to?: string): Design => {
  const changed = changeLayers(design, (layer) => {
    if (!layer.hover) return layer
    const hover = renameHoverToken(layer.hover, name, to)
    return hover === layer.hover ? layer : { ...layer, hover }
  })
  if (!design.interactions) return changed
  const interactions = Object.fromEntries(
    Object.entries(design.interactions).map(([key, own]) => [
      key,
      own.hover ? { ...own, hover: renameHoverToken(own.hover, name, to) } : own,
    ]),
  )
  return { ...changed, interactions }
}

const byName = (design: Design): Map<string, Token> =>
  new Map(design.tokens.map((t) => [t.name, t]))

export const addTokens = (design: Design, { additions }: EditOf<'add-tokens'>): Design => {
  const known = byName(design)
  // A name that was taken since keeps its token; the others are added all the same.
  const free = additions.filter(({ token }) => !known.has(token.name))
  const added = { ...design, tokens: [...design.tokens, ...free.map(({ token }) => token)] }
  const wanted = new Map<string, Map<string, Token>>()
  for (const { token, uses } of free) {
    for (const { layer, path } of uses) {
      wanted.set(layer, (wanted.get(layer) ?? new Map<string, Token>()).set(path, token))
    }
  }
  const all = byName(added)
  const values = new Map(
    free.map(({ token }) => [token, resolveTokenValue(all, token, design.modes[0]!)]),
  )
  if (free.length === 0 || [...values.values()].includes(undefined)) return design
  return changeLayers(added, (layer) => {
    const tokens = wanted.get(layer.key)
    if (!tokens) return layer
    // A later edition may have changed the layer: only fields it still has are set.
    return listTokenFields(layer).reduce((l, { path, type }) => {
      const token = tokens.get(path)
      return token?.type === type ? setTokenField(l, path, token.name, values.get(token)) : l
    }, layer)
  })
}

/** Tokens with every alias to one name changed. */
const changeAliases = (
  tokens: readonly Token[],
  name: string,
  change: (mode: string) => unknown,
): Token[] =>
  tokens.map((token) => {
    const values = Object.entries(token.values as Readonly<Record<string, unknown>>)
    if (!values.some(([, value]) => value === `{${name}}`)) return token
    return {
      ...token,
      values: Object.fromEntries(
        values.map(([mode, value]) => [mode, value === `{${name}}` ? change(mode) : value]),
      ),
    } as Token
  })

/** A layer whose fields that use one token use another, or none. */
const changeUses = (
  layer: Layer,
  name: string,
  change: (layer: Layer, path: string) => Layer,
): Layer => {
  const paths = Object.entries(layer.tokens ?? {}).flatMap(([p, token]) =>
    token === name ? [p] : [],
  )
  return paths.reduce(change, layer)
}

const withoutUse = (layer: Layer, path: string): Layer => {
  const { [path]: _used, ...tokens } = layer.tokens ?? {}
  if (Object.keys(tokens).length > 0) return { ...layer, tokens }
  const { tokens: _none, ...rest } = layer
  return rest as Layer
}

export const renameToken = (design: Design, { token, name }: EditOf<'rename-token'>): Design => {
  const names = byName(design)
  if (!names.has(token) || names.has(name)) return design
  const tokens = changeAliases(design.tokens, token, () => `{${name}}`).map((t) =>
    t.name === token ? { ...t, name } : t,
  )
  const renamed = changeHovers({ ...design, tokens }, token, name)
  return changeLayers(renamed, (layer) =>
    changeUses(layer, token, (l, path) => ({ ...l, tokens: { ...l.tokens, [path]: name } })),
  )
}

export const mergeToken = (design: Design, { token, into }: EditOf<'merge-token'>): Design => {
  const names = byName(design)
  const [from, to] = [names.get(token), names.get(into)]
  if (!from || !to || from === to || from.type !== to.type) return design
  // The one that stays may be an alias of the one that goes: then it takes over its values.
  const kept = design.tokens.map((t) =>
    t === to && Object.values(to.values).includes(`{${token}}` as never)
      ? ({ ...to, values: from.values } as Token)
      : t,
  )
  const tokens = changeAliases(kept, token, () => `{${into}}`).filter((t) => t.name !== token)
  const merged = { ...design, tokens }
  const all = byName(merged)
  const value = resolveTokenValue(all, all.get(into)!, design.modes[0]!)
  if (value === undefined) return design
  return changeLayers(changeHovers(merged, token, into), (layer) =>
    changeUses(layer, token, (l, path) => setTokenField(l, path, into, value)),
  )
}

export const removeToken = (design: Design, { token }: EditOf<'remove-token'>): Design => {
  const names = byName(design)
  const gone = names.get(token)
  if (!gone) return design
  const tokens = changeAliases(
    design.tokens.filter((t) => t !== gone),
    token,
    (mode) => resolveTokenValue(names, gone, mode),
  )
  return changeLayers(changeHovers({ ...design, tokens }, token), (layer) =>
    changeUses(layer, token, withoutUse),
  )
}
