import { readFileSync } from 'node:fs'
import { join } from 'node:path'
import { compile } from 'tailwindcss'
import { convert } from '../../../convert.js'
import { readFiles } from '../../../intake/index.js'
import { runClasses } from '../tailwind/text.js'
import { readConditions } from './conditions.js'
import { printRule } from './sheet.js'
import { declare } from './utilities.js'

const KNOWN = new Set(['color-kelp', 'text-title', 'text-title--line-height', 'font-inter'])

const rule = (...classes: string[]): string => printRule('tide', classes, { known: KNOWN })

describe('utilities as declarations', () => {
  test.each([
    ['p-6', 'padding: 1.5rem'],
    ['-mx-3', 'margin-inline: -0.75rem'],
    ['-mt-l', 'margin-top: calc(var(--spacing-l) * -1)'],
    ['w-1/2', 'width: 50%'],
    ['gap-[13px]', 'gap: 13px'],
    ['max-w-[calc(100%-96px)]', 'max-width: calc(100% - 96px)'],
    ['pl-[max(16px,calc((100%-912px)/2))]', 'padding-left: max(16px, calc((100% - 912px) / 2))'],
    ['bg-kelp', 'background-color: var(--color-kelp)'],
    ['bg-black/50', 'background-color: rgb(0 0 0 / 50%)'],
    ['text-kelp', 'color: var(--color-kelp)'],
    ['text-title', 'font-size: var(--text-title); line-height: var(--text-title--line-height)'],
    ['text-[26px]/8.5', 'font-size: 26px; line-height: 2.125rem'],
    ['font-inter', 'font-family: var(--font-inter)'],
    ['font-semibold', 'font-weight: 600'],
    ['rounded-t-lg', 'border-top-left-radius: 0.5rem; border-top-right-radius: 0.5rem'],
    ['[--enter-x:16px]', '--enter-x: 16px'],
  ])('%s → %s', (utility, declarations) => {
    const own = declare(utility, KNOWN)!
    expect(own.map(([property, value]) => `${property}: ${value}`).join('; ')).toBe(declarations)
  })

  test('all that a run of a text may say is known', () => {
    const classes = runClasses({} as never, {
      size: 12,
      lineHeight: 12,
      weight: 700,
      italic: true,
      letterSpacing: 0.5,
      decoration: 'line-through',
      case: 'upper',
    })
    expect(classes.filter((name) => declare(name, KNOWN) === undefined)).toEqual([])
    expect(classes).toContain('leading-none')
  })

  test('what is no utility is none', () => {
    expect(declare('tidewrack', KNOWN)).toBeUndefined()
    expect(() => rule('tidewrack')).toThrow('No rule is known for the class tidewrack')
  })
})

describe('conditions', () => {
  test.each([
    ['md:hover:underline', ['@media (width >= 48rem)'], '&:hover'],
    ['aria-[current=page]:text-kelp', [], '&[aria-current="page"]'],
    ['has-aria-invalid:border', [], '&:has([aria-invalid="true"])'],
    ['group-hover:text-kelp', [], '.group:hover &'],
    ['placeholder:text-kelp', [], '&::placeholder'],
    ['motion-reduce:animate-none', ['@media (prefers-reduced-motion: reduce)'], '&'],
  ])('%s', (name, rules, selector) => {
    const { condition } = readConditions(name)!
    expect([condition.rules, condition.selector]).toEqual([rules, selector])
  })

  test('of which one is not known are none', () => {
    expect(readConditions('at-night:underline')).toBeUndefined()
  })
})

describe('rules', () => {
  test('say the wider before the narrower, and what holds at times nested, from narrow to wide', () => {
    expect(rule('pb-2', 'flex', 'p-4', 'lg:p-8', 'md:p-6', 'hover:opacity-50')).toBe(
      [
        '.tide {',
        '  padding: 1rem;',
        '  display: flex;',
        '  padding-bottom: 0.5rem;',
        '',
        '  &:hover {',
        '    opacity: 0.5;',
        '  }',
        '',
        '  @media (width >= 48rem) {',
        '    padding: 1.5rem;',
        '  }',
        '',
        '  @media (width >= 64rem) {',
        '    padding: 2rem;',
        '  }',
        '}',
      ].join('\n'),
    )
  })

  test('join what is moved along both axes, and give a border a style', () => {
    expect(rule('-translate-x-1/2', 'translate-y-0', 'border-b')).toContain('translate: -50% 0;')
    expect(rule('border-b', 'border-kelp')).toContain('border-style: solid;')
  })
})

const TIDEWRACK = join(__dirname, '../../../../../demo/designs/tidewrack.json')
const readDemo = () =>
  readFiles([{ name: 'tidewrack.json', bytes: readFileSync(TIDEWRACK) }]).design!

const made = (target: 'html' | 'react' | 'angular') => {
  const result = convert(readDemo(), [], { target, styling: 'css' })
  if (!result.ok) throw new Error('It was not converted.')
  return result.value
}

describe('a project', () => {
  test('has a rule for every class that is delivered, and none of Tailwind’s packages', () => {
    for (const target of ['html', 'react', 'angular'] as const) {
      const { files, styles } = made(target)
      const texts = files.flatMap(({ content }) => (content.kind === 'text' ? [content.text] : []))
      const classes = texts.flatMap((text) =>
        [...text.matchAll(/\bclass(?:Name)?(?:: |=)"([^"]+)"/g)].flatMap(([, all]) =>
          all!.split(' '),
        ),
      )
      const missing = classes.filter(
        (name) => name !== 'group' && !styles.source.includes(`.${name} {`),
      )
      expect([target, [...new Set(missing)]]).toEqual([target, []])
      expect(texts.join('\n')).not.toMatch(/tailwind/i)
    }
  })

  test('is a style sheet that a compiler takes as it is', async () => {
    const { source } = made('react').styles
    const { build } = await compile(source, { base: '/' })
    expect(build([])).toContain('.today-on-the-shore__hero')
  })

  test('names what looks different by what is chosen', () => {
    const { files, styles } = made('react')
    const button = files.find(({ path }) => path.endsWith('/ButtonLink.tsx'))!
    expect(button.content.kind === 'text' && button.content.text).toMatch(
      /"button-link[\w-]*--plain"/,
    )
    expect(styles.source).toMatch(/\.button-link[\w-]*--plain \{/)
  })
})
