import { symlinkSync } from 'node:fs'
import { join } from 'node:path'
import { findReachable, openSources } from './sources.js'
import { createFolder } from './testing.js'

let folder: ReturnType<typeof createFolder>
afterEach(() => folder.remove())

test('what files need is found through aliases, style sheets and templates', () => {
  folder = createFolder({
    'tsconfig.json': '{ "compilerOptions": { "paths": { "@/*": ["./src/*"] } } }',
    'src/ui/Btn.tsx': 'import "./btn.css"\nimport { x } from "@/x"',
    'src/ui/btn.css': '@import "../theme.css";',
    'src/theme.css': ':root {}',
    'src/x/index.ts': 'export const x = 1',
    'src/other.ts': 'export const other = 1',
  })
  const found = findReachable(
    new Map([['src/screens/Home.tsx', 'import { Btn } from "@/ui/Btn"; import "react"']]),
    openSources(folder.root),
  )
  expect([...found.keys()].sort()).toEqual([
    'src/theme.css',
    'src/ui/Btn.tsx',
    'src/ui/btn.css',
    'src/x/index.ts',
  ])
})

test('nothing outside of the folder is read', () => {
  const outside = createFolder({ 'secret.ts': 'export const secret = 1' })
  folder = createFolder({ 'a.ts': '' })
  symlinkSync(join(outside.root, 'secret.ts'), join(folder.root, 'link.ts'))
  const { read, find } = openSources(folder.root)
  expect(read('link.ts')).toBeUndefined()
  expect(read('../../../../etc/hostname')).toBeUndefined()
  expect(find('../../../../../etc/passwd', 'a.ts')).toBeUndefined()
  expect(read('a.ts')).toBe('')
  outside.remove()
})
