import { existsSync, readFileSync } from 'node:fs'
import { isAbsolute, relative, resolve } from 'node:path'
import { LeadsOutside, writeInside } from '@unimorph/codebase/folder'
import { decodeBase64, type EmittedFile } from '@unimorph/core'
import { describeSystemError, Failure } from './failure.js'

const bytesOf = (file: EmittedFile): Uint8Array =>
  file.content.kind === 'text'
    ? Buffer.from(file.content.text, 'utf8')
    : decodeBase64(file.content.base64)

const placeInside = (folder: string, path: string): string => {
  const full = resolve(folder, path)
  const inside = relative(folder, full)
  if (inside.startsWith('..') || isAbsolute(inside)) {
    throw new Error(`a delivered file would leave its folder: ${path}`)
  }
  return full
}

/**
 * Writes the delivered files into a folder. A file that is already there with other content may hold
 * somebody's work: it is not overwritten unless `force` is set, and then nothing is written at all.
 */
export const writeFiles = (
  folder: string,
  files: readonly EmittedFile[],
  options: { readonly force: boolean },
): void => {
  const root = resolve(folder)
  const planned = files.map((file) => ({
    path: placeInside(root, file.path),
    bytes: bytesOf(file),
  }))
  try {
    const changed = planned.filter(
      (f) => existsSync(f.path) && !readFileSync(f.path).equals(f.bytes),
    )
    if (changed.length > 0 && !options.force) {
      const names = changed.slice(0, 3).map((f) => relative(root, f.path))
      const more = changed.length > 3 ? ` and ${changed.length - 3} more` : ''
      throw new Failure(
        `${folder}: ${names.join(', ')}${more} differ from what would be written, so nothing was. ` +
          'Choose another folder, or overwrite them with --force.',
      )
    }
    for (const { path, bytes } of planned) {
      writeInside(root, relative(root, path), bytes)
    }
  } catch (error) {
    if (error instanceof Failure) throw error
    if (error instanceof LeadsOutside) throw new Failure(error.message)
    throw new Failure(`${folder}: cannot be written, ${describeSystemError(error)}.`)
  }
}
