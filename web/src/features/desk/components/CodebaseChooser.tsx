import { TARGETS, type TargetId } from '@unimorph/core'
import { useEffect, useRef, type ReactNode } from 'react'
import type { CodebaseChoice } from '../../../shared/lib/api'
import { Button } from '../../../shared/ui/Button'
import { useGlossary } from '../model/glossary-store'

/** The folders of the demo's codebases are called as the targets. */
const describe = ({ folder, isDemo }: CodebaseChoice): string => {
  const target = folder.split(/[\\/]/).at(-1) ?? ''
  return isDemo && target in TARGETS ? TARGETS[target as TargetId].label : folder
}

const ChoiceList = ({
  label,
  choices,
  empty,
}: {
  readonly label: string
  /** Undefined while they are looked for. */
  readonly choices: readonly CodebaseChoice[] | undefined
  readonly empty: ReactNode
}) => {
  const choose = useGlossary((s) => s.choose)
  return (
    <section className="mb-3">
      <h3 className="mb-1 font-semibold">{label}</h3>
      <ul className="border-y border-rule" aria-label={label}>
        {choices?.map((choice) => (
          <li key={choice.folder} className="border-b border-rule last:border-0">
            <button
              type="button"
              onClick={() => void choose(choice.folder)}
              title={choice.folder}
              className="flex w-full items-baseline gap-2 px-2 py-1.5 text-left hover:bg-tint"
            >
              <span className="shrink-0 font-medium">{choice.name}</span>
              <span className="min-w-0 flex-1 truncate text-right text-soft">
                {describe(choice)}
              </span>
            </button>
          </li>
        ))}
        {!choices && (
          <li role="status" className="px-2 py-1.5 text-soft">
            Looking …
          </li>
        )}
        {choices?.length === 0 && <li className="px-2 py-1.5 text-soft">{empty}</li>}
      </ul>
    </section>
  )
}

/** Which codebase has the components the code should use. */
export const CodebaseChooser = () => {
  const { choices, isScanning, listChoices, send } = useGlossary()
  const own = choices?.filter(({ isDemo }) => !isDemo)
  const demo = choices?.filter(({ isDemo }) => isDemo)
  const input = useRef<HTMLInputElement>(null)
  useEffect(() => void listChoices(), [listChoices])
  return (
    <div className="min-h-0 flex-1 overflow-auto p-3 text-xs">
      <p className="mb-3 text-soft">
        Choose the codebase whose components the code should use. Unimorph reads it and runs nothing
        of it.
      </p>
      {isScanning ? (
        <p role="status">Scanning …</p>
      ) : (
        <>
          <ChoiceList
            label="Your codebases"
            choices={own}
            empty={
              <>
                None yet. Start the server with{' '}
                <code className="font-mono">npm start -- --codebase FOLDER</code>, or send a ZIP.
              </>
            }
          />
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
          <hr className="my-3 border-rule" />
          <ChoiceList
            label="Demo codebases"
            choices={demo}
            empty={
              <>
                Not loaded. Start the server without <code className="font-mono">--no-demo</code> to
                have one for each target.
              </>
            }
          />
        </>
      )}
    </div>
  )
}
