import { useEffect, useMemo } from 'react'
import type { PreviewFile } from '../../../shared/lib/api'
import type { Converted } from '../../../engine/protocol'
import {
  buildAppPreview,
  buildBundleFiles,
  buildElementFiles,
  buildHtmlPreview,
} from './preview-html'
import { useDesk } from './desk-store'
import { useBundle } from './use-bundle'

const isApp = ({ target }: Converted): boolean => target !== 'html'

/** What must be bundled: an app, or what defines the elements of a codebase that pages use. */
const filesOf = (converted: Converted): readonly PreviewFile[] | undefined => {
  if (converted.files.length === 0) return undefined
  const files = isApp(converted) ? buildBundleFiles(converted) : buildElementFiles(converted)
  return files.length > 0 ? files : undefined
}

/** The page to run; while that of the newest result is being built, the one before, which is then stale. */
export type Preview = { readonly html: string | undefined; readonly isStale: boolean }

/** The page to run for a result: at once for HTML, after bundling for apps. */
export const usePreview = (converted: Converted | undefined, page: string | undefined): Preview => {
  const bundled = useBundle(converted, filesOf)
  const setBuildErrors = useDesk((s) => s.setBuildErrors)
  useEffect(() => {
    const isOfThis = bundled?.of === converted && bundled && 'errors' in bundled.bundle
    setBuildErrors(isOfThis ? bundled.bundle.errors : [])
  }, [bundled, converted, setBuildErrors])
  const html = useMemo(() => {
    if (!converted || !page) return undefined
    if (!isApp(converted)) {
      return buildHtmlPreview(
        converted,
        page,
        bundled && !isApp(bundled.of) ? bundled.bundle : undefined,
      )
    }
    return bundled && buildAppPreview(bundled.of, bundled.bundle, page)
  }, [bundled, converted, page])
  const isBuilt = useMemo(
    () => converted !== undefined && (isApp(converted) || buildElementFiles(converted).length > 0),
    [converted],
  )
  const isStale = isBuilt && bundled?.of !== converted
  return { html, isStale }
}
