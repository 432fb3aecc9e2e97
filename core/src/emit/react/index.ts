import type { UiPage } from '../../ui/nodes.js'
import { buildAssetFiles } from '../shared/asset-files.js'
import { buildMarkup, type Dialect } from '../shared/build-markup.js'
import { concat, hardline, indent, join } from '../shared/document.js'
import { buildFontFiles, fontRules } from '../shared/font-files.js'
import { jsonFile, textFile, type EmittedFile } from '../shared/emitted-file.js'
import { code, text, type MarkupElement } from '../shared/markup.js'
import { toKebab, toPascal, UniqueNames } from '../../text/names.js'
import { printDocument } from '../shared/print-document.js'
import { dependencies } from '../shared/versions.js'
import { createTailwind } from '../styling/tailwind/index.js'
import type { Target } from '../target.js'
import { printReturnedJsx } from './print-jsx.js'
import { buildProjectFiles } from './project-files.js'

const PRINT_WIDTH = 80

/** `sea-glass.svg` → `seaGlass`, a name for the import of a picture. */
const toCamel = (file: string): string => {
  const pascal = toPascal(file.replace(/\.[^.]+$/, ''), 'Picture')
  return pascal.charAt(0).toLowerCase() + pascal.slice(1)
}

// Words that may not name a variable in a module.
const RESERVED = [
  'arguments',
  'await',
  'break',
  'case',
  'catch',
  'class',
  'const',
  'continue',
  'debugger',
  'default',
  'delete',
  'do',
  'else',
  'enum',
  'eval',
  'export',
  'extends',
  'false',
  'finally',
  'for',
  'function',
  'if',
  'implements',
  'import',
  'in',
  'instanceof',
  'interface',
  'let',
  'new',
  'null',
  'package',
  'private',
  'protected',
  'public',
  'return',
  'static',
  'super',
  'switch',
  'this',
  'throw',
  'true',
  'try',
  'typeof',
  'undefined',
  'var',
  'void',
  'while',
  'with',
  'yield',
  'link',
]

type Import = { readonly names: string; readonly from: string }

const printScreen = (component: string, root: MarkupElement, imports: readonly Import[]) => {
  const lines = imports.map(({ names, from }) => `import ${names} from "${from}";`)
  const head = lines.length > 0 ? [join(hardline, lines), hardline, hardline] : []
  return printDocument(
    concat([
      ...head,
      `export function ${component}() {`,
      indent(concat([hardline, 'return ', printReturnedJsx(root), ';'])),
      hardline,
      '}',
      hardline,
    ]),
    PRINT_WIDTH,
  )
}

/** Function components in TypeScript, one file a screen; a router when there are several. */
export const react: Target = {
  id: 'react',
  label: 'React',
  emit(project, { marks }) {
    const assets = buildAssetFiles(project.assets, 'src/assets')
    const variables = new UniqueNames('', RESERVED)
    const variableOf = new Map(
      [...assets].map(([id, { file }]) => [id, variables.take(toCamel(file))]),
    )
    const components = new UniqueNames('')
    const routes = new UniqueNames('-', [''])
    const screens = project.pages.map((page, i) => ({
      page,
      component: components.take(toPascal(page.name, 'Screen')),
      route: i === 0 ? '/' : `/${routes.take(toKebab(page.name, 'screen'))}`,
    }))
    const routeOf = new Map(screens.map((s) => [s.page.key, s.route]))
    const fonts = buildFontFiles(project.fonts, 'src/fonts')
    const styling = createTailwind(project, {
      fonts: fontRules(fonts, './fonts'),
      address: (asset) => `./assets/${assets.get(asset)!.file}`,
    })

    const emitScreen = (page: UiPage, component: string): EmittedFile => {
      const usedAssets = new Set<string>()
      let usesLink = false
      const dialect: Dialect = {
        classAttribute: 'className',
        labelFor: 'htmlFor',
        startsWith: (value) => text('defaultValue', value),
        startsOn: code('defaultChecked', 'true'),
        menuTarget: 'popoverTarget',
        link(link) {
          if (link.kind === 'nowhere') return { tag: 'a', attributes: [text('href', '#')] }
          if (link.kind === 'address') return { tag: 'a', attributes: [text('href', link.url)] }
          // A project of one screen has no router: a link to that screen is a plain one.
          if (screens.length === 1) return { tag: 'a', attributes: [text('href', '/')] }
          usesLink = true
          return { tag: 'Link', attributes: [text('to', routeOf.get(link.page)!)] }
        },
        source(asset) {
          usedAssets.add(asset)
          return code('src', variableOf.get(asset)!)
        },
      }
      const root = buildMarkup(page.root, { dialect, styling, marks })
      const imports: Import[] = [
        ...(usesLink ? [{ names: '{ Link }', from: 'react-router' }] : []),
        ...[...usedAssets].map((id) => ({
          names: variableOf.get(id)!,
          from: `../assets/${assets.get(id)!.file}`,
        })),
      ]
      const printed = printScreen(component, root, imports)
      return textFile(`src/screens/${component}.tsx`, printed.text, printed.spans)
    }

    const files = screens.map(({ page, component }) => emitScreen(page, component))
    const source = styling.stylesheet()
    const needsRouter = screens.length > 1
    return {
      files: [
        ...files,
        ...buildProjectFiles(
          project,
          screens.map(({ component, route }) => ({ component, route })),
        ),
        textFile('src/index.css', source),
        ...[...assets.values()].map((a) => a.emitted),
        ...fonts.map((f) => f.emitted),
        jsonFile('package.json', {
          name: toKebab(project.name, 'screens'),
          private: true,
          type: 'module',
          scripts: { dev: 'vite', build: 'tsc --noEmit && vite build', preview: 'vite preview' },
          dependencies: dependencies([
            'react',
            'react-dom',
            ...(needsRouter ? ['react-router' as const] : []),
          ]),
          devDependencies: dependencies([
            '@tailwindcss/vite',
            '@types/react',
            '@types/react-dom',
            '@vitejs/plugin-react',
            'prettier',
            'tailwindcss',
            'typescript',
            'vite',
          ]),
        }),
        jsonFile('.prettierrc', { printWidth: PRINT_WIDTH }),
        textFile('.prettierignore', 'node_modules\ndist\nsrc/assets\n'),
      ],
      styles: { source, classes: [...styling.classes] },
      pages: Object.fromEntries(
        screens.flatMap(({ page, component, route }) =>
          page.artboards.map((key) => [key, { path: `src/screens/${component}.tsx`, route }]),
        ),
      ),
    }
  },
}
