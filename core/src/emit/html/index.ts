import type { UiProject } from '../../ui/index.js'
import { rootsOf, screensOf, type UiForm, type UiLink, type UiPage } from '../../ui/nodes.js'
import { buildAssetFiles } from '../shared/asset-files.js'
import { buildMarkup, CURRENT_PAGE, findTabPanels, type Dialect } from '../project/build-markup.js'
import { concat, hardline } from '../shared/document.js'
import { applyRules } from '../rules/apply-rules.js'
import { FAVICON } from '../shared/entry-page.js'
import { favicon } from '../tooling/favicon.js'
import { NODE_ENGINES } from '../tooling/node-version.js'
import { projectTools } from '../tooling/project-tools.js'
import { linting } from './linting.js'
import { namesValues } from '../rules/house-rules.js'
import { buildFontFiles, fontRules } from '../shared/font-files.js'
import { fontReadme } from '../shared/font-readme.js'
import { findIcons, iconAttributes } from '../shared/icons.js'
import { jsonFile, scaffold, textFile, type EmittedFile } from '../shared/emitted-file.js'
import { text, type Attribute, type MarkupElement, type MarkupNode } from '../shared/markup.js'
import { listPictureFacts, withoutUnusedSizes, withPictureFacts } from '../shared/picture-facts.js'
import { planPictureSizes } from '../shared/picture-sizes.js'
import { toKebab, UniqueNames } from '../../text/names.js'
import { endOfMain } from '../shared/in-main.js'
import { titleOf } from '../shared/page-title.js'
import { printDocument } from '../shared/print-document.js'
import { dependencies, type Dependency } from '../shared/versions.js'
import { createStyling } from '../styling/index.js'
import { stylingIn, type Finished, type StylingId } from '../styling/styling.js'
import { layerNames } from '../shared/layer-names.js'
import type { Target } from '../target.js'
import { elementSpelling, neededBy, withKeptClasses } from './elements.js'
import { behaviourDialect, buildPanel } from './behaviour/dialect.js'
import { buildBehaviour, buildHandlers, type BehaviourPart } from './behaviour/index.js'
import { cleanControls } from '../shared/html-escape.js'
import { printTags } from '../shared/print-tags.js'

const PRINT_WIDTH = 80

const element = (
  tag: string,
  attributes: readonly [string, string][],
  children: readonly MarkupNode[] = [],
): MarkupElement => ({
  kind: 'element',
  tag,
  content: 'blocks',
  attributes: attributes.map(([name, value]) => text(name, value)),
  children,
})

const buildPage = (
  { name, description }: UiPage,
  { language, pages, name: project }: UiProject,
  {
    body,
    sheets,
    scripts,
    modules,
  }: {
    readonly body: readonly MarkupElement[]
    readonly sheets: readonly string[]
    readonly scripts: readonly string[]
    /** What defines the elements of the codebase. */
    readonly modules: readonly string[]
  },
): MarkupElement =>
  element(
    'html',
    [['lang', language]],
    [
      element(
        'head',
        [],
        [
          element('meta', [['charset', 'utf-8']]),
          element('meta', [
            ['name', 'viewport'],
            ['content', 'width=device-width, initial-scale=1'],
          ]),
          element(
            'title',
            [],
            [{ kind: 'text', text: cleanControls(titleOf(name, pages.length, project)) }],
          ),
          ...(description === undefined
            ? []
            : [
                element('meta', [
                  ['name', 'description'],
                  ['content', description],
                ]),
              ]),
          element('link', [
            ['rel', 'icon'],
            ['href', FAVICON],
          ]),
          ...sheets.map((href) =>
            element('link', [
              ['rel', 'stylesheet'],
              ['href', href],
            ]),
          ),
          ...modules.map((src) =>
            element('script', [
              ['type', 'module'],
              ['src', src],
            ]),
          ),
          ...scripts.map((src) =>
            element('script', [
              ['defer', ''],
              ['src', src],
            ]),
          ),
        ],
      ),
      element('body', [], body),
    ],
  )

const PLAIN_README = `# Pages

Open \`index.html\` in a browser; nothing has to be built. Styles are in \`styles.css\`.
`

