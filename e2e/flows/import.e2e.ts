import { expect } from '@playwright/test'
import { Desk, dropFiles, SVG, takeIn, test } from './desk.js'

const text = (words: string): string =>
  `<text x="10" y="40" font-family="Inter" font-size="20">${words}</text>`

test('a file is opened by the file chooser', { tag: '@quick' }, async ({ page }) => {
  await page.goto('/')
  const chooser = page.waitForEvent('filechooser')
  await page.getByRole('button', { name: 'Open design files' }).click()
  await (
    await chooser
  ).setFiles([
    { name: 'harbour-plan.svg', mimeType: 'image/svg+xml', buffer: Buffer.from(SVG(text('Quay'))) },
  ])
  await takeIn(page)
  const desk = await Desk.ready(page)
  await expect(page.getByRole('heading', { name: 'Harbour plan' })).toBeVisible()
  await expect(desk.result.getByText('Quay')).toBeVisible()
})

test('several files are dropped on the desk and become the screens of a new project', async ({
  page,
}) => {
  await Desk.open(page, 'Tidewrack')
  await dropFiles(page, [
    { name: 'first.svg', content: SVG(text('One')) },
    { name: 'second.svg', content: SVG(text('Two')) },
  ])
  await takeIn(page)
  await expect(page.getByRole('heading', { name: 'First' })).toBeVisible()
  const desk = await Desk.ready(page)
  await desk.choose(/^Screen/, 'second')
  await expect(desk.result.getByText('Two')).toBeVisible()
})

test('SVG markup is pasted, into the dialog or anywhere', async ({ page }) => {
  await page.goto('/')
  await page.getByRole('button', { name: 'Paste SVG' }).click()
  await page.getByLabel(/SVG markup/).fill(SVG(text('From the dialog')))
  await page.getByRole('button', { name: 'Open', exact: true }).click()
  await takeIn(page)
  const desk = await Desk.ready(page)
  await expect(desk.result.getByText('From the dialog')).toBeVisible()

  await page.goto('/')
  await page.evaluate(
    (markup) => {
      const data = new DataTransfer()
      data.setData('text/plain', markup)
      window.dispatchEvent(new ClipboardEvent('paste', { clipboardData: data, bubbles: true }))
    },
    SVG(text('From anywhere')),
  )
  await takeIn(page)
  await Desk.ready(page)
  await expect(desk.result.getByText('From anywhere')).toBeVisible()
})

const BAD: [string, string, RegExp][] = [
  ['empty.svg', '', /is empty/],
  ['photo.svg', 'GIF89a', /neither an SVG file nor a Unimorph design/],
  ['broken.svg', '<svg>\n<g>\n</svg>', /broken at line 3/],
  [
    'bomb.svg',
    '<!DOCTYPE svg [<!ENTITY a "x"><!ENTITY b "&a;&a;">]><svg>&b;</svg>',
    /declares XML entities/,
  ],
  [
    'huge.svg',
    '<svg xmlns="http://www.w3.org/2000/svg" width="1e30" height="5"><rect/></svg>',
    /not a size a design can have/,
  ],
  ['cycle.json', JSON.stringify({ format: 'unimorph-design', version: 1, screens: [] }), /screens/],
]

test('bad files get a message, and the open project is untouched', async ({ page }) => {
  const desk = await Desk.open(page, 'Tidewrack')
  const address = page.url()
  for (const [name, content, message] of BAD) {
    await dropFiles(page, [{ name, content }])
    const dialog = page.getByRole('dialog')
    await expect(dialog.getByText(message)).toBeVisible()
    await dialog.getByRole('button', { name: 'Close' }).click()
    await expect(dialog).toBeHidden()
  }
  expect(page.url()).toBe(address)
  await expect(desk.result.getByRole('heading', { level: 1 })).toHaveText('Today on the shore')
})

test('a file of 50 MB is refused at once', async ({ page }) => {
  await page.goto('/')
  await page.evaluate(() => {
    const data = new DataTransfer()
    data.items.add(new File([new Uint8Array(50_000_000).fill(32)], 'big.svg'))
    for (const type of ['dragenter', 'dragover', 'drop']) {
      document.body.dispatchEvent(
        new DragEvent(type, { dataTransfer: data, bubbles: true, cancelable: true }),
      )
    }
  })
  await expect(page.getByText(/has 50.0 MB; at most 40.0 MB/)).toBeVisible()
})

test('what is dangerous in a file is dropped, noted and never run', async ({ page }) => {
  const dialogs: string[] = []
  page.on('dialog', (dialog) => {
    dialogs.push(dialog.message())
    void dialog.dismiss()
  })
  await page.goto('/')
  await dropFiles(page, [
    {
      name: 'evil.svg',
      content: SVG(
        `<script>alert(1)</script><rect id="&lt;img src=x onerror=alert(2)&gt;" width="50" height="50" onload="alert(3)"/>` +
          `<a href="javascript:alert(4)">${text('&lt;script&gt;alert(5)&lt;/script&gt;')}</a><image width="5" height="5" href="missing.png"/>`,
      ),
    },
  ])
  await takeIn(page)
  const desk = await Desk.ready(page)
  await expect(desk.result.getByText('<script>alert(5)</script>')).toBeVisible()
  await page.getByRole('button', { name: /^Notes/ }).click()
  const notes = page.getByRole('dialog')
  for (const message of [
    /<script> in "evil.svg" was dropped/,
    /handler onload/,
    /"missing.png".*did not come with/,
    /"javascript:alert\(4\)" is not http/,
  ]) {
    await expect(notes.getByText(message)).toBeVisible()
  }
  expect(dialogs).toEqual([])
})

test('the running code can reach neither the app nor the network', async ({ page }) => {
  await Desk.open(page, 'Tidewrack')
  const frame = page.frames().find((f) => f.url().endsWith('/preview'))!
  const attempts = await frame.evaluate(async () => {
    const attempt = async (work: () => unknown): Promise<string> => {
      try {
        await work()
        return 'done'
      } catch {
        return 'refused'
      }
    }
    return {
      parent: await attempt(() => parent.document.title),
      storage: await attempt(() => localStorage.length),
      network: await attempt(() => fetch('/api/projects')),
    }
  })
  expect(attempts).toEqual({ parent: 'refused', storage: 'refused', network: 'refused' })
})
