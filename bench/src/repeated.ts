import { existsSync, readFileSync } from 'node:fs'
import { basename, dirname, join } from 'node:path'
import { convert, createTableMeasure, readFiles } from '@unimorph/core'

type Truth = {
  readonly texts: readonly { readonly element: string; readonly text: string }[]
  readonly elements: readonly {
    readonly key: string
    readonly parent: string | null
    readonly repeated?: { readonly signature: string; readonly count: number }
  }[]
}

export type RepeatedFigures = {
  /** Runs of three or more siblings of one kind that say something. */
  readonly runs: number
  /** Those of them of which at least two in three are written as a thing of a list, or by a component. */
  readonly once: number
}

const LEAST_MEMBERS = 3
const plain = (text: string): string => text.toLowerCase().replace(/[\s\\]+/g, '')

/** The words of each run of siblings, member by member. */
const runsOf = ({ elements, texts }: Truth): readonly (readonly (readonly string[])[])[] => {
  const runs = new Map<string, (readonly string[])[]>()
  for (const { key, parent, repeated } of elements) {
    if (!repeated || repeated.count < LEAST_MEMBERS) continue
    const words = texts
      .filter(({ element }) => element === key || element.startsWith(`${key}/`))
      .map(({ text }) => plain(text))
      .filter((text) => text !== '')
    const run = `${parent} ${repeated.signature}`
    if (words.length > 0) runs.set(run, [...(runs.get(run) ?? []), words])
  }
  return [...runs.values()].filter((members) => members.length >= LEAST_MEMBERS)
}

/** The stretches of delivered code that are data of a list, uses of components, or the components themselves. */
const writtenOnce = (file: string): readonly string[] => {
  const measure = createTableMeasure()
  const { design } = readFiles([{ name: basename(file), bytes: readFileSync(file) }], measure)
  if (!design) throw new Error(`${file} holds no design`)
  const result = convert(design, [], { target: 'react' })
  if (!result.ok) throw new Error(result.notes.map(({ message }) => message).join('\n'))
  const texts = result.value.files.flatMap(({ path, content, spans }) =>
    content.kind === 'text' ? [{ path, text: content.text, spans }] : [],
  )
  const components = texts.filter(({ path }) => path.includes('/components/'))
  // What all uses of a component say is said in the component.
  const usedIn = (code: string): string =>
    components
      .filter(({ path }) => new RegExp(`<${basename(path, '.tsx')}\\b`).test(code))
      .map(({ text }) => text)
      .join('\n')
  const parts = texts.flatMap(({ text, spans }) =>
    spans.flatMap(({ start, end }) => {
      const code = text.slice(start, end)
      if (code.startsWith('{')) return [`${code}${usedIn(text)}`]
      return /^<[A-Z]/.test(code) ? [`${code}${usedIn(code)}`] : []
    }),
  )
  return [...parts, ...components.map(({ text }) => text)].map(plain)
}

/** How much of what a captured page repeats is written once. `file`: its design of one width, beside which the truth lies. */
export const measureRepeated = (file: string): RepeatedFigures => {
  const truth = join(dirname(file), basename(file).replace(/^design-(\d+).*/, 'truth-$1.json'))
  if (!existsSync(truth)) throw new Error(`${truth} is missing`)
  const runs = runsOf(JSON.parse(readFileSync(truth, 'utf8')) as Truth)
  const once = writtenOnce(file)
  const isOnce = (words: readonly string[]): boolean =>
    once.some((code) => words.every((word) => code.includes(word)))
  const missed = runs.filter((members) => members.filter(isOnce).length < (members.length * 2) / 3)
  return {
    runs: runs.length,
    once: runs.length - missed.length,
  }
}
