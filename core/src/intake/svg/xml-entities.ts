/** Programs name a dozen namespaces at most, and give each a short text. */
const MOST_ENTITIES = 100
const LONGEST_VALUE = 1000
/** So many signs may stand in the place of all entities of a file. */
const MOST_SIGNS = 1_000_000

const DECLARATION = /<!ENTITY\s+((?:"[^"]*"|'[^']*'|[^>"'])*)>/gi
const OF_TEXT = /^([A-Za-z_][\w.-]*)\s+(?:"([^"]*)"|'([^']*)')\s*$/
/** Signs by their number; what stands for one of its own signs would be markup. */
const BY_NUMBER = /&#(?:x([0-9a-f]{1,6})|(\d{1,7}));/gi

/** What a number stands for; undefined where XML has no such sign. */
const signOf = (digits: string, base: 10 | 16): string | undefined => {
  const code = Number.parseInt(digits, base)
  return code >= 0x20 && code <= 0x10ffff && !(code >= 0xd800 && code <= 0xdfff)
    ? String.fromCodePoint(code)
    : undefined
}

const valueOf = (written: string): string | undefined => {
  const value = written.replace(BY_NUMBER, (whole, hex?: string, decimal?: string) =>
    hex === undefined ? (signOf(decimal!, 10) ?? whole) : (signOf(hex, 16) ?? whole),
  )
  return /[<&]/.test(value) || value.length > LONGEST_VALUE ? undefined : value
}

/**
 * The entities that a document type declares for its own file, where each stands for a text: programs write namespaces
 * so. Undefined where one stands for markup, for another entity or for what lies outside of the file, or where all of
 * them together would make the file swell.
 */
export const readEntities = (
  doctype: string,
  file: string,
): ReadonlyMap<string, string> | undefined => {
  const entities = new Map<string, string>()
  const declarations = [...doctype.matchAll(DECLARATION)]
  if (declarations.length !== (doctype.match(/<!ENTITY/gi) ?? []).length) return undefined
  for (const [, declared] of declarations) {
    const [, name, double, single] = OF_TEXT.exec(declared!) ?? []
    const value = name === undefined ? undefined : valueOf(double ?? single ?? '')
    if (name === undefined || value === undefined) return undefined
    // The first declaration of a name is the one that counts.
    if (!entities.has(name)) entities.set(name, value)
    if (entities.size > MOST_ENTITIES) return undefined
  }
  let signs = 0
  for (const [, name] of file.matchAll(/&([A-Za-z_][\w.-]*);/g)) {
    signs += entities.get(name!)?.length ?? 0
    if (signs > MOST_SIGNS) return undefined
  }
  return entities
}
