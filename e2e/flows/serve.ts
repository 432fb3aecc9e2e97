import { join } from 'node:path'
import type { Page } from '@playwright/test'

/** The address a site is opened at: a module script does not load from a file. */
export const SITE = 'http://site.test/'

/** Answers requests to `SITE` with the files of a folder; a new folder takes the place of the one before. */
export const serveSite = async (page: Page, folder: string): Promise<void> => {
  await page.unroute(`${SITE}**`)
  await page.route(`${SITE}**`, async (route) => {
    const path = new URL(route.request().url()).pathname
    await route.fulfill({ path: join(folder, path === '/' ? 'index.html' : path) })
  })
}
