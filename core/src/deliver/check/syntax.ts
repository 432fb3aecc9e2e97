import type { Fault, FaultFinder, TextFile } from './fault.js'

/** What a parser says is wrong, and where in the text it was given. */
type Said = { readonly at: number; readonly what: string }

const inJson = (text: string): Said[] => {
  try {
    JSON.parse(text)
    return []
  } catch (error) {
    return [{ at: 0, what: `is no JSON: ${(error as Error).message}` }]
  }
}

/** What a parser adds to its message for people: where it is, which is said otherwise. */
const withoutPlace = (message: string): string => message.replace(/\s*\(\d+:\d+\)$/, '')

const inScript = async (text: string, hasMarkup: boolean): Promise<Said[]> => {
  const { transform } = await import('sucrase')
  try {
    transform(text, {
      transforms: ['typescript', ...(hasMarkup ? (['jsx'] as const) : [])],
      disableESTransforms: true,
    })
    return []
  } catch (error) {
    const { message, pos = 0 } = error as Error & { pos?: number }
    return [{ at: pos, what: `cannot be parsed: ${withoutPlace(message)}` }]
  }
}

/** Comments, strings, and the ends of blocks in a style sheet. */
const BLOCKS = /\/\*[^]*?\*\/|"(?:[^"\\\n]|\\.)*"|'(?:[^'\\\n]|\\.)*'|[{}]/g

/** Blocks that are opened and not closed, or closed and not opened: all that CSS, SCSS and the sheets of Tailwind have in common. */
const inSheet = (text: string): Said[] => {
  const open: number[] = []
  for (const { 0: found, index } of text.matchAll(BLOCKS)) {
    if (found === '{') open.push(index)
    else if (found === '}' && open.pop() === undefined)
      return [{ at: index, what: 'closes a block, and none is open' }]
  }
  return open.slice(0, 1).map((at) => ({ at, what: 'opens a block and never closes it' }))
}

/** Comments, the blocks of scripts and styles, and tags with their attributes, whose values may hold any sign. */
const MARKUP =
  /<!--[^]*?-->|<(script|style)\b(?:[^<>"']|"[^"]*"|'[^']*')*>[^]*?<\/\1>|<(\/?)([a-zA-Z][\w.:-]*)(?:[^<>"']|"[^"]*"|'[^']*')*?(\/?)>/g
const VOID = new Set([
  ...['area', 'base', 'br', 'col', 'embed', 'hr', 'img', 'input', 'link', 'meta'],
  ...['source', 'track', 'wbr'],
])

/** Tags that are opened and not closed, or closed and not opened. */
const inMarkup = (text: string): Said[] => {
  const open: { readonly name: string; readonly at: number }[] = []
  for (const { 0: whole, 2: slash, 3: name, 4: end, index } of text.matchAll(MARKUP)) {
    if (name === undefined || end === '/' || VOID.has(name) || whole.startsWith('<!--')) continue
    if (slash === '') open.push({ name, at: index })
    else {
      const last = open.pop()
      if (last?.name !== name)
        return [{ at: index, what: `closes ${name}, and ${last?.name ?? 'nothing'} is open` }]
    }
  }
  return open.slice(0, 1).map(({ name, at }) => ({ at, what: `opens ${name} and never closes it` }))
}

const VUE_SCRIPT = /<script\b[^>]*>\n?([^]*?)<\/script>/

const inVue = async (text: string): Promise<Said[]> => {
  const script = VUE_SCRIPT.exec(text)
  const start = script ? script.index + script[0].indexOf(script[1]!) : 0
  const inside = script ? await inScript(script[1]!, false) : []
  return [...inside.map(({ at, what }) => ({ at: at + start, what })), ...inMarkup(text)]
}

const PARSERS: Readonly<Record<string, (text: string) => Said[] | Promise<Said[]>>> = {
  css: inSheet,
  html: inMarkup,
  js: (text) => inScript(text, false),
  json: inJson,
  jsx: (text) => inScript(text, true),
  scss: inSheet,
  ts: (text) => inScript(text, false),
  tsx: (text) => inScript(text, true),
  vue: inVue,
}

/** Files that cannot be parsed. */
export const brokenSyntax: FaultFinder = ({ path, text }: TextFile): Promise<readonly Fault[]> =>
  Promise.resolve(PARSERS[path.slice(path.lastIndexOf('.') + 1)]?.(text) ?? [])
