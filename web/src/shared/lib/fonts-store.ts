import { create } from 'zustand'
import { findFace, isGenericFamily, type Font, type FontNeed } from '@unimorph/core'
import { api, type FontSummary } from './api'
import { toBase64 } from './to-base64'

type FontsStore = {
  /** Fonts at hand; undefined until they were asked for. */
  readonly fonts: readonly FontSummary[] | undefined
  load(): Promise<readonly FontSummary[]>
  add(files: readonly File[]): Promise<void>
  remove(id: string): Promise<void>
}

/** The fonts that texts can be measured, shown and delivered with. */
export const useFonts = create<FontsStore>((set, get) => ({
  fonts: undefined,
  async load() {
    const fonts = await api.listFonts()
    set({ fonts })
    return fonts
  },
  async add(files) {
    for (const file of files) await api.addFont(file.name, await toBase64(file))
    await get().load()
  },
  async remove(id) {
    await api.removeFont(id)
    await get().load()
  },
}))

const loaded = new Map<string, Promise<Font>>()

const loadFont = (id: string): Promise<Font> => {
  const known = loaded.get(id)
  if (known) return known
  const loading = api.getFont(id)
  loaded.set(id, loading)
  loading.catch(() => loaded.delete(id))
  return loading
}

/** What choosing needs to know of a font, before its file is loaded. */
const asCandidate = (summary: FontSummary) => ({
  summary,
  face: {
    ...summary,
    ascent: 0,
    descent: 0,
    lineGap: 0,
    advances: {},
    kerning: {},
  },
})

/** The files at hand for what a design needs, one for each weight and slant that comes closest. */
export const chooseFonts = (
  needs: readonly FontNeed[],
  fonts: readonly FontSummary[],
): FontSummary[] => {
  const candidates = fonts.map(asCandidate)
  const chosen = new Set<FontSummary>()
  for (const { family, styles } of needs) {
    for (const { weight, italic } of styles) {
      const found = findFace(candidates, family, weight, italic)
      if (found) chosen.add(found.summary)
    }
  }
  return [...chosen]
}

/** Loads the fonts at hand for what a design needs. */
export const loadFonts = async (needs: readonly FontNeed[]): Promise<Font[]> => {
  const fonts = await useFonts.getState().load()
  return Promise.all(chooseFonts(needs, fonts).map((font) => loadFont(font.id)))
}

/** Families of a design that no font at hand has. */
export const findMissing = (
  needs: readonly FontNeed[],
  fonts: readonly Pick<FontSummary, 'family'>[],
): FontNeed[] => {
  const known = new Set(fonts.map((font) => font.family.toLowerCase()))
  return needs.filter(({ family }) => !known.has(family.toLowerCase()) && !isGenericFamily(family))
}

/** All faces of some families, for measuring texts before it is known which of them are used. */
export const loadFamilies = (
  fonts: readonly FontSummary[],
  families: readonly string[],
): Promise<Font[]> =>
  Promise.all(fonts.filter((f) => families.includes(f.family)).map((f) => loadFont(f.id)))
