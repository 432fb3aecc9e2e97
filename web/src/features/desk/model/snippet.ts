import type { EmittedFile } from '@unimorph/core'

type Stretch = { readonly start: number; readonly end: number }

/** Lines without the room that all of them begin with, but the first, which begins where its code does. */
export const dedent = (code: string): string => {
  const [first = '', ...rest] = code.split('\n')
  const rooms = rest.filter((line) => line.trim() !== '').map((line) => line.search(/\S/))
  const room = rooms.length === 0 ? 0 : Math.min(...rooms)
  return [first, ...rest.map((line) => line.slice(room))].join('\n')
}

const textOf = ({ content }: EmittedFile): string => (content.kind === 'text' ? content.text : '')

/** The names of the classes that some code has, written out or by a module: `class="card"`, `styles.card`. */
const classesIn = (code: string): readonly string[] => [
  ...new Set([
    ...[...code.matchAll(/\bclass(?:Name)?="([^"]+)"/g)].flatMap(([, all]) => all!.split(/\s+/)),
    ...[...code.matchAll(/\$?\bstyles?\.(\w+)/g)].map(([, name]) => name!),
  ]),
]

/** The rule of a class in a sheet, with what is nested in it. */
const ruleOf = (sheet: string, name: string): string | undefined => {
  const open = `\n.${name} {\n`
  const start = `\n${sheet}`.indexOf(open)
  if (start < 0) return undefined
  const end = sheet.indexOf('\n}', start)
  return end < 0 ? undefined : sheet.slice(start, end + 2).trim()
}

/** The sheets that hold for a component: its own, beside it or in its file, else that of the project. */
const sheetsFor = (files: readonly EmittedFile[], path: string): readonly string[] => {
  const stem = path.replace(/\.\w+$/, '')
  const own = files.filter((file) => [`${stem}.module.css`, `${stem}.css`].includes(file.path))
  const inside = files
    .filter((file) => file.path === path)
    .flatMap((file) => /<style[^>]*>\n([\s\S]*)<\/style>/.exec(textOf(file))?.[1] ?? [])
  if (own.length + inside.length > 0) return [...own.map(textOf), ...inside]
  return files.filter((file) => file.path.endsWith('.css')).map(textOf)
}

/** The code of a layer by itself, with the rules of the classes it has where they are rules of its project. */
export const snippetOf = (
  files: readonly EmittedFile[],
  path: string,
  { start, end }: Stretch,
): string => {
  const file = files.find((one) => one.path === path)
  const code = file ? dedent(textOf(file).slice(start, end)) : ''
  const sheets = sheetsFor(files, path)
  const rules = classesIn(code).flatMap((name) => {
    const found = sheets.map((sheet) => ruleOf(sheet, name)).find((rule) => rule !== undefined)
    return found === undefined ? [] : [found]
  })
  return rules.length === 0 ? `${code}\n` : `${code}\n\n/* CSS */\n\n${rules.join('\n\n')}\n`
}
