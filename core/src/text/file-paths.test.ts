import { asModule, folderOf, joinPath, relativePath } from './file-paths.js'

test.each([
  ['src/screens', 'src/assets/a.png', '../assets/a.png'],
  ['src', 'src/assets/a.png', 'assets/a.png'],
  ['', 'index.html', 'index.html'],
  ['src/app/screens', 'public/assets', '../../../public/assets'],
  ['a/b', 'a/b', ''],
])('from %j to %j is %j', (folder, path, way) => {
  expect(relativePath(folder, path)).toBe(way)
  expect(joinPath(folder, way)).toBe(path)
})

test('what leaves the project is no path in it', () => {
  expect(joinPath('src', '../../etc/passwd')).toBeUndefined()
  expect(joinPath('src', './a/../b')).toBe('src/b')
})

test('modules beside a file begin with a dot, and files at the root lie in no folder', () => {
  expect([asModule('a'), asModule('../a')]).toEqual(['./a', '../a'])
  expect([folderOf('a/b/c.ts'), folderOf('c.ts')]).toEqual(['a/b', ''])
})
