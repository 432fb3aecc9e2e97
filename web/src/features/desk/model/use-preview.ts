import { useEffect, useMemo, useState } from 'react'
import { api, messageOf, type Bundle } from '../../../shared/lib/api'
import type { Converted } from '../../../engine/protocol'
import { buildBundleFiles, buildHtmlPreview, buildAppPreview } from './preview-html'

type Bundled = { readonly of: Converted; readonly bundle: Bundle }

/** The page to run for a result: at once for HTML, after bundling for apps. */
export const usePreview = (
  converted: Converted | undefined,
  page: string | undefined,
): string | undefined => {
  const [bundled, setBundled] = useState<Bundled>()
  const isApp = converted !== undefined && converted.target !== 'html'

  useEffect(() => {
    if (!isApp || !converted || converted.files.length === 0) return
    let isCurrent = true
    api
      .bundle(buildBundleFiles(converted))
      .catch((error: unknown): Bundle => ({ errors: [messageOf(error)] }))
      .then((bundle) => {
        if (isCurrent) setBundled({ of: converted, bundle })
      })
      .catch(() => undefined)
    return () => {
      isCurrent = false
    }
  }, [converted, isApp])

  return useMemo(() => {
    if (!converted || !page) return undefined
    if (!isApp) return buildHtmlPreview(converted, page)
    // Until the new bundle is there, the one before goes on running.
    return bundled && buildAppPreview(bundled.of, bundled.bundle, page)
  }, [bundled, converted, isApp, page])
}
