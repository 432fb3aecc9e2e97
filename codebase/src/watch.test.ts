import { mkdirSync, mkdtempSync, rmSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { watchCodebase, type Watching } from './watch.js'

let root: string
let watching: Watching | undefined
let told: string[][]
beforeEach(() => {
  root = mkdtempSync(join(tmpdir(), 'unimorph-watch-'))
  mkdirSync(join(root, 'src'))
  mkdirSync(join(root, 'dist'))
  writeFileSync(join(root, '.gitignore'), 'made/\n')
  writeFileSync(join(root, 'src/Rail.tsx'), '')
  told = []
})
afterEach(async () => {
  await watching?.stop()
  rmSync(root, { recursive: true, force: true })
})

const start = async (): Promise<void> => {
  watching = watchCodebase(root, (paths) => void told.push([...paths]))
  await watching.ready
}
const write = (path: string, text = 'x'): void => writeFileSync(join(root, path), text)

/** Waits until something is told; fails when nothing is. */
const waitFor = async (count: number): Promise<void> => {
  for (let i = 0; i < 100 && told.length < count; i++) await new Promise((r) => setTimeout(r, 50))
  expect(told).toHaveLength(count)
}

test('what changes, comes and goes is told at once, in order', async () => {
  await start()
  write('src/Rail.tsx', 'export const Rail = () => null')
  mkdirSync(join(root, 'src/kit'))
  write('src/kit/Buoy.vue')
  await waitFor(1)
  expect(told[0]).toEqual(['src/Rail.tsx', 'src/kit/Buoy.vue'])
  rmSync(join(root, 'src/Rail.tsx'))
  await waitFor(2)
  expect(told[1]).toEqual(['src/Rail.tsx'])
})

test('what a scan does not read is not told', async () => {
  await start()
  mkdirSync(join(root, 'made'))
  write('made/Rail.tsx')
  write('dist/Rail.js')
  write('src/notes.md')
  write('src/Rail.tsx', 'changed')
  await waitFor(1)
  expect(told).toEqual([['src/Rail.tsx']])
})
