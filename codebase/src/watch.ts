import { relative, resolve, sep } from 'node:path'
import { watch } from 'chokidar'
import { createFilter } from './files.js'

/** So long nothing else must change before changes are told: an editor or a branch changes many files at once. */
const QUIET_MS = 150

export type Watching = {
  /** Resolves when every change from now on is seen. */
  readonly ready: Promise<void>
  stop(): Promise<void>
}

/**
 * Watches what a scan of a codebase reads. `onChange` is given the paths that changed, came or went, from the root and with
 * `/`, in their order, once it is quiet. `onProblem` hears why watching is not possible, as with too many files.
 */
export const watchCodebase = (
  folder: string,
  onChange: (paths: readonly string[]) => void,
  onProblem: (message: string) => void = () => undefined,
): Watching => {
  const root = resolve(folder)
  const isWanted = createFilter(root)
  const toPath = (path: string): string => relative(root, path).split(sep).join('/')
  const changed = new Set<string>()
  let timer: NodeJS.Timeout | undefined
  const tell = (): void => {
    const paths = [...changed].sort()
    changed.clear()
    onChange(paths)
  }
  const watcher = watch(root, {
    ignoreInitial: true,
    followSymlinks: false,
    // What is not known yet is asked for again, with what it is.
    ignored: (path, stats) =>
      path !== root && stats !== undefined && !isWanted(toPath(path), stats.isDirectory()),
  })
  watcher.on('all', (event, path) => {
    if (event === 'addDir' || event === 'unlinkDir' || !isWanted(toPath(path), false)) return
    changed.add(toPath(path))
    clearTimeout(timer)
    timer = setTimeout(tell, QUIET_MS)
  })
  watcher.on('error', (error) => onProblem(error instanceof Error ? error.message : String(error)))
  return {
    ready: new Promise((done) => watcher.once('ready', () => done())),
    async stop() {
      clearTimeout(timer)
      await watcher.close()
    },
  }
}
