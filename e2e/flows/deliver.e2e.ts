import { mkdirSync, mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { dirname, join } from 'node:path'
import { pathToFileURL } from 'node:url'
import { expect, type Page } from '@playwright/test'
import { unzipSync } from 'fflate'
import pixelmatch from 'pixelmatch'
import { PNG } from 'pngjs'
import { builtSite, demo, project as convertedProject } from '../sites/site.js'
import { Desk, test } from './desk.js'
import { serveSite, SITE } from './serve.js'
import { settled } from './settled.js'

// Text is drawn through two different paths of the browser; their antialiasing differs a little.
const MOST_DIFFERENT_PIXELS = 0.01

let folder: string
test.beforeEach(() => {
  folder = mkdtempSync(join(tmpdir(), 'unimorph-deliver-'))
})
test.afterEach(() => rmSync(folder, { recursive: true, force: true }))

/** Presses the button, unpacks what comes. Returns the folder of the project. */
const download = async (page: Page): Promise<string> => {
  const started = page.waitForEvent('download')
  await page.getByRole('button', { name: 'Download ZIP' }).click()
  const archive = await (await started).path()
  const project = join(folder, 'project')
  for (const [path, bytes] of Object.entries(unzipSync(readFileSync(archive)))) {
    mkdirSync(dirname(join(project, path)), { recursive: true })
    writeFileSync(join(project, path), bytes)
  }
  return project
}

const shoot = async (page: Page, width: number, height: number): Promise<PNG> => {
  await page.setViewportSize({ width, height })
  return PNG.sync.read(await page.screenshot({ clip: { x: 0, y: 0, width, height } }))
}

/** Share of the pixels in which the delivered page differs from the design as it is drawn. */
const compare = async (
  page: Page,
  id: string,
  address: string,
  width: number,
  height: number,
): Promise<number> => {
  await page.goto(`/api/projects/${id}/thumbnail`)
  const drawn = await shoot(page, width, height)
  await page.goto(address, { waitUntil: 'networkidle' })
  await settled(page)
  const shown = await shoot(page, width, height)
  return (
    pixelmatch(drawn.data, shown.data, undefined, width, height, { threshold: 0.15 }) /
    (width * height)
  )
}

const CASES = [
  { name: 'Tidewrack', width: 1280, height: 904 },
  { name: 'Night ferry kiosk', width: 1080, height: 1350 },
]
for (const { name, width, height } of CASES) {
  for (const [target, file] of [
    ['HTML', 'styles.css'],
    ['React', 'App.tsx'],
    ['Vue', 'App.vue'],
    ['Angular', 'app.ts'],
  ] as const) {
    test(`${name} as ${target}: downloaded, built and looking like the design`, async ({
      page,
    }) => {
      const desk = await Desk.open(page, name)
      const id = page.url().split('/').at(-1)!
      await desk.turnInto(target)
      await expect(page.getByRole('button', { name: file }).first()).toBeVisible()
      await expect(page.getByText('Converting')).toBeHidden()
      const project = await download(page)
      await serveSite(page, await builtSite(project))
      expect(await compare(page, id, SITE, width, height)).toBeLessThan(MOST_DIFFERENT_PIXELS)
      if (target === 'HTML') {
        // As it was downloaded, without building anything.
        const file = pathToFileURL(join(project, 'index.html')).href
        expect(await compare(page, id, file, width, height)).toBeLessThan(MOST_DIFFERENT_PIXELS)
      }
    })
  }
}

test('pictures come in several sizes, the same from the desk and from the command line, and the one that fits is loaded', async ({
  page,
}) => {
  await Desk.open(page, 'Tidewrack')
  await page.getByRole('button', { name: 'House style' }).click()
  await page.getByRole('checkbox', { name: /^Pictures in several sizes/ }).check()
  await page.keyboard.press('Escape')
  await expect(page.getByRole('button', { name: 'shore-360.webp' })).toBeVisible()
  const project = await download(page)

  const other = await convertedProject(demo('tidewrack.json'), 'html', {
    settings: { extras: ['sizes'] },
  })
  for (const px of [180, 360, 720]) {
    const name = `assets/shore-${px}.webp`
    expect(readFileSync(join(project, name)).equals(readFileSync(join(other, name)))).toBe(true)
  }

  await page.setViewportSize({ width: 1280, height: 900 })
  await page.goto(pathToFileURL(join(project, 'index.html')).href)
  const shore = page.getByRole('img', { name: /Gannet Spit/ })
  await expect
    .poll(() => shore.evaluate((img: HTMLImageElement) => img.currentSrc))
    .toMatch(/shore-360\.webp$/)
  expect(await shore.evaluate((img: HTMLImageElement) => img.naturalWidth)).toBe(360)
})
