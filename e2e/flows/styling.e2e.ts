import { expect, type Page } from '@playwright/test'
import { demo, project, site, type SiteOptions } from '../sites/site.js'
import { Desk, test } from './desk.js'
import { serveSite, SITE } from './serve.js'
import { settled } from './settled.js'

/** What a house may want that changes no look: no values in brackets, attributes in an order, pictures by address. */
const HOUSE: SiteOptions['settings'] = {
  pictures: 'public',
  rules: [
    { rule: 'no-arbitrary-values' },
    { rule: 'attribute-order', order: ['id', 'class', '*', 'aria-*'] },
    { rule: 'add-attribute', of: 'img', name: 'decoding', value: 'sync' },
  ],
}

/** The folder that is opened: of a design by a styling, in other units, or by the rules of a house. */
const make = async (design: string, target: string, how: string): Promise<string> => {
  const [styling = '', units] = how.replace(' by rules', '').split(' in ')
  const settings = how.endsWith(' by rules') ? HOUSE : {}
  const options = { styling, settings, ...(units === undefined ? {} : { units }) }
  // What SCSS makes of it is what is looked at, and not the sheet that is delivered beside it.
  if (target === 'html' && styling !== 'scss') return project(demo(design), target, options)
  return (await site(demo(design), target, options)).site
}

/** What every element looks like, and where it is. */
const looksOn = async (page: Page, folder: string, width: number): Promise<readonly string[]> => {
  await page.setViewportSize({ width, height: 900 })
  await serveSite(page, folder)
  await page.goto(SITE, { waitUntil: 'networkidle' })
  await settled(page)
  return page.evaluate(() => {
    const properties =
      'color backgroundColor backgroundImage backgroundSize fontSize fontWeight fontStyle lineHeight letterSpacing textAlign textDecorationLine textTransform whiteSpace borderTopWidth borderLeftWidth borderTopStyle opacity mixBlendMode filter rotate translate zIndex objectFit overflowX overflowY outlineWidth cursor display position gap padding margin appearance pointerEvents'.split(
        ' ',
      )
    return [...document.body.querySelectorAll('*')]
      .filter(({ tagName }) => tagName !== 'SCRIPT')
      .map((element) => {
        const box = element.getBoundingClientRect()
        const places = [box.x, box.y, box.width, box.height].map((px) => Math.round(px))
        const style = getComputedStyle(element) as unknown as Record<string, string>
        return [element.tagName, ...places, ...properties.map((name) => style[name])].join(' | ')
      })
  })
}

// What a form says when something is wrong is of a red that each writes in its own way.
const withoutProblems = (looks: readonly string[]): readonly string[] =>
  looks.filter((look) => !look.includes('oklch') && !look.includes('159, 7, 18'))

for (const [design, target, stylings] of [
  ['tidewrack.json', 'html', ['css', 'scss', 'css-modules', 'css in px', 'css in rem']],
  [
    'night-ferry-kiosk.svg',
    'html',
    [
      'css',
      'scss',
      'css-modules',
      'css in rem',
      'tailwind in px',
      'tailwind in rem',
      'tailwind by rules',
    ],
  ],
  ['tidewrack.json', 'react', ['css', 'scss', 'css-modules', 'css-in-js']],
  ['night-ferry-kiosk.svg', 'react', ['css-in-js']],
  ['tidewrack.json', 'vue', ['css', 'scss', 'css-modules', 'tailwind by rules']],
  ['tidewrack.json', 'angular', ['css', 'scss', 'css-modules']],
] as const) {
  test(`${design} as ${target} looks the same in every styling at three widths`, async ({
    page,
  }) => {
    test.setTimeout(600_000)
    const names = ['tailwind', ...stylings]
    const folders: string[] = []
    for (const styling of names) folders.push(await make(design, target, styling))
    for (const width of [390, 768, 1280]) {
      const looks: Record<string, readonly string[]> = {}
      for (const [i, folder] of folders.entries())
        looks[names[i]!] = withoutProblems(await looksOn(page, folder, width))
      for (const name of stylings) {
        const others = looks['tailwind']!.flatMap((look, i) =>
          look === looks[name]![i] ? [] : [{ look, is: looks[name]![i] }],
        )
        expect({ name, width, others: others.slice(0, 3) }).toEqual({ name, width, others: [] })
        expect(looks[name]).toHaveLength(looks['tailwind']!.length)
      }
    }
  })
}

test('the desk shows what plain style sheets look like', { tag: '@quick' }, async ({ page }) => {
  const desk = await Desk.open(page, 'Tidewrack')
  await desk.choose(/^styled by/, 'plain CSS')
  await expect(page.getByRole('button', { name: 'styles.css' })).toHaveCount(1)
  await expect(desk.code).toContainText('class="today-on-the-shore__')
  const title = desk.result.getByRole('heading', { level: 1, name: 'Today on the shore' })
  await expect(title).toHaveCSS('font-size', '32px')
  await desk.choose(/^styled by/, 'Tailwind')
  await expect(desk.code).toContainText('class="text-section')
})
