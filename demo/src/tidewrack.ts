import {
  border,
  COLORS,
  column,
  fill,
  instance,
  layer,
  RADII,
  round,
  row,
  size,
  solid,
  SPACES,
  text,
  TYPES,
  type Draft,
} from './build.js'
import { COMPONENTS } from './components.js'
import { drawShorePicture } from './picture.js'

const WIDTH = 1280

const toScreen = (screen: string) => ({ link: { kind: 'screen', screen } })

const header = (screen: string, current: string): Draft =>
  row(
    `${screen}-header`,
    {
      padding: { top: 16, right: 40, bottom: 16, left: 40 },
      align: 'centre',
      distribute: 'between',
    },
    [fill('paper'), border('line', { top: 0, right: 0, bottom: 1, left: 0 }), size('stretch')],
    [
      text(`${screen}-brand`, 'Tidewrack', 'section', 'kelp'),
      row(
        `${screen}-nav`,
        { gap: 'l', align: 'centre' },
        [],
        [
          text(
            `${screen}-nav-today`,
            'Today',
            current === 'today' ? 'strong' : 'body',
            current === 'today' ? 'ink' : 'quiet',
            toScreen('today'),
          ),
          text(
            `${screen}-nav-log`,
            'Log a sighting',
            current === 'log' ? 'strong' : 'body',
            current === 'log' ? 'ink' : 'quiet',
            toScreen('log'),
          ),
          text(`${screen}-nav-help`, 'How to walk', 'body', 'quiet', {
            link: { kind: 'address', url: 'https://tidewrack.example/how-to-walk' },
          }),
        ],
      ),
    ],
  )

const SIGHTINGS = [
  ['Mermaid’s purse', 'Gannet Spit, strandline by the second groyne', '09:12', false],
  ['Goose barnacles on a fender', 'Low Saltern, 40 m north of the slipway', '09:48', true],
  ['Cuttlebone', 'Gannet Spit, upper wrack', '10:05', false],
  ['Sea beans, two of them', 'Pilot’s Cove, under the kelp', '10:31', true],
] as const

const tideCard = (): Draft =>
  column(
    'tide-card',
    { gap: 'm', padding: 'l' },
    [fill('paper'), border('line'), round('card'), size(360)],
    [
      text('tide-title', 'Tide at Low Saltern', 'section', 'ink', size('stretch')),
      layer(
        'path',
        'tide-curve',
        {
          paths: [{ d: 'M0 70C40 70 60 10 104 10C148 10 168 90 208 90C248 90 268 24 312 24' }],
          strokes: [{ paint: solid('kelp'), width: 3, cap: 'round' }],
        },
        size(312, 100),
      ),
      row(
        'tide-times',
        { distribute: 'between' },
        [size('stretch')],
        [
          text('tide-high', 'High 08:04', 'small', 'quiet'),
          text('tide-low', 'Low 14:32', 'small', 'quiet'),
          text('tide-next', 'High 20:27', 'small', 'quiet'),
        ],
      ),
      text('tide-what', 'What these times mean', 'small', 'kelp', {
        link: { kind: 'open', screen: 'tides', as: 'dialog', side: 'end' },
      }),
      instance(
        'tide-button',
        'Button',
        { Tone: 'Primary' },
        { Label: 'Log a sighting' },
        size('stretch'),
        toScreen('log'),
      ),
    ],
  )

const today = (): Draft =>
  column(
    'today',
    {},
    [fill('sand'), size(WIDTH)],
    [
      header('today', 'today'),
      column(
        'today-body',
        { gap: 'l', padding: 'xl' },
        [size('stretch')],
        [
          row(
            'today-hero',
            { gap: 'l', align: 'centre' },
            [size('stretch')],
            [
              column(
                'today-heading',
                { gap: 's' },
                [size('stretch')],
                [
                  text('today-title', 'Today on the shore', 'title', 'ink'),
                  text(
                    'today-intro',
                    'Low water is at 14:32. Walk the strandline from Gannet Spit southwards, write down what the sea left, and leave the nets to the harbour crew.',
                    'body',
                    'quiet',
                    size('stretch'),
                  ),
                ],
              ),
              layer(
                'image',
                'today-picture',
                { asset: 'shore', alt: 'The shore at Gannet Spit at low water' },
                round('card'),
                size(360, 160),
              ),
            ],
          ),
          row(
            'today-figures',
            { gap: 'l' },
            [size('stretch')],
            [
              instance(
                'figure-walkers',
                'Figure',
                {},
                { Label: 'Walkers out', Value: '12', Hint: 'Three stretches still need somebody' },
                size('stretch'),
              ),
              instance(
                'figure-sightings',
                'Figure',
                {},
                { Label: 'Sightings', Value: '27', Hint: 'Nine more than last Saturday' },
                size('stretch'),
              ),
              instance(
                'figure-weight',
                'Figure',
                {},
                { Label: 'Litter carried off', Value: '84 kg', Hint: 'Mostly rope and floats' },
                size('stretch'),
              ),
            ],
          ),
          row(
            'today-columns',
            { gap: 'l', align: 'start' },
            [size('stretch')],
            [
              column(
                'recent',
                { gap: 'm' },
                [size('stretch')],
                [
                  text('recent-title', 'Recent sightings', 'section', 'ink'),
                  ...SIGHTINGS.map(([Species, Place, Time, Rare], i) =>
                    instance(
                      `recent-${i + 1}`,
                      'Sighting',
                      {},
                      { Species, Place, Time, Rare },
                      size('stretch'),
                    ),
                  ),
                ],
              ),
              tideCard(),
            ],
          ),
        ],
      ),
    ],
  )

