import { useMemo } from 'react'
import type { PreviewFile } from '../../../shared/lib/api'
import type { Converted } from '../../../engine/protocol'
import { buildAppPreview, buildBundleFiles, buildHtmlPreview } from './preview-html'
import { useBundle } from './use-bundle'

const isApp = ({ target }: Converted): boolean => target !== 'html'

const filesOf = (converted: Converted): readonly PreviewFile[] | undefined =>
  isApp(converted) && converted.files.length > 0 ? buildBundleFiles(converted) : undefined

/** The page to run; while that of the newest result is being built, the one before, which is then stale. */
export type Preview = { readonly html: string | undefined; readonly isStale: boolean }

/** The page to run for a result: at once for HTML, after bundling for apps. */
export const usePreview = (converted: Converted | undefined, page: string | undefined): Preview => {
  const bundled = useBundle(converted, filesOf)
  const html = useMemo(() => {
    if (!converted || !page) return undefined
    if (!isApp(converted)) return buildHtmlPreview(converted, page)
    return bundled && buildAppPreview(bundled.of, bundled.bundle, page)
  }, [bundled, converted, page])
  const isStale = converted !== undefined && isApp(converted) && bundled?.of !== converted
  return { html, isStale }
}
