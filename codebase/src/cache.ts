import type { Findings } from './found.js'
import type { ScannedPackage } from './packages/scan-package.js'
import type { Modules } from './typescript/program.js'

/** What is known of a codebase from the scan before. Lives as long as the codebase is looked at. */
export type ScanCache = {
  readonly files: Map<string, { readonly hash: string; readonly findings: Findings }>
  modules: Modules | undefined
  /** Packages as they were read, by their names; `stamp` changes when one is installed anew. */
  readonly packages: Map<string, { readonly stamp: string; readonly scanned: ScannedPackage }>
}

export const createCache = (): ScanCache => ({
  files: new Map(),
  modules: undefined,
  packages: new Map(),
})

/** Changes whenever what a scan finds in the same files does. */
const VERSION = 2

/** The cache as text, for a file beside the codebase; modules and packages that were read are not in it. */
export const writeCache = ({ files }: ScanCache): string =>
  JSON.stringify({ version: VERSION, files: [...files] })

/** A cache from its text; an empty one where the text is none of this version. */
export const readCache = (text: string): ScanCache => {
  try {
    const read = JSON.parse(text) as { version?: unknown; files?: [string, never][] }
    if (read.version !== VERSION || !Array.isArray(read.files)) return createCache()
    return { ...createCache(), files: new Map(read.files) }
  } catch {
    return createCache()
  }
}
