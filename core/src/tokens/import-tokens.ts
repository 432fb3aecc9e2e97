import { changeLayers } from '../design/change-layers.js'
import type { Design } from '../design/design.js'
import type { Token } from '../design/token.js'
import { isSameValueType, listTokenFields, setTokenField } from './fields.js'
import { renameMode, resolveTokenValue } from './resolve.js'

/** A design with the tokens of a file: known names take the file's values, and layers that use them follow. */
export const importTokens = (
  design: Design,
  { modes, tokens }: { readonly modes: readonly string[]; readonly tokens: readonly Token[] },
): Design => {
  const names = new Map(design.tokens.map((t) => [t.name, t]))
  // The file's first mode is the one layers are drawn in, whatever either of them calls it.
  const [drawn, first] = [design.modes[0]!, modes[0]!]
  const incoming = tokens.map((token) => renameMode(token, first, drawn))
  const fresh = new Map(incoming.map((t) => [t.name, t]))
  const joined = [
    ...design.tokens.map((t) => {
      const next = fresh.get(t.name)
      return next && next.type === t.type ? next : t
    }),
    ...incoming.filter((t) => !names.has(t.name)),
  ]
  const changed: Design = {
    ...design,
    modes: [...new Set([...design.modes, ...modes.map((mode) => (mode === first ? drawn : mode))])],
    tokens: joined,
  }
  const all = new Map(changed.tokens.map((t) => [t.name, t]))
  const isBroken = joined.some((t) => resolveTokenValue(all, t, drawn) === undefined)
  if (isBroken) return design
  return changeLayers(changed, (layer) =>
    Object.entries(layer.tokens ?? {}).reduce((l, [path, name]) => {
      const token = all.get(name)
      const field = token && listTokenFields(l).find((f) => f.path === path)
      if (!field || field.type !== token.type) return l
      const value = resolveTokenValue(all, token, drawn)
      return isSameValueType(field.value, value) ? setTokenField(l, path, name, value) : l
    }, layer),
  )
}