/** Shown over the page. */
const tides = (): Draft =>
  column(
    'tides',
    { gap: 'm', padding: 'l' },
    [fill('paper'), round('card'), size(440)],
    [
      text('tides-title', 'What these times mean', 'section', 'ink'),
      text(
        'tides-words',
        'High and low water at the slipway of Low Saltern. Gannet Spit is ten minutes earlier, Pilot’s Cove a quarter of an hour later. Be off the spit two hours before high water.',
        'body',
        'quiet',
        size('stretch'),
      ),
      instance(
        'tides-close',
        'Button',
        { Tone: 'Plain' },
        { Label: 'Close' },
        {
          link: { kind: 'close' },
        },
      ),
    ],
  )

const checkbox = (key: string, label: string, isOn: boolean): Draft =>
  row(
    key,
    { gap: 's', align: 'centre' },
    [],
    [
      layer(
        'rectangle',
        `${key}-box`,
        isOn ? fill('kelp') : fill('paper'),
        border(isOn ? 'kelp' : 'line'),
        { radius: 4 },
        size(20, 20),
      ),
      text(`${key}-label`, label, 'body', 'ink'),
    ],
  )

const log = (): Draft =>
  column(
    'log',
    {},
    [fill('sand'), size(WIDTH)],
    [
      header('log', 'log'),
      column(
        'log-body',
        { gap: 'l', padding: 'xl', align: 'centre' },
        [size('stretch')],
        [
          column(
            'log-form',
            { gap: 'l', padding: 'xl' },
            [fill('paper'), border('line'), round('card'), size(640)],
            [
              column(
                'log-heading',
                { gap: 's' },
                [size('stretch')],
                [
                  text('log-title', 'Log a sighting', 'title', 'ink'),
                  text(
                    'log-intro',
                    'What you saw, where, and how sure you are. A picture helps the people who check it.',
                    'body',
                    'quiet',
                    size('stretch'),
                  ),
                ],
              ),
              instance(
                'log-species',
                'Field',
                {},
                {
                  Label: 'What did you find?',
                  Value: 'Goose barnacles',
                  Help: 'A plain name will do',
                },
                size('stretch'),
              ),
              row(
                'log-where',
                { gap: 'm', align: 'start' },
                [size('stretch')],
                [
                  instance(
                    'log-stretch',
                    'Field',
                    {},
                    {
                      Label: 'Stretch',
                      Value: 'Low Saltern',
                      Help: 'The stretch you signed up for',
                    },
                    size('stretch'),
                  ),
                  instance(
                    'log-time',
                    'Field',
                    { State: 'Wrong' },
                    {
                      Label: 'Time',
                      Value: '27:10',
                      Help: 'There is no such time; use 00:00 to 23:59',
                    },
                    size('stretch'),
                  ),
                ],
              ),
              column(
                'log-sure',
                { gap: 's' },
                [size('stretch')],
                [
                  text('log-sure-title', 'How sure are you?', 'label', 'ink'),
                  row(
                    'log-sure-options',
                    { gap: 'l' },
                    [],
                    [
                      checkbox('log-sure-photo', 'I took a picture', true),
                      checkbox('log-sure-measured', 'I measured it', false),
                      checkbox('log-sure-second', 'Someone else saw it', false),
                    ],
                  ),
                ],
              ),
              row(
                'log-actions',
                { gap: 'm' },
                [],
                [
                  instance('log-save', 'Button', { Tone: 'Primary' }, { Label: 'Save sighting' }),
                  instance(
                    'log-cancel',
                    'Button',
                    { Tone: 'Plain' },
                    { Label: 'Back to today' },
                    toScreen('today'),
                  ),
                ],
              ),
            ],
          ),
        ],
      ),
    ],
  )

type Change = (draft: Draft) => Draft | undefined

/** Another artboard of a screen: the same layers under keys of their own, some of them changed or left out. */
const asArtboard = (
  screen: Draft,
  prefix: string,
  changes: Readonly<Record<string, Change>>,
): Draft => {
  const step = (draft: Draft): Draft | undefined => {
    const change = changes[draft.key]
    const changed = change ? change(draft) : draft
    if (!changed) return undefined
    const children = changed.children?.flatMap((child) => step(child) ?? [])
    return { ...changed, key: `${prefix}-${changed.key}`, ...(children ? { children } : {}) }
  }
  return step(screen)!
}

