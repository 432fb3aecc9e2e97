/** Paths of files in a project: relative to its root, with forward slashes. */

const segments = (path: string): string[] => path.split('/').filter(Boolean)

/** `src/screens/Rota.tsx` → `src/screens`; nothing for what lies at the root. */
export const folderOf = (path: string): string => path.slice(0, Math.max(0, path.lastIndexOf('/')))

/** From the folder `src/screens` to `src/assets/a.png`: `../assets/a.png`; to what lies below it: `a.png`. */
export const relativePath = (folder: string, path: string): string => {
  const here = segments(folder)
  const there = segments(path)
  let common = 0
  while (common < here.length && here[common] === there[common]) common++
  return [...here.slice(common).map(() => '..'), ...there.slice(common)].join('/')
}

/** As modules are named: what lies beside or below begins with `./`. */
export const asModule = (relative: string): string =>
  relative.startsWith('.') ? relative : `./${relative}`

/** From `src/screens`, `../assets/a.png` is `src/assets/a.png`; undefined for what leaves the project. */
export const joinPath = (folder: string, relative: string): string | undefined => {
  const parts = segments(folder)
  for (const part of segments(relative)) {
    if (part === '.') continue
    if (part !== '..') parts.push(part)
    else if (parts.pop() === undefined) return undefined
  }
  return parts.join('/')
}
