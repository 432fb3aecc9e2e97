import type { Design } from '../design/design.js'
import type { Layer } from '../design/layer.js'
import { walkLayers } from '../design/walk.js'
import { listFontNeeds, type FontNeed } from '../fonts/needs.js'
import { findArtboards } from '../design/find-artboards.js'
import { listTokenFields } from '../tokens/fields.js'

export type ScreenSummary = {
  readonly key: string
  readonly name: string
  readonly width: number
  readonly height: number
  readonly layerCount: number
  readonly textCount: number
  readonly pictureCount: number
}

/** What a person wants to know of a design before taking it in. */
export type Summary = {
  readonly screens: readonly ScreenSummary[]
  readonly fonts: readonly FontNeed[]
  /** Colours by how often they are used, most used first. */
  readonly colors: readonly { readonly color: string; readonly count: number }[]
  /** Screens that by name and width look like one screen at several widths. */
  readonly artboards: readonly (readonly string[])[]
}

const MOST_COLORS = 64

const countColors = (roots: readonly Layer[]): Summary['colors'] => {
  const counts = new Map<string, number>()
  for (const root of roots) {
    walkLayers(root, (layer) => {
      for (const { type, value } of listTokenFields(layer)) {
        if (type === 'color') counts.set(value as string, (counts.get(value as string) ?? 0) + 1)
      }
    })
  }
  return [...counts]
    .map(([color, count]) => ({ color, count }))
    .sort((a, b) => b.count - a.count || a.color.localeCompare(b.color, 'en'))
    .slice(0, MOST_COLORS)
}

const summariseScreen = (screen: Layer): ScreenSummary => {
  let [layerCount, textCount, pictureCount] = [0, 0, 0]
  walkLayers(screen, (layer) => {
    layerCount++
    if (layer.type === 'text') textCount++
    const shows =
      layer.type === 'image' || ('fills' in layer && layer.fills.some((f) => f.kind === 'image'))
    if (shows) pictureCount++
  })
  const { key, name, box } = screen
  return { key, name, width: box.width, height: box.height, layerCount, textCount, pictureCount }
}

/** Sums a design up; `resolved` are its screens with their instances resolved. */
export const summarise = (design: Design, resolved: readonly Layer[]): Summary => ({
  screens: resolved.map(summariseScreen),
  fonts: listFontNeeds(resolved),
  colors: countColors(resolved),
  artboards:
    design.artboards.length > 0
      ? design.artboards.map((group) => group.screens)
      : findArtboards(resolved).map((group) => group.map((screen) => screen.key)),
})
