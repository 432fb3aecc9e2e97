import { existsSync } from 'node:fs'
import { dirname, join } from 'node:path'
import { readSettings, SETTINGS_FILE, type SettingsFile } from '@unimorph/core'
import { Failure } from './failure.js'
import { readJson } from './read-json.js'

export type FoundSettings = {
  readonly path: string
  /** What the file says, with its paths as seen from the current folder. */
  readonly settings: SettingsFile
}

/** The settings in a named file, else in the one in the current folder; undefined when there is none. */
export const findSettings = (named: string | undefined): FoundSettings | undefined => {
  if (named === undefined && !existsSync(SETTINGS_FILE)) return undefined
  const path = named ?? SETTINGS_FILE
  const result = readSettings(readJson(path), path)
  if (!result.ok) {
    throw new Failure(result.notes.map(({ message, help }) => `${message} ${help}`).join('\n'))
  }
  const seenFromHere = (inner: string | undefined): string | undefined =>
    inner === undefined ? undefined : join(dirname(path), inner)
  const { fonts, edits } = result.value
  const settings = { ...result.value, fonts: seenFromHere(fonts), edits: seenFromHere(edits) }
  return { path, settings }
}
