import type { UiProject } from '../../ui/index.js'
import { screensOf, type UiForm } from '../../ui/nodes.js'
import { toKebab } from '../../text/names.js'
import { buildFormFile } from '../script/form-file.js'
import { createTailwind } from '../styling/tailwind/index.js'
import type { Target } from '../target.js'
import type { Helper } from './component-code.js'
import { planComponents } from './component-plan.js'
import { jsonFile, textFile, type EmittedFile } from './emitted-file.js'
import { buildFontFiles, fontRules } from './font-files.js'
import type { Icon } from './icons.js'
import type { PartComponent } from './prop.js'
import { buildUnits, type BuiltUnit, type UnitOptions, type UnitSpelling } from './units.js'
import { dependencies, type Dependency } from './versions.js'

const PRINT_WIDTH = 80

export type ComponentOptions = UnitOptions & {
  /** Hears of the helpers that files are needed for. */
  readonly helpers: Set<Helper>
}

export type ScreenFile = { readonly component: string; readonly route: string }

/** What a target with components writes in its own way. */
export type ComponentTarget = {
  readonly id: string
  readonly label: string
  /** Of the files of components: `tsx`. */
  readonly extension: string
  readonly spelling: UnitSpelling
  writeUnit(unit: BuiltUnit, options: ComponentOptions): EmittedFile
  writePart(part: PartComponent, options: ComponentOptions): EmittedFile
  writeIcon(icon: Icon): EmittedFile
  /** The small functions that components share. */
  writeHelpers(
    used: ReadonlySet<Helper>,
    classes: (kind: 'problems' | 'status') => string,
  ): readonly EmittedFile[]
  /** The files around the screens: entry, routes and configuration. */
  writeProject(project: UiProject, screens: readonly ScreenFile[]): readonly EmittedFile[]
  /** What the project runs with and is built with. */
  readonly packages: {
    readonly router: Dependency
    readonly runtime: readonly Dependency[]
    readonly tools: readonly Dependency[]
  }
  /** The command that checks the types. */
  readonly check: string
}

/** A target that writes one component a file, with what repeats written once, from how it spells things. */
export const componentTarget = (kind: ComponentTarget): Target => ({
  id: kind.id,
  label: kind.label,
  emit(project, { marks }) {
    const plan = planComponents(project)
    const { assets, icons, isRouted, screens } = plan
    const fonts = buildFontFiles(project.fonts, 'src/fonts')
    const styling = createTailwind(project, {
      fonts: fontRules(fonts, './fonts'),
      address: (asset) => `./assets/${assets.get(asset)!.file}`,
      isIcon: (asset) => icons.has(asset),
    })
    const helpers = new Set<Helper>()
    const forms = new Map<string, UiForm>()
    const { spelling } = kind
    const options: ComponentOptions = { project, plan, styling, marks, helpers, forms, spelling }
    const { units, parts } = buildUnits(options)
    const components = [
      ...units.map((unit) => kind.writeUnit(unit, options)),
      ...parts.map((part) => kind.writePart(part, options)),
    ]
    if ([...forms.values()].some(({ to }) => to.kind === 'endpoint')) helpers.add('postAnswers')
    const behaviour = [
      ...kind.writeHelpers(helpers, (what) => styling.message(what).join(' ')),
      ...[...forms].map(([name, form]) => buildFormFile(form, name, project.phrases)),
    ]
    const source = styling.stylesheet()
    const { runtime, router, tools } = kind.packages
    return {
      files: [
        ...components,
        ...behaviour,
        ...kind.writeProject(
          project,
          screens.map(({ name, route }) => ({ component: name, route })),
        ),
        ...[...icons.values()].map((icon) => kind.writeIcon(icon)),
        textFile('src/index.css', source),
        ...[...assets.values()].map((a) => a.emitted),
        ...fonts.map((f) => f.emitted),
        jsonFile('package.json', {
          name: toKebab(project.name, 'screens'),
          private: true,
          type: 'module',
          scripts: { dev: 'vite', build: `${kind.check} && vite build`, preview: 'vite preview' },
          dependencies: dependencies([...runtime, ...(isRouted ? [router] : [])]),
          devDependencies: dependencies([
            '@tailwindcss/vite',
            'prettier',
            'tailwindcss',
            'typescript',
            'vite',
            ...tools,
          ]),
        }),
        jsonFile('.prettierrc', { printWidth: PRINT_WIDTH }),
        textFile('.prettierignore', 'node_modules\ndist\nsrc/assets\n'),
      ],
      styles: { source, classes: [...styling.classes] },
      components: parts.map(({ id, tag, props, uses }) => ({
        part: id,
        tag,
        path: `src/components/${tag}.${kind.extension}`,
        props,
        uses,
      })),
      pages: Object.fromEntries(
        screens.flatMap(({ page, name, route }) =>
          screensOf(page).map((key) => [
            key,
            { path: `src/screens/${name}.${kind.extension}`, route },
          ]),
        ),
      ),
    }
  },
})
