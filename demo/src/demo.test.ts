import { readFileSync } from 'node:fs'
import { join } from 'node:path'
import { readDesign, readFiles } from '@unimorph/core'
import { buildTidewrack } from './tidewrack.js'

const file = join(__dirname, '../designs/tidewrack.json')

test('Tidewrack is a checked design with screens at several widths, tokens in two modes and components', () => {
  const { design, notes } = readFiles([{ name: 'tidewrack.json', bytes: readFileSync(file) }])
  expect(notes).toEqual([])
  expect(design!.screens.map((s) => s.name)).toEqual([
    'Today on the shore',
    'Today on the shore, tablet',
    'Today on the shore, phone',
    'Log a sighting',
    'Log a sighting, phone',
    'What these times mean',
  ])
  expect(design!.modes).toEqual(['light', 'dark'])
  expect(design!.components.map((c) => c.name)).toEqual(['Button', 'Field', 'Figure', 'Sighting'])
})

test('the stored file says what the builders say (npm run draw -w demo rewrites it)', () => {
  // Places are filled in by the layout; everything else must agree.
  const withoutBoxes = (value: unknown): unknown =>
    JSON.parse(
      JSON.stringify(value, (key, inner: unknown) =>
        ['box', 'boxes', 'want'].includes(key) ? undefined : inner,
      ),
    )
  const stored = readDesign(JSON.parse(readFileSync(file, 'utf8')))
  const bare = JSON.parse(
    JSON.stringify(buildTidewrack(), (key, inner: unknown) => (key === 'want' ? undefined : inner)),
  ) as unknown
  const built = readDesign(bare)
  expect(withoutBoxes(stored)).toEqual(withoutBoxes(built))
})
