import fc from 'fast-check'
import { prepare } from '../convert.js'
import { design, frame } from '../testing/design.js'
import { at, words } from '../testing/page.js'
import { solid } from '../testing/roles.js'
import { findUndrawn } from './undrawn.js'
import { runs } from '../testing/runs.js'

type Json = Record<string, unknown>

const SIZES = ['Small', 'Large']
const KINDS = ['Calm', 'Wild', 'Plain']

const variant = (name: string, values: Json): Json => ({
  type: 'component',
  key: name,
  name,
  variant: values,
  ...at(0, 0, 120, 44),
  ...solid('#1b3a2f'),
  children: [words(`${name}-label`, 'Shore', 10, 10)],
})

const setOf = (drawn: readonly Json[]): Json => ({
  key: 'tag',
  name: 'Tag',
  properties: [
    { kind: 'variant', name: 'Size', values: SIZES, default: 'Small' },
    { kind: 'variant', name: 'Kind', values: KINDS, default: 'Calm' },
    { kind: 'variant', name: 'State', values: ['Rest', 'Hover'], default: 'Rest' },
  ],
  variants: drawn.map((values, i) => variant(`v${i}`, values)),
})

const page = frame(
  'page',
  [
    {
      type: 'instance',
      key: 'one',
      name: 'Tag',
      component: 'tag',
      ...at(40, 40, 120, 44),
      variant: {},
    },
  ],
  { ...at(0, 0, 640, 400), ...solid('#ffffff') },
)

const ALL = SIZES.flatMap((Size) => KINDS.map((Kind) => ({ Size, Kind })))

describe('combinations of variants that are not drawn', () => {
  test('are those that are left, whatever their states', () => {
    fc.assert(
      fc.property(fc.subarray(ALL, { minLength: 1 }), (drawn) => {
        const made = design([page], { components: [setOf(drawn)] })
        const found = findUndrawn(made.components[0]!)
        expect(found).toEqual(ALL.filter((one) => !drawn.includes(one)))
      }),
      runs(),
    )
  })

  test('are said in a note, once a set', () => {
    const made = design([page], { components: [setOf(ALL.slice(0, 4))] })
    const { notes } = prepare(made, [])
    const said = notes.filter(({ code }) => code === 'parts/undrawn')
    expect(said).toHaveLength(1)
    expect(said[0]!.message).toContain('Size=Large, Kind=Wild')
    const whole = prepare(design([page], { components: [setOf(ALL)] }), [])
    expect(whole.notes.map(({ code }) => code)).not.toContain('parts/undrawn')
  })
})
