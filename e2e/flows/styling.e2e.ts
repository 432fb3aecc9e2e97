import { execFile } from 'node:child_process'
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join, resolve } from 'node:path'
import { promisify } from 'node:util'
import { expect, type Page } from '@playwright/test'
import { Desk, test } from './desk.js'
import { settled } from './settled.js'

const ROOT = resolve(__dirname, '../..')
const CLI = join(ROOT, 'cli/bin/unimorph.mjs')

let folder: string
test.beforeEach(() => {
  folder = mkdtempSync(join(tmpdir(), 'unimorph-styling-'))
})
test.afterEach(() => rmSync(folder, { recursive: true, force: true }))

const run = async (...args: string[]): Promise<void> => {
  const { stderr } = await promisify(execFile)(process.execPath, [CLI, ...args])
  expect(stderr.replace(/^warning: .*\n/gm, '')).toBe('')
}

/** What a house may want that changes no look: no values in brackets, attributes in an order, pictures by address. */
const HOUSE = {
  pictures: 'public',
  rules: [
    { rule: 'no-arbitrary-values' },
    { rule: 'attribute-order', order: ['id', 'class', '*', 'aria-*'] },
    { rule: 'add-attribute', of: 'img', name: 'decoding', value: 'sync' },
  ],
}

/** A design as a site: pages as they are delivered, apps as they are built. */
const make = async (design: string, target: string, how: string): Promise<string> => {
  const [styling = '', units] = how.replace(' by rules', '').split(' in ')
  const config = join(folder, `${target}-${how}.json`)
  writeFileSync(config, JSON.stringify(how.endsWith(' by rules') ? HOUSE : {}))
  const project = join(folder, `${target}-${how}`)
  const site = join(folder, `${target}-${how}-site`)
  await run(
    'convert',
    join(ROOT, 'demo/designs', design),
    '--target',
    target,
    '--styling',
    styling,
    '--config',
    config,
    ...(units === undefined ? [] : ['--units', units]),
    '--out',
    project,
  )
  // What SCSS makes of it is what is looked at, and not the sheet that is delivered beside it.
  if (target === 'html' && styling !== 'scss') return project
  await run('build', project, '--site', site)
  return site
}

/** What every element looks like, and where it is. */
const looksOn = async (page: Page, site: string, width: number): Promise<readonly string[]> => {
  await page.setViewportSize({ width, height: 900 })
  await page.unroute('http://site.test/**')
  await page.route('http://site.test/**', (route) => {
    const path = new URL(route.request().url()).pathname
    return route.fulfill({ path: join(site, path === '/' ? 'index.html' : path) })
  })
  await page.goto('http://site.test/', { waitUntil: 'networkidle' })
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
    test.setTimeout(240_000)
    const names = ['tailwind', ...stylings]
    const sites = await Promise.all(names.map((styling) => make(design, target, styling)))
    for (const width of [390, 768, 1280]) {
      const looks: Record<string, readonly string[]> = {}
      for (const [i, site] of sites.entries())
        looks[names[i]!] = withoutProblems(await looksOn(page, site, width))
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

test('the desk shows what plain style sheets look like', async ({ page }) => {
  const desk = await Desk.open(page, 'Tidewrack')
  await desk.choose(/^styled by/, 'plain CSS')
  await expect(page.getByRole('button', { name: 'styles.css' })).toHaveCount(1)
  await expect(desk.code).toContainText('class="today-on-the-shore__')
  const title = desk.result.getByRole('heading', { level: 1, name: 'Today on the shore' })
  await expect(title).toHaveCSS('font-size', '32px')
  await desk.choose(/^styled by/, 'Tailwind')
  await expect(desk.code).toContainText('class="text-section')
})
