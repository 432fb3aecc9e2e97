import { FAVICON, type EmittedFile } from '@unimorph/core'
import type { Bundle, PreviewFile } from '../../../shared/lib/api'
import type { Running } from '../../../engine/protocol'
import { BRIDGE } from './preview-bridge'

const MIME: Readonly<Record<string, string>> = {
  avif: 'image/avif',
  gif: 'image/gif',
  jpg: 'image/jpeg',
  otf: 'font/otf',
  png: 'image/png',
  svg: 'image/svg+xml',
  ttf: 'font/ttf',
  webp: 'image/webp',
  woff: 'font/woff',
  woff2: 'font/woff2',
}

const dataAddress = ({ path, content }: EmittedFile): string => {
  const mime = MIME[path.slice(path.lastIndexOf('.') + 1)] ?? 'application/octet-stream'
  return content.kind === 'text'
    ? `data:${mime},${encodeURIComponent(content.text)}`
    : `data:${mime};base64,${content.base64}`
}

/** Script text that cannot end the element it stands in. */
const inScript = (script: string): string =>
  script.replace(/<\/(script)/gi, '<\\/$1').replace(/<!--/g, '<\\!--')

/** The fonts a Flutter project lists, as CSS has them. */
const listedFonts = (files: readonly EmittedFile[]): string => {
  const list = files.find(({ path }) => path === 'pubspec.yaml')?.content
  if (list?.kind !== 'text') return ''
  const rules: string[] = []
  let family = ''
  for (const line of list.text.split('\n')) {
    family = /^ {4}- family: (".*")$/.exec(line)?.[1] ?? family
    const path = /^ {8}- asset: (.+)$/.exec(line)?.[1]
    const file = path === undefined ? undefined : files.find((one) => one.path === path)
    if (file) rules.push(`@font-face{font-family:${family};src:url("${dataAddress(file)}")}`)
    const last = rules.length - 1
    const more = /^ {10}(weight|style): (\w+)$/.exec(line)
    if (more && last >= 0) rules[last] = rules[last]!.replace('}', `;font-${more[1]!}:${more[2]!}}`)
  }
  return rules.join('\n')
}

/** The compiled sheet with its fonts and pictures inside: the preview can load nothing. */
const withFiles = ({ files: all, css, target }: Running): string => {
  if (target === 'flutter') return listedFonts(all)
  const files = new Map(
    all
      .filter((f) => /(^|\/)(fonts|assets)\//.test(f.path))
      .map((f) => [f.path.slice(f.path.lastIndexOf('/') + 1), f]),
  )
  return css.replace(
    /url\("?(?:\.\/|\.\.\/public\/)?(?:fonts|assets)\/([^")]+)"?\)/g,
    (whole: string, name: string) => {
      const file = files.get(name)
      return file ? `url("${dataAddress(file)}")` : whole
    },
  )
}

const inStyle = (css: string): string => css.replace(/<\/(style)/gi, '<\\/$1')

const bridge = `<script>${BRIDGE}</script>`

/** What pages load of a codebase: scripts that define elements, style sheets of partials. */
const THEIRS =
  /<script type="module" src="([^"]+)"><\/script>|<link rel="stylesheet" href="(?!styles\.css"|styles\/)([^"]+)" \/>/g

/** The sign of the site: a frame has no place for it, and the preview may load nothing. */
const SIGN = `<link rel="icon" href="${FAVICON}" />`

/** What pages load of a codebase, as a module that imports it; nothing where they load nothing. */
export const buildElementFiles = ({ files }: Pick<Running, 'files'>): PreviewFile[] => {
  const scripts = new Set(
    files.flatMap(({ content }) =>
      content.kind === 'text'
        ? [...content.text.matchAll(THEIRS)].map(([, script, sheet]) => script ?? sheet!)
        : [],
    ),
  )
  if (scripts.size === 0) return []
  const content = [...scripts].map((src) => `import ${JSON.stringify(`../${src}`)};\n`).join('')
  return [{ path: 'src/main.ts', encoding: 'text', content }]
}

/**
 * A page of the HTML target with everything it shows inside it. `elements`: the bundled definitions of the codebase's
 * elements.
 */
