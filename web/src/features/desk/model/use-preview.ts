import { useMemo } from 'react'
import type { PreviewFile } from '../../../shared/lib/api'
import type { Converted } from '../../../engine/protocol'
import { buildAppPreview, buildBundleFiles, buildHtmlPreview } from './preview-html'
import { useBundle } from './use-bundle'

const isApp = ({ target }: Converted): boolean => target !== 'html'

const filesOf = (converted: Converted): readonly PreviewFile[] | undefined =>
  isApp(converted) && converted.files.length > 0 ? buildBundleFiles(converted) : undefined

/** The page to run for a result: at once for HTML, after bundling for apps. */
export const usePreview = (
  converted: Converted | undefined,
  page: string | undefined,
): string | undefined => {
  const bundled = useBundle(converted, filesOf)
  return useMemo(() => {
    if (!converted || !page) return undefined
    if (!isApp(converted)) return buildHtmlPreview(converted, page)
    // Until the new bundle is there, the one before goes on running.
    return bundled && buildAppPreview(bundled.of, bundled.bundle, page)
  }, [bundled, converted, page])
}
