import { useCallback } from 'react'
import { useHome } from './home-store'
import { useImport } from './import-store'

/** Reads files and shows them for review; on the desk they may become an edition of what lies there. */
export const useReadFiles = (): ((files: readonly File[]) => Promise<void>) => {
  const read = useImport((s) => s.read)
  return useCallback((files) => read(files, useHome.getState().home), [read])
}
