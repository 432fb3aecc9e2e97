import { expect, type Page } from '@playwright/test'

/**
 * Waits until a delivered page is as it stays: an app has been rendered, pictures are decoded and fonts are there. That nothing
 * is loaded any more says none of it, as a script that was loaded may not have run yet.
 */
export const settled = async (page: Page): Promise<void> => {
  await expect(page.locator('h1, h2, h3').first()).toBeAttached()
  await page.evaluate(async () => {
    await Promise.all([...document.images].map((image) => image.decode().catch(() => {})))
    await document.fonts.ready
    await new Promise((done) => requestAnimationFrame(() => requestAnimationFrame(done)))
  })
}