const arranged =
  (layout: Record<string, unknown>, rest: Record<string, unknown> = {}): Change =>
  (draft) => ({ ...draft, ...rest, layout: { ...(draft['layout'] as object), ...layout } })

const wide =
  (px: number): Change =>
  (draft) => ({ ...draft, ...size(px) })
const stretched: Change = (draft) => ({ ...draft, ...size('stretch') })

/** What stands where the links have no room. */
const menuSign = (screen: string): Draft =>
  layer(
    'path',
    `${screen}-menu-sign`,
    {
      paths: [{ d: 'M2 5H22M2 12H22M2 19H22' }],
      strokes: [{ paint: solid('ink'), width: 2, cap: 'round' }],
    },
    size(24, 24),
  )

const phoneHeader = (screen: string): Record<string, Change> => ({
  [`${screen}-header`]: (draft) => ({
    ...arranged({ padding: { top: 16, right: 16, bottom: 16, left: 16 } })(draft)!,
    children: [draft.children![0]!, menuSign(screen)],
  }),
})

const todayTablet = (): Draft =>
  asArtboard(today(), 'tablet', {
    today: wide(768),
    'today-body': arranged(
      { padding: SPACES.l },
      { tokens: { 'layout.padding': 'space.l', 'layout.gap': 'space.l' } },
    ),
    'today-header': arranged({ padding: { top: 16, right: 24, bottom: 16, left: 24 } }),
    'today-picture': (draft) => ({ ...draft, ...size(264, 160) }),
    'today-columns': arranged({ kind: 'column', align: 'stretch' }),
    'tide-card': stretched,
    'tide-curve': (draft) => ({ ...draft, ...size(312, 100) }),
  })

const todayPhone = (): Draft =>
  asArtboard(today(), 'phone', {
    ...phoneHeader('today'),
    today: wide(390),
    'today-body': arranged(
      { padding: SPACES.m },
      { tokens: { 'layout.padding': 'space.m', 'layout.gap': 'space.l' } },
    ),
    'today-hero': arranged({ kind: 'column', align: 'stretch' }),
    'today-picture': (draft) => ({ ...draft, ...size('stretch', 160) }),
    'today-figures': arranged({ kind: 'column', align: 'stretch' }),
    'today-columns': arranged({ kind: 'column', align: 'stretch' }),
    'tide-card': stretched,
  })

const logPhone = (): Draft =>
  asArtboard(log(), 'phone', {
    ...phoneHeader('log'),
    log: wide(390),
    'log-body': arranged({ padding: 0 }, { tokens: { 'layout.gap': 'space.l' } }),
    'log-form': (draft) => ({
      ...arranged({ padding: SPACES.m })(draft)!,
      ...size('stretch'),
      radius: 0,
      strokes: [],
      tokens: {
        'fills.0.color': 'color.paper',
        'layout.gap': 'space.l',
        'layout.padding': 'space.m',
      },
    }),
    'log-where': arranged({ kind: 'column', align: 'stretch' }),
    'log-sure-options': arranged({ kind: 'column', gap: SPACES.m }),
    'log-actions': arranged({ kind: 'column', align: 'stretch' }, size('stretch')),
    'log-save': stretched,
    'log-cancel': stretched,
  })

const tokens = [
  ...Object.entries(COLORS).map(([name, values]) => ({
    name: `color.${name}`,
    type: 'color',
    values,
  })),
  ...Object.entries(SPACES).map(([name, px]) => ({
    name: `space.${name}`,
    type: 'space',
    values: { light: px },
  })),
  ...Object.entries(RADII).map(([name, px]) => ({
    name: `radius.${name}`,
    type: 'radius',
    values: { light: px },
  })),
  ...Object.entries(TYPES).map(([name, type]) => ({
    name: `type.${name}`,
    type: 'type',
    values: { light: { family: 'Inter', ...type } },
  })),
]

const named = (draft: Draft, name: string): Draft => ({ ...draft, name })

/** The Tidewrack design, without boxes. */
export const buildTidewrack = () => ({
  format: 'unimorph-design',
  version: 2,
  name: 'Tidewrack',
  modes: ['light', 'dark'],
  tokens,
  components: COMPONENTS,
  assets: {
    shore: {
      name: 'shore.png',
      mime: 'image/png',
      data: drawShorePicture(720, 320).toString('base64'),
    },
  },
  artboards: [
    { screens: ['today', 'tablet-today', 'phone-today'] },
    { screens: ['log', 'phone-log'] },
  ],
  screens: [
    named(today(), 'Today on the shore'),
    named(todayTablet(), 'Today on the shore, tablet'),
    named(todayPhone(), 'Today on the shore, phone'),
    named(log(), 'Log a sighting'),
    named(logPhone(), 'Log a sighting, phone'),
    named(tides(), 'What these times mean'),
  ],
})
