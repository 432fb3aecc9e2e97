import { converter } from 'culori'
import { splitColor } from '../../design/color.js'
import { insideOf, type UiStyle } from '../../ui/nodes.js'
import type { UiProject } from '../../ui/index.js'
import { textFile, type EmittedFile } from '../shared/emitted-file.js'
import { FAVICON } from '../shared/entry-page.js'

const toOklch = converter('oklch')
/** What a project without any colour of its own gets. */
const NEUTRAL = '#404040'
const LEAST_CHROMA = 0.04
const DARK = 0.65

const fillsOf = ({ fills }: UiStyle): string[] =>
  fills.flatMap((fill) => (fill.kind === 'solid' ? [splitColor(fill.color).color] : []))

/** The colour that most boxes of the pages are filled with, greys aside. */
const findAccent = ({ pages }: UiProject): string => {
  const counts = new Map<string, number>()
  for (const { root } of pages)
    for (const node of [root, ...insideOf(root)])
      for (const color of 'style' in node ? fillsOf(node.style) : [])
        counts.set(color, (counts.get(color) ?? 0) + 1)
  const colored = [...counts].filter(([color]) => toOklch(color)!.c >= LEAST_CHROMA)
  return colored.sort((a, b) => b[1] - a[1])[0]?.[0] ?? NEUTRAL
}

/** A sign of the site for tabs and bookmarks, to be replaced by its own: a ring on the colour of the design. */
export const favicon = (project: UiProject, folder = ''): EmittedFile => {
  const color = findAccent(project)
  const ring = toOklch(color)!.l < DARK ? '#fff' : '#000'
  return textFile(
    `${folder}${FAVICON}`,
    `<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 32 32">
  <rect width="32" height="32" rx="8" fill="${color}" />
  <circle cx="16" cy="16" r="7" fill="none" stroke="${ring}" stroke-width="4" />
</svg>
`,
  )
}
