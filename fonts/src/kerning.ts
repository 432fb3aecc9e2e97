import type { Font, PairSubtable } from 'fontkit'

type Coverage = PairSubtable['coverage']
type Classes = NonNullable<PairSubtable['classDef1']>

/** Position of a glyph in a coverage table (OpenType, chapter 2); -1 when it is not in it. */
const coverageIndex = (coverage: Coverage, glyph: number): number => {
  if (coverage.version === 1) return coverage.glyphs!.indexOf(glyph)
  const range = coverage.rangeRecords!.find((r) => glyph >= r.start && glyph <= r.end)
  return range ? range.startCoverageIndex + glyph - range.start : -1
}

const classOf = (classes: Classes, glyph: number): number => {
  if (classes.version === 1) return classes.classValueArray![glyph - classes.startGlyph!] ?? 0
  return classes.classRangeRecord!.find((r) => glyph >= r.start && glyph <= r.end)?.class ?? 0
}

/** What a subtable says for a left glyph: the kerning of each right glyph it decides about. */
const rowOf = (
  table: PairSubtable,
  left: number,
): ((right: number) => number | undefined) | undefined => {
  const index = coverageIndex(table.coverage, left)
  if (index < 0) return undefined
  if (table.pairSets) {
    const pairs = new Map(
      table.pairSets.get(index).map((p) => [p.secondGlyph, p.value1?.xAdvance ?? 0]),
    )
    return (right) => pairs.get(right)
  }
  if (!table.classRecords || !table.classDef1 || !table.classDef2) return undefined
  const row = table.classRecords.get(classOf(table.classDef1, left))
  const { classDef2 } = table
  return (right) => row.get(classOf(classDef2, right)).value1?.xAdvance ?? 0
}

/** Lookups of pairs that the `kern` feature uses for Latin text, in order. */
const kernLookups = (font: Font): PairSubtable[][] => {
  const { GPOS } = font
  if (!GPOS) return []
  const scripts = GPOS.scriptList ?? []
  const script =
    scripts.find((s) => s.tag === 'latn') ?? scripts.find((s) => s.tag === 'DFLT') ?? scripts[0]
  const wanted = script?.script.defaultLangSys?.featureIndexes
  const features = wanted ? wanted.map((i) => GPOS.featureList[i]!) : GPOS.featureList
  const indexes = features
    .filter((f) => f.tag === 'kern')
    .flatMap((f) => f.feature.lookupListIndexes)
  return [...new Set(indexes)]
    .sort((a, b) => a - b)
    .map((i) => GPOS.lookupList.get(i))
    .map(({ subTables }) => subTables.map((t) => t.extension ?? t))
    .map((tables) => tables.filter((t) => t.pairSets ?? t.classRecords))
}

/** Kerning between characters, as `left code, right code` → font units. Pairs without any are left out. */
export const readKerning = (font: Font, codes: readonly number[]): Record<string, number> => {
  const glyphs = codes.map((code) => ({ code, glyph: font.glyphForCodePoint(code).id }))
  const kerning: Record<string, number> = {}
  for (const tables of kernLookups(font)) {
    for (const left of glyphs) {
      const rows = tables.flatMap((table) => rowOf(table, left.glyph) ?? [])
      if (rows.length === 0) continue
      for (const right of glyphs) {
        // The first subtable that knows the pair decides.
        for (const row of rows) {
          const value = row(right.glyph)
          if (value === undefined) continue
          if (value !== 0) {
            const key = `${left.code},${right.code}`
            kerning[key] = (kerning[key] ?? 0) + value
          }
          break
        }
      }
    }
  }
  return kerning
}
