import { existsSync } from 'node:fs'
import { mkdir, readdir, rm } from 'node:fs/promises'
import { join } from 'node:path'

export const BACKUPS = 'backups'
/** A copy of each day is kept for a week. */
const KEPT = 7
const NAME = /^unimorph-\d{4}-\d{2}-\d{2}\.sqlite$/

/** What a backup that was cut off has left. */
const UNFINISHED = /^unimorph-\d{4}-\d{2}-\d{2}\.sqlite\.part/

const nameOf = (day: Date): string => `unimorph-${day.toISOString().slice(0, 10)}.sqlite`

/**
 * Makes the backup of a day, unless it is there, and removes those older than the newest seven. Copies made by hand are left
 * alone. `backUp` writes one.
 */
export const keepDaily = async (
  data: string,
  day: Date,
  backUp: (file: string) => Promise<void>,
): Promise<void> => {
  const folder = join(data, BACKUPS)
  await mkdir(folder, { recursive: true })
  const drop = (names: readonly string[]): Promise<unknown> =>
    Promise.all(names.map((name) => rm(join(folder, name), { force: true })))
  await drop((await readdir(folder)).filter((name) => UNFINISHED.test(name)))
  const file = join(folder, nameOf(day))
  if (!existsSync(file)) await backUp(file)
  const copies = (await readdir(folder)).filter((name) => NAME.test(name)).sort()
  await drop(copies.slice(0, -KEPT))
}
