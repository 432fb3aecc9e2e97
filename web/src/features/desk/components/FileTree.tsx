import type { EmittedFile } from '@unimorph/core'

type Props = {
  readonly files: readonly EmittedFile[]
  readonly current: string | undefined
  readonly onPick: (path: string) => void
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

export const FileTree = ({ files, current, onPick }: Props) => (
  <nav aria-label="Files" className="max-h-40 overflow-auto border-b border-rule py-1 text-xs">
    {groupFiles(files).map(({ folder, paths }) => (
      <div key={folder}>
        {folder !== '' && <div className="px-3 pt-1 text-soft">{folder}/</div>}
        <ul>
          {paths.map((path) => (
            <li key={path}>
              <button
                type="button"
                aria-current={path === current ? 'true' : undefined}
                onClick={() => onPick(path)}
                className={`block w-full truncate py-0.5 pr-3 text-left font-mono hover:bg-tint aria-[current]:bg-tint aria-[current]:font-semibold ${
                  folder === '' ? 'pl-3' : 'pl-6'
                }`}
              >
                {path.slice(folder === '' ? 0 : folder.length + 1)}
              </button>
            </li>
          ))}
        </ul>
      </div>
    ))}
  </nav>
)
