// What is used of fontkit, which has no types of its own.
declare module 'fontkit' {
  type Value = { xAdvance?: number }
  type Coverage = {
    version: number
    glyphs?: number[]
    rangeRecords?: { start: number; end: number; startCoverageIndex: number }[]
  }
  type Classes = {
    version: number
    startGlyph?: number
    classValueArray?: number[]
    classRangeRecord?: { start: number; end: number; class: number }[]
  }
  export type PairSubtable = {
    version?: number
    posFormat?: number
    coverage: Coverage
    pairSets?: { get(i: number): { secondGlyph: number; value1?: Value }[] }
    classDef1?: Classes
    classDef2?: Classes
    classRecords?: { get(i: number): { get(j: number): { value1?: Value } } }
    lookupType?: number
    extension?: PairSubtable
  }
  type Lookup = { lookupType: number; subTables: PairSubtable[] }
  export type Font = {
    type: string
    familyName: string
    fullName: string
    unitsPerEm: number
    ascent: number
    descent: number
    lineGap: number
    italicAngle: number
    characterSet: number[]
    variationAxes: Record<string, { min: number; default: number; max: number }>
    'OS/2'?: { usWeightClass: number; fsSelection: { italic?: boolean; oblique?: boolean } }
    name?: { records: Record<string, Record<string, string> | undefined> }
    GPOS?: {
      scriptList?: {
        tag: string
        script: { defaultLangSys?: { featureIndexes: number[] } | null }
      }[]
      featureList: { tag: string; feature: { lookupListIndexes: number[] } }[]
      lookupList: { get(i: number): Lookup }
    }
    hasGlyphForCodePoint(code: number): boolean
    glyphForCodePoint(code: number): { id: number; advanceWidth: number }
  }
  export const create: (bytes: Uint8Array) => Font | { fonts: Font[] }
}
