import { readFileSync } from 'node:fs'
import { basename } from 'node:path'
import { examineWidths, lintPage, measureWith, readFiles } from '@unimorph/core'
import { LINTED_WIDTHS } from './figures.js'

/** How many places a designer would mark on the page that is made of some files, by width in px. */
export const countMarks = (files: readonly string[]): ReadonlyMap<number, number> => {
  const measure = measureWith([])
  const inputs = files.map((file) => ({ name: basename(file), bytes: readFileSync(file) }))
  const { design } = readFiles(inputs, measure)
  const [screen] = design?.screens ?? []
  const examined = design && screen && examineWidths(design, screen.key, measure)
  if (!examined) return new Map()
  const marks = lintPage(examined.trees, measure, LINTED_WIDTHS)
  return new Map(
    LINTED_WIDTHS.map((width) => [width, marks.filter(({ atPx }) => atPx.includes(width)).length]),
  )
}
