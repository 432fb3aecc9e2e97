import { useCallback } from 'react'
import { useNavigate } from 'react-router'
import { useImport } from './import-store'

/** Imports files and opens the project they became. */
export const useImportAndOpen = (): ((files: readonly File[]) => Promise<void>) => {
  const navigate = useNavigate()
  const importFiles = useImport((s) => s.importFiles)
  return useCallback(
    async (files) => {
      const id = await importFiles(files)
      if (id) await navigate(`/projects/${id}`)
    },
    [importFiles, navigate],
  )
}
