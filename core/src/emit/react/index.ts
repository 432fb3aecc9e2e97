import type { UiProject } from '../../ui/index.js'
import type { UiBox, UiNode, UiPage } from '../../ui/nodes.js'
import { buildAssetFiles } from '../shared/asset-files.js'
import { buildMarkup, CURRENT_PAGE, type Dialect } from '../shared/build-markup.js'
import { concat, hardline, indent, join } from '../shared/document.js'
import { buildFontFiles, fontRules } from '../shared/font-files.js'
import { findIcons } from '../shared/icons.js'
import { jsonFile, textFile, type EmittedFile } from '../shared/emitted-file.js'
import { code, text, type MarkupElement } from '../shared/markup.js'
import { toKebab, toPascal, UniqueNames } from '../../text/names.js'
import { titleOf } from '../shared/page-title.js'
import { printDocument } from '../shared/print-document.js'
import { dependencies } from '../shared/versions.js'
import { createTailwind } from '../styling/tailwind/index.js'
import type { Target } from '../target.js'
import { buildIconFile } from './icon-file.js'
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

/** What parts are called that several screens have in common. */
const PART_NAMES: Readonly<Record<NonNullable<UiBox['shared']>, string>> = {
  banner: 'SiteHeader',
  navigation: 'SiteNavigation',
  contentinfo: 'SiteFooter',
}

/** The parts that several pages have in common, each once. */
const findParts = (pages: readonly UiPage[]): readonly UiBox[] => {
  const parts = new Map<string, UiBox>()
  const look = (node: UiNode): void => {
    if (node.type === 'box' && node.shared && !parts.has(node.shared)) parts.set(node.shared, node)
    if ('children' in node) node.children.forEach(look)
  }
  for (const page of pages) look(page.root)
  return [...parts.values()]
}

/** The screen with its title and what it is about: React puts both into the head of the page. */
const withHead = (
  body: MarkupElement,
  { name, description }: UiPage,
  { pages, name: project }: UiProject,
): MarkupElement => {
  const common = { kind: 'element', content: 'text' } as const
  const title: MarkupElement = {
    ...common,
    tag: 'title',
    attributes: [],
    children: [{ kind: 'text', text: titleOf(name, pages.length, project) }],
  }
  const about: MarkupElement[] =
    description === undefined
      ? []
      : [
          {
            ...common,
            tag: 'meta',
            attributes: [text('name', 'description'), text('content', description)],
            children: [],
          },
        ]
  // What holds text, as a lone text layer does, has no place for them.
  return body.content === 'blocks'
    ? { ...body, children: [title, ...about, ...body.children] }
    : body
}

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
    const icons = findIcons(project)
    const assets = buildAssetFiles(
      project.assets.filter(({ id }) => !icons.has(id)),
      'src/assets',
    )
    const variables = new UniqueNames('', RESERVED)
    const variableOf = new Map(
      [...assets].map(([id, { file }]) => [id, variables.take(toCamel(file))]),
    )
    const components = new UniqueNames('', Object.values(PART_NAMES))
    const routes = new UniqueNames('-', [''])
    const screens = project.pages.map((page, i) => ({
      page,
      component: components.take(toPascal(page.name, 'Screen')),
      route: i === 0 ? '/' : `/${routes.take(toKebab(page.name, 'screen'))}`,
    }))
    const { notFound } = project
    const all = notFound
      ? [...screens, { page: notFound, component: components.take('NotFound'), route: '*' }]
      : screens
    const routeOf = new Map(screens.map((s) => [s.page.key, s.route]))
    const fonts = buildFontFiles(project.fonts, 'src/fonts')
    const styling = createTailwind(project, {
      fonts: fontRules(fonts, './fonts'),
      address: (asset) => `./assets/${assets.get(asset)!.file}`,
      isIcon: (asset) => icons.has(asset),
    })

    const parts = findParts(project.pages)
    const emitComponent = (
      root: UiNode,
      component: string,
      folder: 'screens' | 'components',
      page?: UiPage,
    ): EmittedFile => {
      const used = { assets: new Set<string>(), icons: new Set<string>(), parts: new Set<string>() }
      const router = new Set<'Link' | 'NavLink'>()
      const linkToPage = (target: string): ReturnType<Dialect['link']> => {
        const to = routeOf.get(target)!
        // A project of one screen has no router: a link to that screen is a plain one.
        if (screens.length === 1) return { tag: 'a', attributes: [text('href', '/'), CURRENT_PAGE] }
        // Which page is shown, only what stands on one page knows.
        const tag = folder === 'components' ? 'NavLink' : 'Link'
        router.add(tag)
        if (tag === 'NavLink') {
          const attributes = [text('to', to), ...(to === '/' ? [code('end', 'true')] : [])]
          return { tag, attributes }
        }
        return {
          tag,
          attributes: [text('to', to), ...(target === page?.key ? [CURRENT_PAGE] : [])],
        }
      }
      const dialect: Dialect = {
        classAttribute: 'className',
        labelFor: 'htmlFor',
        startsWith: (value) => text('defaultValue', value),
        startsOn: code('defaultChecked', 'true'),
        disabled: code('disabled', 'true'),
        menuTarget: 'popoverTarget',
        link(link) {
          if (link.kind === 'nowhere') return { tag: 'a', attributes: [text('href', '#')] }
          if (link.kind === 'address') return { tag: 'a', attributes: [text('href', link.url)] }
          return linkToPage(link.page)
        },
        source(asset) {
          used.assets.add(asset)
          return code('src', variableOf.get(asset)!)
        },
        icon(asset, attributes) {
          const icon = icons.get(asset)
          if (!icon) return undefined
          used.icons.add(icon.name)
          return { kind: 'element', tag: icon.name, content: 'blocks', attributes, children: [] }
        },
      }
      const shared = ({ shared: part, layer }: UiBox): MarkupElement | undefined => {
        if (part === undefined || folder === 'components') return undefined
        const tag = PART_NAMES[part]
        used.parts.add(tag)
        return { kind: 'element', tag, layer, content: 'blocks', attributes: [], children: [] }
      }
      const body = buildMarkup(root, { dialect, styling, marks, shared })
      const markup = page ? withHead(body, page, project) : body
      const imports: Import[] = [
        ...(router.size > 0
          ? [{ names: `{ ${[...router].sort().join(', ')} }`, from: 'react-router' }]
          : []),
        ...[...used.assets].map((id) => ({
          names: variableOf.get(id)!,
          from: `../assets/${assets.get(id)!.file}`,
        })),
        ...[...used.parts].map((name) => ({ names: `{ ${name} }`, from: `../components/${name}` })),
        ...[...used.icons].map((name) => ({ names: `{ ${name} }`, from: `../icons/${name}` })),
      ]
      const printed = printScreen(component, markup, imports)
      return textFile(`src/${folder}/${component}.tsx`, printed.text, printed.spans)
    }

    const files = [
      ...all.map(({ page, component }) => emitComponent(page.root, component, 'screens', page)),
      ...parts.map((part) => emitComponent(part, PART_NAMES[part.shared!], 'components')),
    ]
    const source = styling.stylesheet()
    const needsRouter = screens.length > 1
    return {
      files: [
        ...files,
        ...buildProjectFiles(
          project,
          all.map(({ component, route }) => ({ component, route })),
        ),
        ...[...icons.values()].map(buildIconFile),
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
