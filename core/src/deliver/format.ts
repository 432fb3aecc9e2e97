import * as angular from 'prettier/plugins/angular'
import * as babel from 'prettier/plugins/babel'
import * as estree from 'prettier/plugins/estree'
import * as html from 'prettier/plugins/html'
import * as postcss from 'prettier/plugins/postcss'
import * as typescript from 'prettier/plugins/typescript'
import { format } from 'prettier/standalone'
import type { EmittedFile } from '../emit/shared/emitted-file.js'
import { realign } from './realign.js'

const PLUGINS = [angular, babel, estree, html, postcss, typescript]

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
  const text = await format(before, { ...options, parser, plugins: PLUGINS })
  if (text === before) return file
  return { ...file, content: { kind: 'text', text }, spans: realign(before, text, file.spans) }
}
