import type { UiProject } from '../../ui/index.js'
import { rootsOf, screensOf, type UiForm } from '../../ui/nodes.js'
import { buildFontFiles, fontRules } from '../shared/font-files.js'
import { jsonFile, textFile } from '../shared/emitted-file.js'
import { toKebab } from '../../text/names.js'
import { dependencies } from '../shared/versions.js'
import type { Styling } from '../styling/styling.js'
import { createTailwind } from '../styling/tailwind/index.js'
import type { Target } from '../target.js'
import type { Helper } from '../shared/component-code.js'
import { buildHelpers } from './behaviour/files.js'
import { buildFormFile } from './behaviour/form-file.js'
import { layerNames } from '../shared/layer-names.js'
import type { PartOptions } from '../shared/part-options.js'
import { extractParts } from '../shared/parts.js'
import { buildUnit, writeUnit, type Unit } from './emit-component.js'
import { emitPart, partPath } from './print-part.js'
import { buildIconFile } from './icon-file.js'
import { planComponents, type ComponentPlan } from '../shared/component-plan.js'
import { buildProjectFiles } from './project-files.js'

const PRINT_WIDTH = 80

/** Everything that becomes a component of its own: screens, what they have in common, what is shown over them. */
const listUnits = ({ screens, parts, sections, panels }: ComponentPlan): readonly Unit[] => [
  ...screens.map(({ name, page }): Unit => ({ kind: 'screen', name, root: page.root, page })),
  ...[...parts.values()].map(({ name, node }): Unit => ({ kind: 'part', name, root: node })),
  ...[...sections.values()].map(({ name, node, page }): Unit => ({
    kind: 'section',
    name,
    root: node,
    page,
  })),
  ...[...panels.values()].map(({ name, panel }): Unit => ({
    kind: 'panel',
    name,
    root: panel.root,
    panel,
  })),
]

/** What parts are made of: names of layers and properties, and which classes say where things stand. */
const partOptions = (
  project: UiProject,
  { nameComponent }: ComponentPlan,
  styling: Styling,
): PartOptions => {
  const names = layerNames(project.pages.flatMap(rootsOf))
  return {
    propertyOf: (layer) => project.properties.get(layer),
    switchOf: (layer) => project.switches.get(layer),
    nameOf: (layer) => names.get(layer),
    variantOf: (layer) => project.variants.get(layer) ?? {},
    isPlacing: (name) => styling.isPlacing(name),
    likenessOf: (classes) => styling.likenessOf(classes),
    tagOf: nameComponent,
    classAttribute: 'className',
  }
}

/** Function components in TypeScript, one file a screen; a router when there are several. */
export const react: Target = {
  id: 'react',
  label: 'React',
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
    const options = { project, plan, styling, marks, helpers, forms }
    const units = listUnits(plan).map((unit) => buildUnit(unit, options))
    // With marks every element must be found by its layer, so that nothing is taken out.
    const { roots, components: parts } = marks
      ? { roots: units.map(({ markup }) => markup), components: [] }
      : extractParts(
          units.map(({ markup }) => markup),
          project.parts,
          partOptions(project, plan, styling),
        )
    const components = [
      ...units.map((unit, i) => writeUnit({ ...unit, markup: roots[i]! }, options)),
      ...parts.map((part) => emitPart(part, plan, helpers)),
    ]
    if ([...forms.values()].some(({ to }) => to.kind === 'endpoint')) helpers.add('postAnswers')
    const behaviour = [
      ...buildHelpers(helpers, (kind) => styling.message(kind).join(' ')),
      ...[...forms].map(([name, form]) => buildFormFile(form, name, project.phrases)),
    ]
    const source = styling.stylesheet()
    return {
      files: [
        ...components,
        ...behaviour,
        ...buildProjectFiles(
          project,
          screens.map(({ name, route }) => ({ component: name, route })),
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
            ...(isRouted ? ['react-router' as const] : []),
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
      components: parts.map(({ id, tag, props, uses }) => ({
        part: id,
        tag,
        path: partPath(tag),
        props,
        uses,
      })),
      pages: Object.fromEntries(
        screens.flatMap(({ page, name, route }) =>
          screensOf(page).map((key) => [key, { path: `src/screens/${name}.tsx`, route }]),
        ),
      ),
    }
  },
}
