import { existsSync, readFileSync } from 'node:fs'
import { join } from 'node:path'
import { Ajv2020 } from 'ajv/dist/2020.js'
import {
  buildGlossarySchema,
  buildJsonSchema,
  buildSettingsSchema,
  readDesign,
} from '@unimorph/core'

const read = (path: string): string => readFileSync(join(__dirname, path), 'utf8')

const schema = JSON.parse(read('design.schema.json')) as object

test.each([
  ['design.schema.json', buildJsonSchema()],
  ['settings.schema.json', buildSettingsSchema()],
  ['glossary.schema.json', buildGlossarySchema()],
])('%s is the one the code gives (npm run schema -w docs rewrites it)', (file, given) => {
  expect(JSON.parse(read(file))).toEqual(JSON.parse(JSON.stringify(given)))
})

describe('the format’s description', () => {
  const page = read('DESIGN-FORMAT.md')
  const examples = [...page.matchAll(/```json\n([\s\S]*?)```/g)].map(
    ([, text]) => JSON.parse(text!) as unknown,
  )
  const designs = examples.filter((e) => typeof e === 'object' && e !== null && 'format' in e)
  const isValid = new Ajv2020({ strict: false }).compile(schema)

  test('has an example that a person could write', () => {
    expect(designs.length).toBeGreaterThan(0)
  })

  test.each(designs.map((d, i) => [i + 1, d] as const))(
    'example %i is accepted by the program and by the schema',
    (_n, design) => {
      const result = readDesign(design)
      expect(result.notes).toEqual([])
      isValid(design)
      expect(isValid.errors ?? []).toEqual([])
    },
  )

  test('names every kind of layer', () => {
    for (const type of [
      'frame',
      'group',
      'text',
      'rectangle',
      'ellipse',
      'line',
      'path',
      'image',
      'component',
      'instance',
    ]) {
      expect(page).toContain(`\`${type}\``)
    }
  })
})

test.each(['README.md', 'docs/ARCHITECTURE.md', 'docs/DESIGN-FORMAT.md', 'CHANGELOG.md'])(
  'links in %s lead to files that are there',
  (file) => {
    const text = read(`../${file}`)
    const folder = join(__dirname, '..', file, '..')
    for (const [, target] of text.matchAll(/\]\(([^)#]+)\)/g)) {
      if (!/^https?:/.test(target!))
        expect([target, existsSync(join(folder, target!))]).toEqual([target, true])
    }
  },
)
