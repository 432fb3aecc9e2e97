import { readFileSync } from 'node:fs'
import { join } from 'node:path'
import type { Page } from '@playwright/test'

const DEMO = new URL('../../../demo/', import.meta.url).pathname

/** Calls the server as another program would; throws for what it refuses. */
export const createCaller =
  (address: string) =>
  async (method: string, path: string, body?: unknown): Promise<unknown> => {
    const response = await fetch(`${address}/api${path}`, {
      method,
      headers: { 'content-type': 'application/json', 'if-match': '*' },
      ...(body === undefined ? {} : { body: JSON.stringify(body) }),
    })
    const text = await response.text()
    if (!response.ok) throw new Error(`${method} ${path}: ${String(response.status)} ${text}`)
    return text.startsWith('{') || text.startsWith('[') ? (JSON.parse(text) as unknown) : text
  }
export type Call = ReturnType<typeof createCaller>

const EDITS = 10

/**
 * What a person does in some minutes: takes in a design with a picture of its own, edits, takes in an edition, looks at the
 * shelf, chooses a codebase, sees it run in each target on the desk, and deletes it for good.
 */
export const playRound = async (round: number, call: Call, page: Page): Promise<void> => {
  const text = readFileSync(join(DEMO, 'designs/tidewrack.json'), 'utf8')
  const design = JSON.parse(text) as { assets: Record<string, unknown> }
  const bytes = Buffer.alloc(200_000, round % 251).toString('base64')
  design.assets['own'] = { name: 'own.png', mime: 'image/png', data: bytes }
  const { id } = (await call('POST', '/projects', { name: `Round ${String(round)}`, design })) as {
    id: string
  }
  for (let i = 0; i < EDITS; i++) {
    const edit = { kind: 'rename', layer: 'today', name: `Name ${String(i)}` }
    const added = (await call('POST', `/projects/${id}/edits`, { edit })) as { id: number }
    if (i % 2 === 1) await call('DELETE', `/projects/${id}/edits/${String(added.id)}`)
  }
  await call('POST', `/projects/${id}/editions`, { design })
  await call('GET', `/projects/${id}/thumbnail`)
  await call('GET', `/projects/${id}/grades`)
  const choices = (await call('GET', '/codebases')) as { folder: string; name: string }[]
  const folder = choices.find(({ name }) => name.includes('react'))!.folder
  await call('PUT', `/projects/${id}/codebase`, { folder })
  await call('DELETE', `/projects/${id}/codebase`)

  await page.goto('/')
  await page.getByRole('link', { name: new RegExp(`^Round ${String(round)} ?\\d`) }).click()
  for (const target of ['React', 'Vue', 'Angular', 'Flutter']) {
    await page.getByText(/files, converted in/).waitFor()
    await page.getByRole('button', { name: /^to / }).click()
    await page.getByRole('option', { name: target }).click()
    await page.getByRole('button', { name: new RegExp(`^to .*${target}`) }).waitFor()
  }
  await page.getByText(/files, converted in/).waitFor()
  await page.locator('[data-testid=result]:not([aria-busy=true])').waitFor()
  await call('DELETE', `/projects/${id}`)
  await call('DELETE', `/bin/${id}`)
}
