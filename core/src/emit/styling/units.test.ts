import { inUnits, utilityInUnits } from './units.js'
import { scaleInPx } from './tailwind/scale.js'

test.each([
  ['23px', '1.4375rem', '23px'],
  ['1.5rem', '1.5rem', '24px'],
  ['-12px', '-0.75rem', '-12px'],
  ['1px solid', '1px solid', '1px solid'],
  ['calc(100% - 96px)', 'calc(100% - 6rem)', 'calc(100% - 96px)'],
  ['(width >= 48rem)', '(width >= 48rem)', '(width >= 768px)'],
  ['0 4px 12px #0b152640', '0 0.25rem 0.75rem #0b152640', '0 4px 12px #0b152640'],
  [
    'url("../assets/16px-8rem.png") 16px',
    'url("../assets/16px-8rem.png") 1rem',
    'url("../assets/16px-8rem.png") 16px',
  ],
  ['var(--spacing-16px)', 'var(--spacing-16px)', 'var(--spacing-16px)'],
  ['#123456 50%', '#123456 50%', '#123456 50%'],
])('%s is %s in rem and %s in px', (css, rem, px) => {
  expect([inUnits(css, 'rem'), inUnits(css, 'px'), inUnits(css, undefined)]).toEqual([rem, px, css])
})

test.each([
  ['w-[23px]', 'w-[1.4375rem]'],
  ['md:shadow-[0_4px_12px_#0b1526]', 'md:shadow-[0_0.25rem_0.75rem_#0b1526]'],
  ['min-[700px]:p-6', 'min-[700px]:p-6'],
  ['p-6', 'p-6'],
])('the utility %s is %s in rem', (name, rem) => expect(utilityInUnits(name, 'rem')).toBe(rem))

test('the scale is said in px for what is in use and is no token', () => {
  const classes = new Set(['p-4', 'md:text-xl/7', 'rounded-t-lg', 'text-kelp', 'text-sm'])
  expect(scaleInPx(classes, ['--text-sm: 15px;'])).toEqual([
    '--spacing: 4px;',
    '--text-xl: 20px;',
    '--radius-lg: 8px;',
  ])
})
