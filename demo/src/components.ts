import { border, column, fill, layer, round, row, size, text, type Draft } from './build.js'

const asComponent = (draft: Draft, variant: Record<string, string>): Draft => ({
  ...draft,
  type: 'component',
  variant,
})

const bound = (draft: Draft, bind: Record<string, string>): Draft => ({ ...draft, bind })

type ButtonState = 'Rest' | 'Hover' | 'Disabled'

/** How a button looks: what it is filled or outlined with, and the colour of its words. */
const BUTTONS = {
  Primary: {
    Rest: { look: fill('kelp'), words: 'paper' },
    Hover: { look: fill('deep'), words: 'paper' },
    Disabled: { look: fill('line'), words: 'quiet' },
  },
  Plain: {
    Rest: { look: border('kelp'), words: 'kelp' },
    Hover: { look: border('deep'), words: 'deep' },
    Disabled: { look: border('line'), words: 'quiet' },
  },
} as const

const button = (tone: keyof typeof BUTTONS, state: ButtonState): Draft => {
  const key = state === 'Rest' ? `button-${tone}` : `button-${tone}-${state}`
  const { look, words: color } = BUTTONS[tone][state]
  const layout = {
    padding: { top: 12, right: 24, bottom: 12, left: 24 },
    align: 'centre',
    distribute: 'centre',
  }
  const label = bound(text(`${key.toLowerCase()}-label`, 'Button', 'strong', color), {
    text: 'Label',
  })
  return asComponent(
    row(key.toLowerCase(), layout, [look, round('control')], [{ ...label, name: 'Label' }]),
    { Tone: tone, State: state },
  )
}

const figure = (): Draft =>
  asComponent(
    column(
      'figure',
      { gap: 'xs', padding: 'l' },
      [fill('paper'), border('line'), round('card'), size(300)],
      [
        bound(text('figure-label', 'Label', 'label', 'quiet'), { text: 'Label' }),
        bound(text('figure-value', '0', 'figure', 'ink'), { text: 'Value' }),
        bound(text('figure-hint', 'Hint', 'small', 'quiet', size('stretch')), { text: 'Hint' }),
      ],
    ),
    {},
  )

const sighting = (): Draft =>
  asComponent(
    row(
      'sighting',
      { gap: 'm', padding: 'm', align: 'centre' },
      [fill('paper'), border('line'), round('card'), size(700)],
      [
        layer('ellipse', 'sighting-dot', fill('kelp'), size(12, 12)),
        column(
          'sighting-words',
          { gap: 'xs' },
          [size('stretch')],
          [
            bound(text('sighting-species', 'Species', 'strong', 'ink'), { text: 'Species' }),
            bound(text('sighting-place', 'Place', 'small', 'quiet', size('stretch')), {
              text: 'Place',
            }),
          ],
        ),
        bound(
          row(
            'sighting-badge',
            { padding: { top: 4, right: 12, bottom: 4, left: 12 } },
            [fill('shell'), round('pill')],
            [text('sighting-badge-label', 'Rare', 'label', 'rust')],
          ),
          { visible: 'Rare' },
        ),
        bound(text('sighting-time', '00:00', 'small', 'quiet'), { text: 'Time' }),
      ],
    ),
    {},
  )

const field = (state: 'Default' | 'Wrong'): Draft => {
  const key = `field-${state.toLowerCase()}`
  return asComponent(
    column(
      key,
      { gap: 'xs' },
      [size(480)],
      [
        bound(text(`${key}-label`, 'Label', 'label', 'ink'), { text: 'Label' }),
        row(
          `${key}-box`,
          { padding: { top: 12, right: 16, bottom: 12, left: 16 } },
          [
            fill('paper'),
            border(state === 'Wrong' ? 'rust' : 'line'),
            round('control'),
            size('stretch'),
          ],
          [bound(text(`${key}-value`, 'Value', 'body', 'quiet'), { text: 'Value' })],
        ),
        bound(
          text(
            `${key}-help`,
            'Help',
            'small',
            state === 'Wrong' ? 'rust' : 'quiet',
            size('stretch'),
          ),
          { text: 'Help' },
        ),
      ],
    ),
    { State: state },
  )
}

const words = (...names: string[]) => names.map((name) => ({ kind: 'text', name, default: name }))

/** The component sets of Tidewrack. */
export const COMPONENTS = [
  {
    key: 'Button',
    name: 'Button',
    properties: [
      { kind: 'variant', name: 'Tone', values: ['Primary', 'Plain'], default: 'Primary' },
      { kind: 'variant', name: 'State', values: ['Rest', 'Hover', 'Disabled'], default: 'Rest' },
      ...words('Label'),
    ],
    variants: (['Primary', 'Plain'] as const).flatMap((tone) =>
      (['Rest', 'Hover', 'Disabled'] as const).map((state) => button(tone, state)),
    ),
  },
  {
    key: 'Field',
    name: 'Field',
    properties: [
      { kind: 'variant', name: 'State', values: ['Default', 'Wrong'], default: 'Default' },
      ...words('Label', 'Value', 'Help'),
    ],
    variants: [field('Default'), field('Wrong')],
  },
  {
    key: 'Figure',
    name: 'Figure',
    properties: words('Label', 'Value', 'Hint'),
    variants: [figure()],
  },
  {
    key: 'Sighting',
    name: 'Sighting',
    properties: [
      ...words('Species', 'Place', 'Time'),
      { kind: 'switch', name: 'Rare', default: false },
    ],
    variants: [sighting()],
  },
]
