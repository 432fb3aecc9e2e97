import { useEffect, useMemo } from 'react'
import type { Running } from '../../../engine/protocol'
import {
  buildAppPreview,
  buildElementFiles,
  buildHtmlPreview,
  buildPreviewFiles,
  isApp,
} from './preview-html'
import { NO_SCRIPTS } from './bundle'
import { useDesk } from './desk-store'
import { useBundle } from './use-bundle'

export type Preview = {
  /** The page to run; while that of the newest result is being built, the one before, which is then stale. */
  readonly html: string | undefined
  /** What must have run in its frame before. */
  readonly scripts: readonly string[]
  readonly isStale: boolean
}

/** The page to run for a result: at once for HTML, after bundling for apps. */
export const usePreview = (running: Running | undefined, page: string | undefined): Preview => {
  const bundled = useBundle(running, buildPreviewFiles)
  const setBuildErrors = useDesk((s) => s.setBuildErrors)
  useEffect(() => {
    const isOfThis = bundled?.of === running && bundled && 'errors' in bundled.bundle
    setBuildErrors(isOfThis ? bundled.bundle.errors : [])
  }, [bundled, running, setBuildErrors])
  const html = useMemo(() => {
    if (!running || !page) return undefined
    if (!isApp(running)) {
      return buildHtmlPreview(
        running,
        page,
        bundled && !isApp(bundled.of) ? bundled.bundle : undefined,
      )
    }
    return bundled && buildAppPreview(bundled.of, bundled.bundle, page)
  }, [bundled, running, page])
  const isBuilt = useMemo(
    () => running !== undefined && (isApp(running) || buildElementFiles(running).length > 0),
    [running],
  )
  const isStale = isBuilt && bundled?.of !== running
  return { html, scripts: bundled?.scripts ?? NO_SCRIPTS, isStale }
}
