import { readdirSync, rmSync } from 'node:fs'
import { join } from 'node:path'
import {
  expect,
  type APIRequestContext,
  type FrameLocator,
  type Locator,
  type Page,
} from '@playwright/test'
import { test as base } from './server.js'

type Project = { id: string; name: string; settings: unknown; edits: { id: number }[] }

const DEMOS = ['Tidewrack', 'Night ferry kiosk']

const loadDemos = async (request: APIRequestContext): Promise<Project[]> => {
  const listed = (await (await request.get('/api/projects')).json()) as Project[]
  const demos = listed.filter(({ name }) => DEMOS.includes(name))
  return Promise.all(
    demos.map(
      async ({ id }) => (await (await request.get(`/api/projects/${id}`)).json()) as Project,
    ),
  )
}

/** Glossaries are files of the demo's codebases, which the server has copied into its folder. */
const dropGlossaries = (data: string): void => {
  const folder = join(data, 'demo-codebases')
  for (const name of readdirSync(folder)) {
    rmSync(join(folder, name, 'unimorph.glossary.json'), { force: true })
  }
}

const DEFAULTS = { target: 'html', styling: 'tailwind' }

/** Every flow begins with the demo as it is delivered, whatever became of the flow before. */
export const test = base.extend<{ freshDemo: void }>({
  freshDemo: [
    async ({ request, server }, use) => {
      for (const { id, edits } of await loadDemos(request)) {
        for (const edit of edits.toReversed()) {
          await request.delete(`/api/projects/${id}/edits/${edit.id}`)
        }
        const headers = { 'if-match': '*' }
        await request.put(`/api/projects/${id}/settings`, { data: DEFAULTS, headers })
        await request.delete(`/api/projects/${id}/codebase`)
      }
      dropGlossaries(server.data)
      await use()
    },
    { auto: true },
  ],
})

/** The desk as a person sees it. */
export class Desk {
  constructor(readonly page: Page) {}

  static async open(page: Page, project: string): Promise<Desk> {
    const projects = (await (await page.request.get('/api/projects')).json()) as Project[]
    await page.goto(`/projects/${projects.find(({ name }) => name === project)!.id}`)
    return Desk.ready(page)
  }

  /** Waits until the design is drawn, converted and running. */
  static async ready(page: Page): Promise<Desk> {
    const desk = new Desk(page)
    await expect(page.getByText(/files, converted in/)).toBeVisible()
    await desk.runs()
    return desk
  }

  /** Waits until the running result is the newest. */
  async runs(): Promise<void> {
    await expect(this.page.locator('[data-testid=result][aria-busy=true]')).toHaveCount(0)
    await expect(this.result.locator('body *').first()).toBeAttached()
  }

  get result(): FrameLocator {
    return this.page.frameLocator('[data-testid=result]')
  }
  get design(): Locator {
    return this.page.getByTestId('design')
  }
  get code(): Locator {
    return this.page.getByTestId('code')
  }
  row(name: string): Locator {
    return this.page.getByRole('row', { name: new RegExp(`^\\W*${name} `) }).first()
  }

  /**
   * Clicks an element of the running result with the mouse. The frame is drawn at a scale, which the
   * driver does not take into account, so the place is worked out here.
   */
  async clickInResult(element: Locator): Promise<void> {
    await this.runs()
    const frame = this.page.getByTestId('result')
    const locate = async () => {
      const inside = await element.evaluate((node) => {
        const { left, top, width, height } = node.getBoundingClientRect()
        return { x: left + width / 2, y: top + height / 2, pageWidth: innerWidth }
      })
      const box = (await frame.boundingBox())!
      const scale = box.width / inside.pageWidth
      return { x: box.x + inside.x * scale, y: box.y + inside.y * scale }
    }
    const stage = this.page.getByRole('region', { name: 'Design and result' })
    await stage.evaluate((node, by) => node.scrollBy(0, by), (await locate()).y - 500)
    // A page that has just been shown may still move.
    let at = await locate()
    await expect(async () => {
      const before = at
      at = await locate()
      expect(at).toEqual(before)
    }).toPass()
    await this.page.mouse.click(at.x, at.y)
  }

  /** Turns the design into code of another target. */
  async turnInto(target: string): Promise<void> {
    const list = this.page.getByRole('button', { name: /^to / })
    if ((await list.textContent())?.includes(target)) return
    await this.choose(/^to /, target)
    await expect(list).toContainText(target)
    await expect(this.page.getByText(/files, converted in/)).toBeVisible()
    await this.runs()
  }

  async choose(list: string | RegExp, option: string): Promise<void> {
    await this.page.getByRole('button', { name: list }).click()
    await this.page.getByRole('option', { name: option }).click()
  }
}

/** Takes in what was read, as it is proposed. */
export const takeIn = async (page: Page): Promise<void> => {
  await page.getByRole('button', { name: /^Import \d/ }).click()
}

export const SVG = (inside: string): string =>
  `<svg xmlns="http://www.w3.org/2000/svg" width="320" height="200">${inside}</svg>`

/** Drops files on the window, as a person does from the file manager. */
export const dropFiles = async (
  page: Page,
  files: readonly { name: string; content: string }[],
): Promise<void> => {
  const transfer = await page.evaluateHandle((list) => {
    const data = new DataTransfer()
    for (const { name, content } of list) data.items.add(new File([content], name))
    return data
  }, files)
  for (const type of ['dragenter', 'dragover', 'drop']) {
    await page.dispatchEvent('body', type, { dataTransfer: transfer })
  }
}
