import { api } from './api'

const known = new Map<string, Promise<readonly string[]>>()

/** The scripts of some frameworks, each asked for once; the same list for the same names. */
export const runtimeScripts = (names: readonly string[]): Promise<readonly string[]> => {
  const key = names.join()
  const found = known.get(key)
  if (found) return found
  const scripts = Promise.all(names.map((name) => api.runtime(name)))
  known.set(key, scripts)
  scripts.catch(() => known.delete(key))
  return scripts
}