const SCSS_README = `# Pages

Open \`index.html\` in a browser; nothing has to be built first.

To change styles, edit the files in \`src/styles\`, then:

\`\`\`sh
npm install
npm run build
\`\`\`
`

const README = `# Pages

Open \`index.html\` in a browser; nothing has to be built first.

To change styles, edit \`src/styles.css\` or the classes in the pages, then:

\`\`\`sh
npm install
npm run build
\`\`\`
`

/** The folder of sheets that pages have of their own. */
const SHEETS = 'styles'

/** The compiled style sheet beside the pages. */
const COMPILED = 'styles.css'

/** What the style sheet is made of, and by what; where nothing has to be made, it is delivered as it is. */
const SOURCES: Partial<
  Record<
    StylingId,
    {
      readonly path: string
      readonly build: string
      readonly tools: readonly Dependency[]
      readonly readme: string
    }
  >
> = {
  tailwind: {
    path: 'src/styles.css',
    build: `tailwindcss -i src/styles.css -o ${COMPILED} --minify`,
    tools: ['@tailwindcss/cli', 'tailwindcss'],
    readme: README,
  },
  scss: {
    path: 'src/styles/index.scss',
    build: `sass --no-source-map src/styles/index.scss ${COMPILED}`,
    tools: ['sass'],
    readme: SCSS_README,
  },
}

