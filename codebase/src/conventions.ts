import type { Conventions } from '@unimorph/core'
import { basename } from 'node:path'
import type { SourceFile } from './files.js'
import type { Use } from './found.js'

/** So many files tell how all are written. */
const ENOUGH = 200

const mostOf = <T extends string | number>(values: readonly T[]): T | undefined => {
  const counts = new Map<T, number>()
  for (const value of values) counts.set(value, (counts.get(value) ?? 0) + 1)
  const [first] = [...counts].sort((a, b) => b[1] - a[1])
  return first && first[1] * 2 > values.length ? first[0] : undefined
}

type Formatter = {
  singleQuote?: boolean
  semi?: boolean
  tabWidth?: number
  useTabs?: boolean
  printWidth?: number
  trailingComma?: string
}

const FORMATTER_FILES = ['package.json', '.prettierrc.json', '.prettierrc']

const TRAILING = ['all', 'es5', 'none'] as const

const inRange = (value: number | undefined, least: number, most: number): number | undefined =>
  Number.isInteger(value) && value! >= least && value! <= most ? value : undefined

const formatterOf = (files: readonly SourceFile[]): Formatter => {
  for (const { path, text } of files) {
    if (!FORMATTER_FILES.includes(path)) continue
    try {
      const read = JSON.parse(text) as Formatter & { prettier?: Formatter }
      if (path !== 'package.json') return read
      if (typeof read.prettier === 'object') return read.prettier
    } catch {
      // What is no JSON is told where it is read, or is YAML.
    }
  }
  return {}
}

const nameKind = (name: string): 'kebab' | 'pascal' | 'snake' | undefined => {
  if (/^[A-Z][A-Za-z0-9]*$/.test(name)) return 'pascal'
  if (/^[a-z0-9]+(-[a-z0-9]+)+$/.test(name)) return 'kebab'
  return /^[a-z0-9]+(_[a-z0-9]+)+$/.test(name) ? 'snake' : undefined
}

/** How most of the files are written: by what the formatter is told where it is, else by how they are. */
export const findConventions = (
  files: readonly SourceFile[],
  uses: readonly Use[],
): Conventions => {
  const code = files.filter(({ path }) => /\.([cm]?[jt]sx?|vue)$/.test(path)).slice(0, ENOUGH)
  const said = formatterOf(files)
  const imports = code.flatMap(({ text }) => [
    ...text.matchAll(/^import\b[^\n]*from\s+(['"])[^'"\n]+\1(;?)\s*$/gm),
  ])
  const quote = mostOf(imports.map(([, sign]) => (sign === "'" ? 'single' : 'double')))
  const end = mostOf(imports.map(([, , sign]) => (sign === ';' ? 'yes' : 'no')))
  const steps = code.flatMap(({ text }): (number | 'tab')[] => {
    const first = /^(\t| {2,8})\S/m.exec(text)?.[1]
    return first === undefined ? [] : [first === '\t' ? 'tab' : first.length]
  })
  const named = [...code, ...files.filter(({ path }) => path.endsWith('.dart'))].flatMap(
    ({ path }) => nameKind(basename(path).replace(/\.[^.]+$/, '')) ?? [],
  )
  const own = uses.filter(({ of }) => /\.\w+#/.test(of))
  const ways = own.map(({ specifier }) => (/^[./]/.test(specifier) ? 'relative' : 'alias'))
  const quotes = said.singleQuote === undefined ? quote : said.singleQuote ? 'single' : 'double'
  const semicolons = said.semi ?? (end === undefined ? undefined : end === 'yes')
  const indent = said.useTabs ? 'tab' : (inRange(said.tabWidth, 1, 8) ?? mostOf(steps))
  const width = inRange(said.printWidth, 40, 200)
  const trailingCommas = TRAILING.find((one) => one === said.trailingComma)
  const fileNames = mostOf(named)
  const way = mostOf(ways)
  return {
    ...(quotes === undefined ? {} : { quotes }),
    ...(semicolons === undefined ? {} : { semicolons }),
    ...(indent === undefined ? {} : { indent }),
    ...(width === undefined ? {} : { width }),
    ...(trailingCommas === undefined ? {} : { trailingCommas }),
    ...(fileNames === undefined ? {} : { fileNames }),
    ...(way === undefined ? {} : { imports: way }),
  }
}
