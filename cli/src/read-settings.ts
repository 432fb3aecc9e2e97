import { existsSync, readFileSync } from 'node:fs'
import { dirname, join } from 'node:path'
import { readSettings, SETTINGS_FILE, type SettingsFile } from '@unimorph/core'
import { describeSystemError, Failure } from './failure.js'

export type FoundSettings = {
  readonly path: string
  /** What the file says, with its paths as seen from the current folder. */
  readonly settings: SettingsFile
}

/** The settings in a named file, else in the one in the current folder; undefined when there is none. */
export const findSettings = (named: string | undefined): FoundSettings | undefined => {
  if (named === undefined && !existsSync(SETTINGS_FILE)) return undefined
  const path = named ?? SETTINGS_FILE
  let document: unknown
  try {
    document = JSON.parse(readFileSync(path, 'utf8'))
  } catch (error) {
    if (error instanceof SyntaxError)
      throw new Failure(`${path}: it is not valid JSON, ${error.message}.`)
    throw new Failure(`${path}: cannot be read, ${describeSystemError(error)}.`)
  }
  const result = readSettings(document, path)
  if (!result.ok) {
    throw new Failure(result.notes.map(({ message, help }) => `${message} ${help}`).join('\n'))
  }
  const seenFromHere = (inner: string | undefined): string | undefined =>
    inner === undefined ? undefined : join(dirname(path), inner)
  const { fonts, edits } = result.value
  const settings = { ...result.value, fonts: seenFromHere(fonts), edits: seenFromHere(edits) }
  return { path, settings }
}
