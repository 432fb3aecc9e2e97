import type { Findings } from './found.js'
import type { Modules } from './typescript/program.js'

/** What is known of a codebase from the scan before. Lives as long as the codebase is looked at. */
export type ScanCache = {
  readonly files: Map<string, { readonly hash: string; readonly findings: Findings }>
  modules: Modules | undefined
}

export const createCache = (): ScanCache => ({ files: new Map(), modules: undefined })

/** Changes whenever what a scan finds in the same files does. */
const VERSION = 1

/** The cache as text, for a file beside the codebase; modules that were read are not in it. */
export const writeCache = ({ files }: ScanCache): string =>
  JSON.stringify({ version: VERSION, files: [...files] })

/** A cache from its text; an empty one where the text is none of this version. */
export const readCache = (text: string): ScanCache => {
  try {
    const read = JSON.parse(text) as { version?: unknown; files?: [string, never][] }
    if (read.version !== VERSION || !Array.isArray(read.files)) return createCache()
    return { files: new Map(read.files), modules: undefined }
  } catch {
    return createCache()
  }
}
