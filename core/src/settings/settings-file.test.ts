import fc from 'fast-check'
import { readSettings, writeSettings, type SettingsFile } from './settings-file.js'
import { LIBRARIES } from '../parts/library-screen.js'
import { GRAINS } from '../parts/sections.js'
import { runs } from '../testing/runs.js'

const maybe = <T>(values: fc.Arbitrary<T>) => fc.option(values, { nil: undefined })

const settings: fc.Arbitrary<SettingsFile> = fc.record({
  target: maybe(fc.constantFrom('html', 'react', 'vue', 'angular', 'flutter')),
  styling: maybe(fc.constantFrom('tailwind', 'css')),
  select: maybe(fc.array(fc.string({ minLength: 1 }))),
  derivesStates: maybe(fc.boolean()),
  language: maybe(fc.constantFrom('de', 'pt-BR')),
  grain: maybe(fc.constantFrom(...GRAINS)),
  library: maybe(fc.constantFrom(...LIBRARIES)),
  fonts: maybe(fc.string({ minLength: 1 })),
  edits: maybe(fc.string({ minLength: 1 })),
})

test('what is written is read back as it was', () => {
  fc.assert(
    fc.property(settings, (given) => {
      const said = Object.fromEntries(Object.entries(given).filter(([, v]) => v !== undefined))
      expect(readSettings(JSON.parse(writeSettings(given)))).toEqual({
        ok: true,
        value: said,
        notes: [],
      })
    }),
    runs(),
  )
})

test('fields are written in one order, whatever order they come in', () => {
  expect(writeSettings({ styling: 'css', target: 'vue' })).toBe(
    writeSettings({ target: 'vue', styling: 'css' }),
  )
})

test.each([
  [[], 'the document'],
  [{ target: 'cobol' }, 'target: "cobol": invalid option'],
  [{ langauge: 'de' }, 'unknown field langauge'],
  [{ language: 'Deutsch!' }, 'language: "Deutsch!": not a language tag'],
  [{ select: [''] }, 'select[0]'],
  [{ derivesStates: 'no' }, 'derivesStates: "no"'],
])('%j is refused, and what is wrong is named', (document, message) => {
  const result = readSettings(document)
  expect(result.ok).toBe(false)
  expect(result.notes).toEqual([
    expect.objectContaining({
      severity: 'error',
      code: 'settings/invalid',
      message: expect.stringContaining(message) as string,
    }),
  ])
})
