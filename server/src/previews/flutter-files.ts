import { readFile } from 'node:fs/promises'
import { posix } from 'node:path'
import type { Bundle } from './bundler'
import type { SourceFileDto } from './dto/bundle.dto'
import { fromPage } from './runtimes'

type ParsedNode = import('@unimorph/flutter-stand-in/syntax', {
  with: { 'resolution-mode': 'import' },
}).ParsedNode

const MIME: Readonly<Record<string, string>> = {
  avif: 'image/avif',
  gif: 'image/gif',
  jpg: 'image/jpeg',
  png: 'image/png',
  svg: 'image/svg+xml',
  webp: 'image/webp',
}

/** Whether a project is one of Flutter. */
export const isFlutter = (files: ReadonlyMap<string, string>): boolean => files.has('lib/main.dart')

const createParser = async () => {
  const { Language, Parser } = await import('web-tree-sitter')
  await Parser.init()
  const grammar = require.resolve('tree-sitter-wasms/out/tree-sitter-dart.wasm')
  const parser = new Parser()
  parser.setLanguage(await Language.load(await readFile(grammar)))
  return parser
}

/** The grammar is read once. */
let parser: ReturnType<typeof createParser> | undefined

const addressOf = ({ path, content, encoding }: SourceFileDto): string => {
  const mime = MIME[posix.extname(path).slice(1)] ?? 'application/octet-stream'
  return encoding === 'text'
    ? `data:${mime},${encodeURIComponent(content)}`
    : `data:${mime};base64,${content}`
}

/** The screens by their routes, as the app's first file names them. */
const routesIn = (main: string): Record<string, string> => {
  const routes = Object.fromEntries(
    [...main.matchAll(/^\s+'(\/[^']*)': \(context\) => const (\w+)\(\),$/gm)].map(
      ([, route, name]) => [route!, name!] as const,
    ),
  )
  const lost = /onUnknownRoute:[\s\S]*?=> const (\w+)\(\)/.exec(main)?.[1]
  return lost === undefined ? routes : { ...routes, '*': lost }
}

/** Data that is put into a script as it is. */
const asScript = (value: unknown): string =>
  JSON.stringify(value).replace(
    /[\u2028\u2029]/g,
    (sign) => `\\u${sign.charCodeAt(0).toString(16)}`,
  )

/**
 * A script that shows a project of Flutter: its code, parsed, with what stands in for Flutter. Nothing of it is run here.
 */
export const bundleFlutter = async (files: readonly SourceFileDto[]): Promise<Bundle> => {
  const { findSyntaxError, toSyntax } = await import('@unimorph/flutter-stand-in/syntax')
  const own = await (parser ??= createParser())
  const code = files.filter(({ path }) => path.endsWith('.dart'))
  const errors: string[] = []
  const parsed = code.map(({ path, content }) => {
    const tree = own.parse(content)!
    const root = tree.rootNode as unknown as ParsedNode
    const problem = findSyntaxError(root)
    if (problem) errors.push(`${path}:${String(problem.line)}: ${problem.message}`)
    const syntax = toSyntax(root)
    tree.delete()
    return syntax
  })
  if (errors.length > 0) return { errors }
  const main = code.find(({ path }) => path === 'lib/main.dart')?.content ?? ''
  const pictures = files.filter(({ path }) => path.startsWith('assets/'))
  const app = {
    files: parsed,
    routes: routesIn(main),
    pictures: Object.fromEntries(pictures.map((file) => [file.path, addressOf(file)])),
    family: /fontFamily: '([^']*)'/.exec(main)?.[1] ?? 'sans-serif',
  }
  const script = `${fromPage('@unimorph/flutter-stand-in')}.run(${asScript(app)}, document.getElementById("app"))`
  return { script, runtimes: ['flutter'] }
}
