import { realpathSync, statSync } from 'node:fs'
import { join, sep } from 'node:path'
import type { Codebase } from '@unimorph/core'
import type { ScanCache } from '../cache.js'
import { findPackage, scanPackage, type ScannedPackage } from './scan-package.js'

/** Changes when a package is installed anew; undefined for one that is worked on beside the codebase, or missing. */
const stampOf = (root: string, name: string): string | undefined => {
  const found = findPackage(root, name)
  const folder = found && realpathSync(found)
  if (folder === undefined || !folder.includes(`${sep}node_modules${sep}`)) return undefined
  const { mtimeMs, size } = statSync(join(folder, 'package.json'))
  return `${folder} ${mtimeMs} ${size}`
}

const scanOnce = (root: string, name: string, { packages }: ScanCache): ScannedPackage => {
  const stamp = stampOf(root, name)
  const known = packages.get(name)
  if (known && known.stamp === stamp) return known.scanned
  const scanned = scanPackage(root, name)
  if (stamp !== undefined) packages.set(name, { stamp, scanned })
  return scanned
}

/** A codebase with the components of the packages that are named; those that `cache` knows are not read again. */
export const withPackages = (
  codebase: Codebase,
  root: string,
  names: readonly string[],
  cache: ScanCache,
): Codebase => {
  const libraries = names.map((name) => scanOnce(root, name, cache))
  return {
    ...codebase,
    components: [...codebase.components, ...libraries.flatMap((one) => one.components)],
    notes: [...codebase.notes, ...libraries.flatMap((one) => one.notes)],
  }
}