export const buildHtmlPreview = (
  running: Running,
  page: string,
  elements?: Bundle,
): string | undefined => {
  const { files, pages } = running
  const path = pages[page]?.path
  const file = files.find((f) => f.path === path)
  if (file?.content.kind !== 'text') return undefined
  let html = file.content.text.replace(
    '<link rel="stylesheet" href="styles.css" />',
    () => `<style>${inStyle(withFiles(running))}</style>`,
  )
  for (const { path: source, content } of files) {
    if (content.kind !== 'text' || !/^[\w-]+\.js$/.test(source)) continue
    // At the end of the page it finds what `defer` would have waited for.
    const tag = `<script defer src="${source}"></script>`
    if (!html.includes(tag)) continue
    html = html
      .replace(tag, '')
      .replace('</body>', () => `<script>${inScript(content.text)}</script></body>`)
  }
  for (const asset of files.filter((f) => f.path.startsWith('assets/'))) {
    html = html.replaceAll(`src="${asset.path}"`, () => `src="${dataAddress(asset)}"`)
  }
  const defined = elements && 'script' in elements ? elements.script : ''
  html = html
    .replace(SIGN, '')
    .replaceAll(THEIRS, '')
    .replace('</body>', () =>
      defined === '' ? '</body>' : `<script>${inScript(defined)}</script></body>`,
    )
  return html.replace('</body>', () => `${bridge}</body>`)
}

/** Code in which pictures that are served beside it are said in full: the preview can load nothing. */
const withPictures = (code: string, pictures: ReadonlyMap<string, string>): string =>
  pictures.size === 0
    ? code
    : code.replace(/"(assets\/[\w.-]+)"/g, (whole, path: string) => {
        const address = pictures.get(path)
        return address === undefined ? whole : `"${address}"`
      })

/** Code, and the pictures that are part of it; what Flutter projects share is part of what stands in for Flutter. */
const IS_SOURCE = /^(?:src\/(?!fonts\/)|lib\/(?!shared\/)|assets\/)/

/** The sources among some files, as the bundler takes them. */
export const toSources = (files: readonly EmittedFile[]): PreviewFile[] => {
  const pictures = new Map(
    files
      .filter(({ path }) => path.startsWith('public/'))
      .map((file) => [file.path.slice('public/'.length), dataAddress(file)] as const),
  )
  return files
    .filter(({ path }) => IS_SOURCE.test(path))
    .map(({ path, content }) =>
      content.kind === 'text'
        ? { path, encoding: 'text', content: withPictures(content.text, pictures) }
        : { path, encoding: 'base64', content: content.base64 },
    )
}

/** The sources of an app. */
export const buildBundleFiles = ({ files }: Pick<Running, 'files'>): PreviewFile[] =>
  toSources(files)

export const isApp = ({ target }: Pick<Running, 'target'>): boolean => target !== 'html'

/** What must be bundled for a result to run: an app, or what defines the elements of a codebase that pages use. */
export const buildPreviewFiles = (running: Running): readonly PreviewFile[] | undefined => {
  if (running.files.length === 0) return undefined
  const files = isApp(running) ? buildBundleFiles(running) : buildElementFiles(running)
  return files.length > 0 ? files : undefined
}

const escapeText = (text: string): string =>
  text.replace(/&/g, '&amp;').replace(/</g, '&lt;').replace(/>/g, '&gt;')

/** Where apps put themselves. */
const PLACES: Readonly<Record<string, string>> = {
  angular: '<app-root></app-root>',
  flutter: '<div id="app"></div>',
  react: '<div id="root"></div>',
  vue: '<div id="app"></div>',
}

/** The font of the pages: what stands by itself does not inherit it. */
const fontOf = ({ files }: Running): string => {
  const sheet = files.find(({ path }) => /^src\/(index|styles)\.css$/.test(path))?.content
  const name = sheet?.kind === 'text' ? /^ {2}(--font-[\w-]+):/m.exec(sheet.text)?.[1] : undefined
  return name === undefined ? 'sans-serif' : `var(${name})`
}

type AppPage = {
  /** The address it begins at. */
  readonly route?: string
  /** Around it, in px. */
  readonly room?: number
  /** Put in at the end. */
  readonly end?: string
}

/** A bundled app in a page that loads nothing; the runtimes it finds there must have run before. */
export const buildAppPage = (
  running: Running,
  bundle: Bundle,
  { route = '/', room = 0, end = '' }: AppPage,
): string => {
  if ('errors' in bundle) {
    const list = bundle.errors.map((e) => `<li>${escapeText(e)}</li>`).join('')
    return `<!doctype html><title>Preview</title><body><p>The code does not build:</p><ul>${list}</ul>${end}</body>`
  }
  const body = room > 0 ? ` style="padding:${room}px;font-family:${fontOf(running)}"` : ''
  return (
    `<!doctype html><html lang="en"><head><meta charset="utf-8"><title>Preview</title>` +
    `<style>${inStyle(withFiles(running))}</style></head><body${body}>` +
    `${PLACES[running.target] ?? ''}` +
    `<script>location.hash=${inScript(JSON.stringify(`#${route}`))}</script>` +
    `<script>${inScript(bundle.script)}</script>${end}</body></html>`
  )
}

/** A bundled app at the route of one screen, joined to the desk. */
export const buildAppPreview = (running: Running, bundle: Bundle, page: string): string =>
  buildAppPage(running, bundle, { route: running.pages[page]?.route ?? '/', end: bridge })
