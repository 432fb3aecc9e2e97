import { useEffect, useRef } from 'react'
import { messageOf, type FontSummary } from '../../../shared/lib/api'
import { useFonts } from '../../../shared/lib/fonts-store'
import { showProblem } from '../../../shared/lib/toast-store'
import { Button } from '../../../shared/ui/Button'
import { Modal } from '../../../shared/ui/Modal'

type Props = { readonly isOpen: boolean; readonly onClose: () => void }

const report = (error: unknown): void => showProblem(messageOf(error))

const describeWeight = ({ weight, italic }: FontSummary): string =>
  `${typeof weight === 'number' ? weight : weight.join('–')}${italic ? ' italic' : ''}`

/** Fonts by family, in the order they come. */
const byFamily = (fonts: readonly FontSummary[]): [string, FontSummary[]][] => {
  const families = new Map<string, FontSummary[]>()
  for (const font of fonts) families.set(font.family, [...(families.get(font.family) ?? []), font])
  return [...families]
}

/** The fonts at hand: what comes with the program, and what was added. */
export const FontsDialog = ({ isOpen, onClose }: Props) => {
  const { fonts, load, add, remove } = useFonts()
  const input = useRef<HTMLInputElement>(null)
  useEffect(() => {
    if (isOpen) load().catch(report)
  }, [isOpen, load])

  return (
    <Modal title="Fonts" isOpen={isOpen} onClose={onClose}>
      <p className="mt-2 text-soft">
        Texts are measured and shown with these fonts, and delivered with the files they need. A
        design that asks for another one says so in its notes.
      </p>
      <ul className="mt-4 max-h-[50vh] divide-y divide-rule overflow-auto border-y border-rule">
        {byFamily(fonts ?? []).map(([family, faces]) => (
          <li key={family} className="py-2">
            <span className="font-semibold">{family}</span>
            <ul className="mt-1 flex flex-wrap gap-1.5">
              {faces.map((font) => (
                <li
                  key={font.id}
                  className="flex h-6 items-center gap-1 rounded-sm border border-rule px-2 text-xs"
                >
                  {describeWeight(font)}
                  {font.origin === 'added' && (
                    <button
                      type="button"
                      aria-label={`Remove ${family} ${describeWeight(font)}`}
                      title={`Remove ${font.fileName}`}
                      onClick={() => void remove(font.id).catch(report)}
                      className="px-1 text-soft hover:text-problem"
                    >
                      ×
                    </button>
                  )}
                </li>
              ))}
            </ul>
          </li>
        ))}
      </ul>
      <input
        ref={input}
        type="file"
        multiple
        hidden
        accept=".woff2,.woff,.ttf,.otf"
        aria-label="Font files"
        onChange={(event) => {
          const files = [...(event.target.files ?? [])]
          event.target.value = ''
          add(files).catch(report)
        }}
      />
      <div className="mt-5 flex justify-end gap-2">
        <Button onClick={() => input.current?.click()}>Add font files</Button>
        <Button tone="main" onClick={onClose}>
          Done
        </Button>
      </div>
    </Modal>
  )
}