/** Pages of native elements; the style sheet they need is part of the delivery. */
export const html: Target = {
  id: 'html',
  label: 'HTML',
  stylings: ['tailwind', 'css', 'scss', 'css-modules'],
  emit(given, { marks, styling: wanted = 'tailwind', units, rules = [], extras = [] }) {
    const pictureSizes = extras.includes('sizes') ? planPictureSizes(given) : undefined
    const project = pictureSizes?.project ?? given
    const stylingId = stylingIn(html.stylings, wanted)
    // A page has a sheet of its own, in a folder, where components have theirs.
    const up = stylingId === 'css-modules' ? '../' : ''
    const icons = findIcons(project)
    const assets = buildAssetFiles(
      project.assets.filter(({ id }) => !icons.has(id)),
      'assets',
    )
    const names = new UniqueNames('-', ['index', '404'])
    const paths = new Map(
      project.pages.map((page, i) => [
        page.key,
        i === 0 ? 'index.html' : `${names.take(toKebab(page.name, 'page'))}.html`,
      ]),
    )
    // The name that servers of files look for.
    if (project.notFound) paths.set(project.notFound.key, '404.html')
    const hrefOf = (link: UiLink): string => {
      switch (link.kind) {
        case 'page':
          return paths.get(link.page)!
        case 'address':
          return link.url
        case 'nowhere':
        case 'section':
          return `#${link.id}`
      }
    }
    const handled = new Map<string, UiForm>()
    const dialectOf = (current: UiPage, used: Set<BehaviourPart>): Dialect => ({
      ...behaviourDialect(project.phrases, used, hrefOf, (form) => handled.set(form.id, form)),
      classAttribute: 'class',
      labelFor: 'for',
      startsWith: (value) => text('value', value),
      startsOn: text('checked', ''),
      disabled: text('disabled', ''),
      required: text('required', ''),
      open: text('open', ''),
      menuTarget: 'popovertarget',
      autocomplete: 'autocomplete',
      use: { ...elementSpelling, address: hrefOf },
      link: (link) => ({
        tag: 'a',
        attributes: [
          text('href', hrefOf(link)),
          ...(link.kind === 'page' && link.page === current.key ? [CURRENT_PAGE] : []),
        ],
      }),
      source: sourceOf,
      icon(asset, attributes) {
        const icon = icons.get(asset)
        return (
          icon && {
            kind: 'element',
            tag: 'svg',
            content: 'blocks',
            attributes: [...iconAttributes(icon), ...attributes],
            children: icon.shapes,
          }
        )
      },
    })
    const fonts = buildFontFiles(project.fonts, 'fonts')
    // The compiled sheet lies beside the pages; addresses in the source are written for it.
    const styling = createStyling(stylingId, project, {
      fonts: fontRules(fonts, 'fonts'),
      address: (asset) => `${up}assets/${assets.get(asset)!.file}`,
      isIcon: (asset) => icons.has(asset),
      units,
      namesValues: namesValues(rules),
    })
    const sourceOf = (asset: string): Attribute => text('src', `assets/${assets.get(asset)!.file}`)
    const facts = listPictureFacts(
      project.assets,
      (id) => (assets.has(id) ? sourceOf(id) : undefined),
      pictureSizes?.scaled,
    )
    const all = project.notFound ? [...project.pages, project.notFound] : project.pages
    const parts = new Set<BehaviourPart>()
    const pages = all.flatMap((page): EmittedFile[] => {
      const used = new Set<BehaviourPart>()
      const dialect = dialectOf(page, used)
      const tabs = findTabPanels(rootsOf(page))
      const options = { dialect, styling, marks, tabs }
      const panels = (page.panels ?? []).map((panel) => buildPanel(panel, options))
      const names = layerNames(rootsOf(page))
      const whole = endOfMain(buildMarkup(page.root, options), panels)
      const built = applyRules(
        withPictureFacts(whole, facts, pictureSizes?.sizes),
        rules,
        (name) => name,
      )
      const dressed: Finished = { name: page.name, markup: built, nameOf: (l) => names.get(l) }
      const { markup: named, sheet } = styling.finish?.(dressed) ?? dressed
      const root = withKeptClasses(named)
      const needed = neededBy(root)
      const path = paths.get(page.key)!
      const own = `${SHEETS}/${path.replace(/\.html$/, '')}.css`
      const sheets = [...needed.sheets, COMPILED, ...(sheet === undefined ? [] : [own])]
      for (const part of used) parts.add(part)
      const scripts = [
        ...(used.has('forms') ? ['handlers.js'] : []),
        ...(used.size > 0 ? ['behaviour.js'] : []),
      ]
      const document = concat([
        '<!doctype html>',
        hardline,
        printTags(
          buildPage(page, project, { body: [root], sheets, scripts, modules: needed.scripts }),
        ),
        hardline,
      ])
      const printed = printDocument(document, PRINT_WIDTH)
      const file = textFile(path, printed.text, printed.spans)
      return sheet === undefined ? [file] : [file, textFile(own, sheet)]
    })
    const source = styling.stylesheet()
    const made = SOURCES[stylingId]
    const behaviour = buildBehaviour(parts)
    return {
      files: withoutUnusedSizes([
        ...pages,
        ...(behaviour ? [behaviour] : []),
        ...(parts.has('forms') ? [buildHandlers([...handled.values()])] : []),
        ...styling.files(made?.path ?? COMPILED),
        ...(stylingId === 'scss' ? [textFile(COMPILED, source)] : []),
        ...[...assets.values()].map((a) => a.emitted),
        ...fonts.map((f) => f.emitted),
        ...scaffold(
          jsonFile('package.json', {
            name: toKebab(project.name, 'pages'),
            private: true,
            scripts: {
              ...(made ? { build: made.build } : {}),
              lint: linting.command,
              format: 'prettier --write .',
            },
            engines: NODE_ENGINES,
            devDependencies: dependencies(['prettier', ...linting.tools, ...(made?.tools ?? [])]),
          }),
          ...linting.files({ isPlain: true, pressed: [] }),
          ...projectTools([]),
          favicon(project),
          jsonFile('.prettierrc', { printWidth: PRINT_WIDTH }),
          textFile(
            '.prettierignore',
            `node_modules\nassets\nfonts\n${made ? `${COMPILED}\n` : ''}`,
          ),
          textFile('README.md', (made?.readme ?? PLAIN_README) + fontReadme(project)),
        ),
      ]),
      components: [],
      styles: {
        source,
        classes: [...styling.classes],
        ...(stylingId === 'tailwind' ? { compiledPath: COMPILED } : {}),
      },
      pages: Object.fromEntries(
        project.pages.flatMap((page) => {
          const path = paths.get(page.key)!
          return screensOf(page).map((screen) => [screen, { path, route: path }])
        }),
      ),
    }
  },
}
