import type { UiPage } from '../../ui/nodes.js'
import { buildAssetFiles } from '../shared/asset-files.js'
import { buildMarkup, type Dialect } from '../shared/build-markup.js'
import { concat, hardline } from '../shared/document.js'
import { buildFontFiles, fontRules } from '../shared/font-files.js'
import { fontReadme } from '../shared/font-readme.js'
import { jsonFile, textFile, type EmittedFile } from '../shared/emitted-file.js'
import { text, type MarkupElement, type MarkupNode } from '../shared/markup.js'
import { toKebab, UniqueNames } from '../../text/names.js'
import { printDocument } from '../shared/print-document.js'
import { dependencies } from '../shared/versions.js'
import { createTailwind } from '../styling/tailwind/index.js'
import type { Target } from '../target.js'
import { cleanControls } from './escape.js'
import { printHtml } from './print-html.js'

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

const buildPage = (page: UiPage, body: MarkupElement): MarkupElement =>
  element(
    'html',
    [['lang', 'en']],
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
            [{ kind: 'text', text: cleanControls(page.name).trim() || 'Untitled' }],
          ),
          element('link', [
            ['rel', 'stylesheet'],
            ['href', 'styles.css'],
          ]),
        ],
      ),
      element('body', [], [body]),
    ],
  )

const README = `# Pages

Open \`index.html\` in a browser; nothing has to be built first.

To change styles, edit \`src/styles.css\` or the classes in the pages, then:

\`\`\`sh
npm install
npm run build
\`\`\`
`

/** Pages with utility classes; the compiled style sheet is part of the delivery. */
export const html: Target = {
  id: 'html',
  label: 'HTML',
  emit(project, { marks }) {
    const assets = buildAssetFiles(project.assets, 'assets')
    const names = new UniqueNames('-', ['index'])
    const paths = new Map(
      project.pages.map((page, i) => [
        page.key,
        i === 0 ? 'index.html' : `${names.take(toKebab(page.name, 'page'))}.html`,
      ]),
    )
    const dialect: Dialect = {
      classAttribute: 'class',
      labelFor: 'for',
      startsWith: (value) => text('value', value),
      startsOn: text('checked', ''),
      menuTarget: 'popovertarget',
      link: (link) => ({
        tag: 'a',
        attributes: [
          text(
            'href',
            link.kind === 'nowhere' ? '#' : link.kind === 'page' ? paths.get(link.page)! : link.url,
          ),
        ],
      }),
      source: (asset) => text('src', `assets/${assets.get(asset)!.file}`),
    }
    const fonts = buildFontFiles(project.fonts, 'fonts')
    // The compiled sheet lies beside the pages; addresses in the source are written for it.
    const styling = createTailwind(project, {
      fonts: fontRules(fonts, 'fonts'),
      address: (asset) => `assets/${assets.get(asset)!.file}`,
    })
    const pages = project.pages.map((page): EmittedFile => {
      const body = buildMarkup(page.root, { dialect, styling, marks })
      const document = concat([
        '<!doctype html>',
        hardline,
        printHtml(buildPage(page, body)),
        hardline,
      ])
      const printed = printDocument(document, PRINT_WIDTH)
      return textFile(paths.get(page.key)!, printed.text, printed.spans)
    })
    const source = styling.stylesheet()
    return {
      files: [
        ...pages,
        textFile('src/styles.css', source),
        ...[...assets.values()].map((a) => a.emitted),
        ...fonts.map((f) => f.emitted),
        jsonFile('package.json', {
          name: toKebab(project.name, 'pages'),
          private: true,
          scripts: { build: 'tailwindcss -i src/styles.css -o styles.css --minify' },
          devDependencies: dependencies(['@tailwindcss/cli', 'prettier', 'tailwindcss']),
        }),
        jsonFile('.prettierrc', { printWidth: PRINT_WIDTH }),
        textFile('.prettierignore', 'node_modules\nassets\nfonts\nstyles.css\n'),
        textFile('README.md', README + fontReadme(project)),
      ],
      styles: { source, classes: [...styling.classes], compiledPath: 'styles.css' },
      pages: Object.fromEntries(
        project.pages.flatMap(({ key, artboards }) => {
          const path = paths.get(key)!
          return artboards.map((artboard) => [artboard, { path, route: path }])
        }),
      ),
    }
  },
}
