import { mkdirSync, mkdtempSync, rmSync, utimesSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import type { Codebase } from '@unimorph/core'
import { createCache } from '../cache.js'
import { scanCodebase } from '../scan.js'
import { withPackages } from './with-packages.js'

const root = mkdtempSync(join(tmpdir(), 'unimorph-packages-'))
const library = join(root, 'node_modules', 'harbour-ui')

/** Installs a library of one component, as if at a second of its own. */
const install = (component: string, second: number): void => {
  mkdirSync(library, { recursive: true })
  const manifest = join(library, 'package.json')
  const about = { name: 'harbour-ui', types: 'index.d.ts', peerDependencies: { react: '19' } }
  writeFileSync(manifest, JSON.stringify(about))
  writeFileSync(
    join(library, 'index.d.ts'),
    `interface Element { readonly type: string }\n` +
      `export declare const ${component}: (props: { tone?: string }) => Element`,
  )
  utimesSync(manifest, second, second)
}
const namesOf = ({ components }: Codebase): readonly string[] => components.map(({ name }) => name)

beforeAll(() => {
  writeFileSync(join(root, 'package.json'), JSON.stringify({ dependencies: { react: '19' } }))
})
afterAll(() => {
  rmSync(root, { recursive: true })
})

test('a library is read again only when it was installed anew', async () => {
  const cache = createCache()
  const own = await scanCodebase(root, cache)
  const scan = (): readonly string[] => namesOf(withPackages(own, root, ['harbour-ui'], cache))
  install('Buoy', 1000)
  expect(scan()).toEqual(['Buoy'])
  // The same installation is not looked into.
  writeFileSync(join(library, 'index.d.ts'), 'export {}')
  expect(scan()).toEqual(['Buoy'])
  install('Lantern', 2000)
  expect(scan()).toEqual(['Lantern'])
})

test('a library that is not installed is a note beside the components', async () => {
  const cache = createCache()
  const own = await scanCodebase(root, cache)
  const { notes } = withPackages(own, root, ['no-such-library'], cache)
  expect(notes.map(({ message }) => message).join()).toContain('not installed')
})
