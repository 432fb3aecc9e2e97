import { useEffect, useState } from 'react'
import { hearOthers } from '../../../shared/lib/other-windows'
import type { Project } from '../../../shared/lib/api'
import { Button } from '../../../shared/ui/Button'
import { NameDialog } from '../../../shared/ui/NameDialog'
import { ThemeButton } from '../../../shared/ui/ThemeButton'
import { FontsDialog } from '../../fonts'
import { PasteDialog, pickFiles, useReadFiles } from '../../intake'
import { useShelf } from '../shelf-store'
import { BinDialog } from './BinDialog'
import { ProjectCard } from './ProjectCard'

const Empty = () => (
  <p className="mt-10 max-w-lg text-soft">
    The shelf is empty. Choose or drop an SVG file, several screens of one design, or a design in
    Unimorph’s JSON, and it becomes a project here.
  </p>
)

export const Shelf = () => {
  const { projects, problem, load, rename, duplicate, remove } = useShelf()
  const open = useReadFiles()
  const [isPasting, setIsPasting] = useState(false)
  const [isBinOpen, setIsBinOpen] = useState(false)
  const [areFontsOpen, setAreFontsOpen] = useState(false)
  const [renaming, setRenaming] = useState<Project>()

  useEffect(() => {
    document.title = 'Shelf · Unimorph'
    void load()
    // Another window may change what stands here.
    return hearOthers(() => void load())
  }, [load])

  return (
    <div className="mx-auto flex min-h-full max-w-6xl flex-col px-8 py-6">
      <header className="flex items-center gap-3 border-b border-ink pb-4">
        <img src="/mark.svg" alt="" className="size-8" />
        <span className="text-lg font-semibold">Unimorph</span>
        <span className="flex-1" />
        <ThemeButton />
        <Button onClick={() => setIsBinOpen(true)}>Bin</Button>
        <Button onClick={() => setAreFontsOpen(true)}>Fonts</Button>
        <Button onClick={() => setIsPasting(true)}>Paste SVG</Button>
        <Button tone="main" onClick={() => void pickFiles().then(open)}>
          Open design files
        </Button>
      </header>
      <main className="flex-1 pt-6">
        <h1 className="text-2xl font-semibold">Shelf</h1>
        <p className="mt-1 text-soft">Your projects. Design files can be dropped anywhere.</p>
        {problem && (
          <p role="alert" className="mt-4 text-problem">
            {problem}
          </p>
        )}
        {projects?.length === 0 && <Empty />}
        <ul className="mt-6 grid grid-cols-[repeat(auto-fill,minmax(280px,1fr))] gap-5">
          {projects?.map((project) => (
            <ProjectCard
              key={project.id}
              project={project}
              onRename={() => setRenaming(project)}
              onDuplicate={() => void duplicate(project.id)}
              onRemove={() => void remove(project)}
            />
          ))}
        </ul>
      </main>
      <PasteDialog isOpen={isPasting} onClose={() => setIsPasting(false)} />
      <FontsDialog isOpen={areFontsOpen} onClose={() => setAreFontsOpen(false)} />
      {isBinOpen && <BinDialog onClose={() => setIsBinOpen(false)} />}
      {renaming && (
        <NameDialog
          title="Rename project"
          initial={renaming.name}
          onClose={() => setRenaming(undefined)}
          onDone={(name) => {
            setRenaming(undefined)
            void rename(renaming.id, name)
          }}
        />
      )}
    </div>
  )
}
