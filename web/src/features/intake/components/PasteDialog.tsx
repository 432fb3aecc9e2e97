import { useState } from 'react'
import { Button } from '../../../shared/ui/Button'
import { Modal } from '../../../shared/ui/Modal'
import { useReadFiles } from '../model/use-read-files'

type Props = { readonly isOpen: boolean; readonly onClose: () => void }

export const PasteDialog = ({ isOpen, onClose }: Props) => {
  const open = useReadFiles()
  const [markup, setMarkup] = useState('')
  return (
    <Modal title="Paste SVG" isOpen={isOpen} onClose={onClose}>
      <label className="mt-4 block">
        <span className="text-soft">SVG markup, or a design in Unimorph’s JSON</span>
        <textarea
          autoFocus
          spellCheck={false}
          value={markup}
          onChange={(event) => setMarkup(event.target.value)}
          className="mt-1 block h-56 w-full rounded-sm border border-rule bg-paper p-2 font-mono text-xs"
        />
      </label>
      <div className="mt-5 flex justify-end gap-2">
        <Button onClick={onClose}>Cancel</Button>
        <Button
          tone="main"
          disabled={markup.trim() === ''}
          onClick={() => {
            const name = markup.trimStart().startsWith('<') ? 'pasted.svg' : 'pasted.json'
            onClose()
            setMarkup('')
            void open([new File([markup], name)])
          }}
        >
          Open
        </Button>
      </div>
    </Modal>
  )
}
