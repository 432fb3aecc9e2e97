import { mkdirSync, rmSync, writeFileSync } from 'node:fs'
import { dirname, join, posix } from 'node:path'
import { unzipSync } from 'fflate'
import { badRequest } from '../http/problem'

const MOST_FILES = 20_000
const MOST_BYTES = 200_000_000

/** The folder all files of an archive stand in, as archives of repositories have one; '' where there is none. */
const commonFolder = (names: readonly string[]): string => {
  const [first] = names[0]?.split('/') ?? []
  const folder = `${first ?? ''}/`
  return names.length > 0 && names.every((name) => name.startsWith(folder)) ? folder : ''
}

/** Unpacks an archive into a folder that is emptied before. Names that would leave it are refused. */
export const unpack = (bytes: Uint8Array, folder: string): void => {
  let files: Record<string, Uint8Array>
  let size = 0
  let count = 0
  try {
    files = unzipSync(bytes, {
      filter: ({ name, originalSize }) => {
        if (name.endsWith('/') || /(^|\/)(node_modules|\.git)\//.test(name)) return false
        size += originalSize
        count++
        if (size > MOST_BYTES || count > MOST_FILES)
          throw badRequest('The archive is too large: leave out what programs have made.')
        return true
      },
    })
  } catch (error) {
    if (error instanceof Error && 'getStatus' in error) throw error
    throw badRequest('The archive cannot be unpacked. Make it again, as a ZIP without a password.')
  }
  const names = Object.keys(files)
  if (names.length === 0) throw badRequest('The archive holds no files of a codebase.')
  const inside = commonFolder(names)
  const places = names.map((name) => {
    const path = posix.normalize(name.slice(inside.length))
    if (path.startsWith('..') || path.startsWith('/') || path.includes('\\') || path.includes('\0'))
      throw badRequest(`The archive has a file that would leave its folder: ${name}`)
    return { path, bytes: files[name]! }
  })
  rmSync(folder, { recursive: true, force: true })
  for (const { path, bytes: content } of places) {
    const full = join(folder, path)
    mkdirSync(dirname(full), { recursive: true })
    writeFileSync(full, content)
  }
}
