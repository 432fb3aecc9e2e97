import { spawnSync } from 'node:child_process'
import { mkdtempSync, readFileSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { fileURLToPath } from 'node:url'
import { expect, test } from '@playwright/test'
import { buildProject } from '@unimorph/cli'
import { listFiles } from '../sites/cache.js'
import { demo, site, type SiteOptions } from '../sites/site.js'

const contentOf = (folder: string): Readonly<Record<string, string>> =>
  Object.fromEntries(
    listFiles(folder).map((path) => [
      path.slice(folder.length),
      readFileSync(path).toString('base64'),
    ]),
  )

let folder: string
test.beforeEach(() => {
  folder = mkdtempSync(join(tmpdir(), 'unimorph-sites-'))
})
test.afterEach(() => rmSync(folder, { recursive: true, force: true }))

for (const target of ['react', 'vue', 'angular']) {
  test(`a ${target} site that was kept is what a fresh build gives`, async () => {
    const kept = await site(demo('night-ferry-kiosk.svg'), target)
    await buildProject(kept.project, folder)
    expect(contentOf(kept.site)).toEqual(contentOf(folder))
  })
}

for (const [target, settings] of [
  ['react', { script: 'javascript', files: { names: 'kebab', folders: { components: 'ui' } } }],
  ['react', { styling: 'css-in-js', prefix: 'Tide', files: { folders: { assets: 'media/own' } } }],
  ['vue', { styling: 'scss', units: 'rem', files: { names: 'kebab', folders: { styles: 'css' } } }],
  ['angular', { styling: 'css-modules', files: { names: 'snake', folders: { screens: 'pages' } } }],
  ['angular', { templates: 'class', extras: ['tests'], files: { names: 'snake' } }],
] as const) {
  test(`a ${target} project in the style of a house builds, and is formatted: ${JSON.stringify(settings)}`, async () => {
    const code = { quotes: 'single', semicolons: false, indent: 'tab', width: 100 } as const
    const made = await site(demo('tidewrack.json'), target, {
      settings: { target, code, ...settings } as SiteOptions['settings'],
    })
    const prettier = fileURLToPath(import.meta.resolve('prettier/bin/prettier.cjs'))
    const args = [prettier, '--check', '.']
    const checked = spawnSync(process.execPath, args, { cwd: made.project, encoding: 'utf8' })
    expect([checked.status, checked.stderr]).toEqual([0, ''])
  })
}
