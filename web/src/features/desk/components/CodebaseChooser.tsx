import { useEffect, useRef } from 'react'
import { Button } from '../../../shared/ui/Button'
import { useGlossary } from '../model/glossary-store'

/** Which codebase has the components the code should use. */
export const CodebaseChooser = () => {
  const { choices, isScanning, listChoices, choose, send } = useGlossary()
  const input = useRef<HTMLInputElement>(null)
  useEffect(() => void listChoices(), [listChoices])
  return (
    <div className="min-h-0 flex-1 overflow-auto p-3 text-xs">
      <p className="mb-3 text-soft">
        The code can use the components you have. Choose the codebase that holds them; it is read,
        and nothing of it is run.
      </p>
      {isScanning ? (
        <p role="status">Scanning …</p>
      ) : (
        <>
          <ul className="mb-3 border-y border-rule" aria-label="Codebases">
            {(choices ?? []).map(({ folder, name }) => (
              <li key={folder} className="border-b border-rule last:border-0">
                <button
                  type="button"
                  onClick={() => void choose(folder)}
                  className="block w-full px-2 py-1.5 text-left hover:bg-tint"
                >
                  <span className="block font-semibold">{name}</span>
                  <span className="block truncate font-mono text-soft" title={folder}>
                    {folder}
                  </span>
                </button>
              </li>
            ))}
            {choices?.length === 0 && (
              <li className="px-2 py-1.5 text-soft">No folder may be read yet.</li>
            )}
          </ul>
          <input
            ref={input}
            type="file"
            accept=".zip"
            className="sr-only"
            aria-label="Archive of a codebase"
            tabIndex={-1}
            onChange={({ target }) => {
              const [file] = target.files ?? []
              if (file) void send(file)
              target.value = ''
            }}
          />
          <Button className="text-xs" onClick={() => input.current?.click()}>
            Send a ZIP …
          </Button>
          <p className="mt-3 text-soft">
            For a folder of your own, start the server with{' '}
            <code className="font-mono">npm start -- --codebase FOLDER</code>.
          </p>
        </>
      )}
    </div>
  )
}
