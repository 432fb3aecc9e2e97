import type { Reader } from '../readers.js'
import { readElements } from './read-elements.js'
import { isPartial, readPartial } from './read-partial.js'
import { readManifest } from './read-manifest.js'

/** Custom elements, by the code that defines them or by a manifest, and documented partials. */
export const html: Reader = {
  reads: ({ path, text }) =>
    isPartial({ path, text }) ||
    /(^|\/)custom-elements\.json$/.test(path) ||
    (/\.[cm]?[jt]s$/.test(path) && text.includes('customElements.define')),
  read({ path, text }, checked) {
    if (path.endsWith('.html')) return readPartial({ path, text })
    if (path.endsWith('.json')) return { components: readManifest(path, text) }
    const module = checked?.moduleOf(path)
    return module ? { components: readElements(path, module) } : {}
  },
}
