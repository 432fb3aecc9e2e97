import type { Plugin } from 'prettier'
import type { EmittedFile } from '../emit/shared/emitted-file.js'
import { realign } from './realign.js'

/** Prettier with all that reads our files; loaded when it is first needed, since most projects are printed as they are to be. */
const load = async () => {
  const [{ format }, ...plugins] = await Promise.all([
    import('prettier/standalone'),
    import('prettier/plugins/angular'),
    import('prettier/plugins/babel'),
    import('prettier/plugins/estree'),
    import('prettier/plugins/html'),
    import('prettier/plugins/postcss'),
    import('prettier/plugins/typescript'),
  ])
  return { format, plugins: plugins as Plugin[] }
}

let loaded: ReturnType<typeof load> | undefined

const PARSERS: Readonly<Record<string, string>> = {
  css: 'css',
  html: 'html',
  js: 'babel',
  json: 'json',
  jsx: 'babel',
  scss: 'scss',
  ts: 'typescript',
  tsx: 'typescript',
  vue: 'vue',
}

/** The parser for a file; undefined for those that are written in one way only. */
const parserOf = (path: string, isAngular: boolean): string | undefined => {
  const name = path.slice(path.lastIndexOf('/') + 1)
  if (/^\.(prettier|postcss)rc/.test(name)) return 'json'
  const ending = name.slice(name.lastIndexOf('.') + 1)
  return isAngular && ending === 'html' ? 'angular' : PARSERS[ending]
}

/** A file as Prettier writes it with some options, with the places of its layers; fails on what Prettier cannot read. */
export const formatFile = async (
  file: EmittedFile,
  options: Readonly<Record<string, unknown>>,
  isAngular: boolean,
): Promise<EmittedFile> => {
  const parser = parserOf(file.path, isAngular)
  if (file.content.kind !== 'text' || parser === undefined) return file
  const before = file.content.text
  const { format, plugins } = await (loaded ??= load())
  const text = await format(before, { ...options, parser, plugins })
  if (text === before) return file
  return { ...file, content: { kind: 'text', text }, spans: realign(before, text, file.spans) }
}
