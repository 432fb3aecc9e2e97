import { parse } from '@vue/compiler-sfc'

type Files = ReadonlyMap<string, { readonly content: string }>
type Find = (specifier: string, from: string) => string | undefined

const IMPORT = /@import\s+(?:url\()?["']([^"']+)["']\)?\s*;/g

/** A style sheet with those it imports in their places; what cannot be had is left out. */
export const joinSheets = (
  path: string,
  content: string,
  files: Files,
  find: Find,
  seen: ReadonlySet<string> = new Set(),
): string =>
  content.replace(IMPORT, (_all, specifier: string) => {
    const own = find(specifier, path)
    const file = own === undefined ? undefined : files.get(own)
    if (own === undefined || !file || seen.has(own)) return ''
    return joinSheets(own, file.content, files, find, new Set([...seen, own]))
  })

/** The styles of a single-file component; styles that hold for it alone hold for all here. */
export const stylesIn = (path: string, source: string, files: Files, find: Find): string =>
  parse(source)
    .descriptor.styles.map(({ content }) => joinSheets(path, content, files, find))
    .join('\n')

/** Code that puts styles into the page it runs in. */
export const putIn = (styles: string): string =>
  styles.trim() === ''
    ? ''
    : `\n{ const sheet = document.createElement("style"); sheet.textContent = ${JSON.stringify(styles)}; document.head.prepend(sheet) }\n`
