import { useEffect, useState, type ReactNode } from 'react'
import { useReadFiles } from '../model/use-read-files'

const isEditable = (target: EventTarget | null): boolean =>
  target instanceof HTMLElement &&
  (target.isContentEditable || /^(input|textarea)$/i.test(target.tagName))

const looksLikeSvg = (text: string): boolean =>
  /^\s*(<\?xml[^>]*>\s*)?(<!--[\s\S]*?-->\s*)*<svg[\s>]/.test(text)

/** Files may be dropped on any place of the window, and SVG markup pasted outside of text fields. */
export const DropAnywhere = ({ children }: { readonly children: ReactNode }) => {
  const open = useReadFiles()
  const [isOver, setIsOver] = useState(false)

  useEffect(() => {
    let depth = 0
    const hasFiles = (event: DragEvent): boolean =>
      event.dataTransfer?.types.includes('Files') ?? false
    const enter = (event: DragEvent): void => {
      if (!hasFiles(event)) return
      depth++
      setIsOver(true)
    }
    const leave = (event: DragEvent): void => {
      if (!hasFiles(event)) return
      depth = Math.max(0, depth - 1)
      setIsOver(depth > 0)
    }
    const over = (event: DragEvent): void => {
      if (hasFiles(event)) event.preventDefault()
    }
    const drop = (event: DragEvent): void => {
      if (!hasFiles(event)) return
      event.preventDefault()
      depth = 0
      setIsOver(false)
      void open([...event.dataTransfer!.files])
    }
    const paste = (event: ClipboardEvent): void => {
      if (isEditable(event.target)) return
      const files = [...(event.clipboardData?.files ?? [])]
      const text = event.clipboardData?.getData('text/plain') ?? ''
      if (files.length > 0) void open(files)
      else if (looksLikeSvg(text)) void open([new File([text], 'pasted.svg')])
    }
    const listeners: [string, EventListener][] = [
      ['dragenter', enter as EventListener],
      ['dragleave', leave as EventListener],
      ['dragover', over as EventListener],
      ['drop', drop as EventListener],
      ['paste', paste as EventListener],
    ]
    for (const [name, listener] of listeners) window.addEventListener(name, listener)
    return () => {
      for (const [name, listener] of listeners) window.removeEventListener(name, listener)
    }
  }, [open])

  return (
    <>
      {children}
      {isOver && (
        <div className="pointer-events-none fixed inset-3 z-50 flex items-center justify-center border-2 border-dashed border-settled bg-sheet/90">
          <p className="text-xl font-semibold">Drop design files to see what is in them</p>
        </div>
      )}
    </>
  )
}
