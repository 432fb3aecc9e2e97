import type { EmittedFile } from '@unimorph/core'

type Props = {
  readonly files: readonly EmittedFile[]
  readonly current: string | undefined
  readonly onPick: (path: string) => void
  /** Files that can have another name or place. */
  readonly onRename: (path: string) => void
}

type Group = { readonly folder: string; readonly paths: readonly string[] }

const folderOf = (path: string): string => path.slice(0, Math.max(0, path.lastIndexOf('/')))

/** Files by folder, the ones with code of layers first. */
const groupFiles = (files: readonly EmittedFile[]): Group[] => {
  const groups = new Map<string, string[]>()
  for (const { path } of files) {
    const folder = folderOf(path)
    groups.set(folder, [...(groups.get(folder) ?? []), path])
  }
  return [...groups].map(([folder, paths]) => ({ folder, paths }))
}

export const FileTree = ({ files, current, onPick, onRename }: Props) => {
  const fixed = new Set(files.flatMap(({ path, role }) => (role === 'scaffold' ? [path] : [])))
  return (
    <nav aria-label="Files" className="max-h-40 overflow-auto border-b border-rule py-1 text-xs">
      {groupFiles(files).map(({ folder, paths }) => (
        <div key={folder}>
          {folder !== '' && <div className="px-3 pt-1 text-soft">{folder}/</div>}
          <ul>
            {paths.map((path) => (
              <li key={path} className="flex">
                <button
                  type="button"
                  aria-current={path === current ? 'true' : undefined}
                  onClick={() => onPick(path)}
                  onKeyDown={(event) => {
                    if (event.key === 'F2' && !fixed.has(path)) onRename(path)
                  }}
                  className={`block min-w-0 flex-1 truncate py-0.5 pr-3 text-left font-mono hover:bg-tint aria-[current]:bg-tint aria-[current]:font-semibold ${
                    folder === '' ? 'pl-3' : 'pl-6'
                  }`}
                >
                  {path.slice(folder === '' ? 0 : folder.length + 1)}
                </button>
                {path === current && !fixed.has(path) && (
                  <button
                    type="button"
                    title="Rename or move this file (F2)"
                    onClick={() => onRename(path)}
                    className="bg-tint px-2 text-soft hover:text-ink hover:underline"
                  >
                    Rename
                  </button>
                )}
              </li>
            ))}
          </ul>
        </div>
      ))}
    </nav>
  )
}
