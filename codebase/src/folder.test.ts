import { existsSync, lstatSync, mkdirSync, readdirSync, readFileSync, symlinkSync } from 'node:fs'
import { join } from 'node:path'
import { LeadsOutside, readInside, writeInside } from './folder.js'
import { createFolder } from './testing.js'

type Folder = ReturnType<typeof createFolder>

let folder: Folder
let outside: Folder
beforeEach(() => {
  folder = createFolder({ 'src/a.ts': 'inside' })
  outside = createFolder({ 'secret.ts': 'outside' })
})
afterEach(() => {
  folder.remove()
  outside.remove()
})

const at = (path: string): string => join(folder.root, path)

describe('reading', () => {
  test('gives what is in the folder, also behind a link that stays there', () => {
    symlinkSync(at('src'), at('link'))
    expect(readInside(folder.root, 'src/a.ts')).toBe('inside')
    expect(readInside(folder.root, 'link/a.ts')).toBe('inside')
  })

  test.each(['../secret.ts', 'out/secret.ts', 'file.ts', 'nowhere.ts', 'src', 'none.ts'])(
    'gives nothing of %s',
    (path) => {
      symlinkSync(outside.root, at('out'))
      symlinkSync(join(outside.root, 'secret.ts'), at('file.ts'))
      symlinkSync(join(outside.root, 'none.ts'), at('nowhere.ts'))
      expect(readInside(folder.root, path)).toBeUndefined()
    },
  )
})

describe('writing', () => {
  test('makes the folders on the way, and leaves nothing else behind', () => {
    writeInside(folder.root, 'deep/er/b.ts', 'new')
    writeInside(folder.root, 'src/a.ts', 'changed')
    expect(readFileSync(at('deep/er/b.ts'), 'utf8')).toBe('new')
    expect(readFileSync(at('src/a.ts'), 'utf8')).toBe('changed')
    expect(readdirSync(at('src'))).toEqual(['a.ts'])
  })

  test('makes the folder itself', () => {
    writeInside(at('fresh/project'), 'index.html', 'page')
    expect(readFileSync(at('fresh/project/index.html'), 'utf8')).toBe('page')
  })

  test('keeps a link that stays in the folder', () => {
    symlinkSync(at('src/a.ts'), at('a.ts'))
    writeInside(folder.root, 'a.ts', 'changed')
    expect(readFileSync(at('src/a.ts'), 'utf8')).toBe('changed')
    expect(lstatSync(at('a.ts')).isSymbolicLink()).toBe(true)
  })

  test.each([
    ['../b.ts', 'b.ts'],
    ['out/secret.ts', 'secret.ts'],
    ['out/new/b.ts', 'new/b.ts'],
    ['file.ts', 'secret.ts'],
    ['dangling.ts', 'none.ts'],
    ['lost/b.ts', 'lost/b.ts'],
  ])('never follows a way out: %s', (path, there) => {
    symlinkSync(outside.root, at('out'))
    symlinkSync(join(outside.root, 'secret.ts'), at('file.ts'))
    symlinkSync(join(outside.root, 'none.ts'), at('dangling.ts'))
    symlinkSync(join(outside.root, 'lost'), at('lost'))
    expect(() => writeInside(folder.root, path, 'written')).toThrow(LeadsOutside)
    const full = join(outside.root, there)
    if (there === 'secret.ts') expect(readFileSync(full, 'utf8')).toBe('outside')
    else expect(existsSync(full)).toBe(false)
    expect(readdirSync(outside.root)).toEqual(['secret.ts'])
  })

  test('into a folder that is itself a link writes where that leads', () => {
    mkdirSync(at('real'))
    symlinkSync(at('real'), at('project'))
    writeInside(at('project'), 'b.ts', 'new')
    expect(readFileSync(at('real/b.ts'), 'utf8')).toBe('new')
  })
})
