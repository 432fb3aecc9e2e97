import { design, frame, text } from '../testing/design.js'
import { convert, prepare } from '../convert.js'
import { applyGlossary } from '../glossary/apply.js'
import { EMPTY_GLOSSARY } from '../glossary/glossary.js'
import { codebase } from '../testing/codebase.js'

type Json = Record<string, unknown>

const SHADE = { kind: 'shadow', x: 0, y: 1, blur: 3, spread: 0, color: '#00000022' }

const card = (key: string, more: Json = {}): Json =>
  frame(key, [text(`${key}-words`, 'Low water', { style: ink('#112233') })], {
    fills: [{ kind: 'solid', color: '#e8efe9' }],
    radius: 5,
    effects: [SHADE],
    layout: { kind: 'row', padding: 8 },
    ...more,
  })

const ink = (color: string): Json => ({
  family: 'Inter',
  size: 16,
  lineHeight: 24,
  weight: 400,
  color,
})

const codeOf = (layers: Json[], more: Json = {}): string => {
  const outcome = convert(
    design([frame('home', layers, { layout: { kind: 'column', gap: 8 }, name: 'Home' })], more),
    [],
    { target: 'html' },
  )
  if (!outcome.ok) throw new Error(JSON.stringify(outcome.notes))
  return outcome.value.files
    .flatMap(({ content }) => (content.kind === 'text' ? [content.text] : []))
    .join('\n')
}

test('what stands in several places has a name in the theme', () => {
  const code = codeOf([card('a'), card('b')])
  expect(code).toContain('bg-grey-50')
  expect(code).toMatch(/--color-grey-50: #e8efe9;/)
  expect(code).toContain('rounded-5')
  expect(code).toMatch(/--radius-5: 5px;/)
  expect(code).toContain('shadow-1')
  expect(code).toContain('text-blue-750')
})

test('what stands in one place is written there', () => {
  const code = codeOf([card('a')])
  expect(code).toContain('bg-[#e8efe9]')
  expect(code).toContain('rounded-[5px]')
  expect(code).not.toContain('--color-grey-50')
})

test('radii on the scale of the styling keep its names', () => {
  expect(codeOf([card('a', { radius: 8 }), card('b', { radius: 8 })])).toContain('rounded-lg')
})

test('a token of the design of the same value comes first, and only where the design refers to it', () => {
  const tokens = [{ name: 'color.foam', type: 'color', values: { base: '#e8efe9' } }]
  const named = card('a', { tokens: { 'fills.0.color': 'color.foam' } })
  const code = codeOf([named, card('b'), card('c')], { tokens, modes: ['base'] })
  expect(code.match(/bg-foam/g)).toHaveLength(1)
  expect(code.match(/bg-\[#e8efe9\]/g)).toHaveLength(2)
})

test('two colours of one name are told apart', () => {
  const twice = (color: string): Json[] =>
    ['x', 'y'].map((side) => text(`${color}${side}`, 'Tide', { style: ink(color) }))
  const code = codeOf([...twice('#112233'), ...twice('#112234')])
  expect(code).toContain('text-blue-750')
  expect(code).toContain('text-blue-750-2')
})

test('a project has the names before any target sees it, and a codebase gets none of them', () => {
  const outcome = prepare(design([frame('home', [card('a'), card('b')])]), [])
  if (!outcome.ok) throw new Error(JSON.stringify(outcome.notes))
  expect([...outcome.value.theme.keys()]).toContain('color.grey-50')
  const { project } = applyGlossary(outcome.value, EMPTY_GLOSSARY, codebase([]), 'react')
  expect([...project.theme.keys()]).not.toContain('color.grey-50')
})
