import type { UiProject } from '../../ui/index.js'
import { rootsOf, screensOf, type UiForm } from '../../ui/nodes.js'
import { layerNames } from '../shared/layer-names.js'
import { toKebab } from '../../text/names.js'
import { createStyling } from '../styling/index.js'
import { stylingIn, type StylingId } from '../styling/styling.js'
import type { Phrases } from '../../ui/phrases.js'
import type { Target } from '../target.js'
import type { Helper } from './component-code.js'
import { planComponents, withPrefix, type PlanOptions } from '../shared/component-plan.js'
import { jsonFile, scaffold, textFile, type EmittedFile } from '../shared/emitted-file.js'
import { buildFontFiles, fontRules } from '../shared/font-files.js'
import type { Icon } from '../shared/icons.js'
import type { Doc } from '../shared/document.js'
import { text, type MarkupElement } from '../shared/markup.js'
import { buildUsageFile } from '../shared/usage-file.js'
import { planTests, type ComponentTest, type TestOptions } from './component-tests.js'
import { withLineBefore } from '../shared/with-comment.js'
import { namesValues } from '../rules/house-rules.js'
import type { PartComponent } from '../shared/prop.js'
import { listPictureFacts, withoutUnusedSizes } from '../shared/picture-facts.js'
import { planPictureSizes } from '../shared/picture-sizes.js'
import {
  buildUnits,
  completeMarkup,
  dress,
  type BuiltUnit,
  type Folder,
  type UnitOptions,
  type UnitSpelling,
} from './units.js'
import { sheetPath, type SheetBase } from './sheet-place.js'
import { asModule, folderOf, relativePath } from '../../text/file-paths.js'
import { dependencies, type Dependency } from '../shared/versions.js'
import { favicon } from '../tooling/favicon.js'
import { NODE_ENGINES } from '../tooling/node-version.js'
import { projectTools, type Linting } from '../tooling/project-tools.js'

const PRINT_WIDTH = 80
const FONTS = 'src/fonts'
/** What the built site calls the folder of its public pictures. */
const PUBLIC_ADDRESS = 'assets'

export type ComponentOptions = UnitOptions & {
  /** Hears of the helpers that files are needed for. */
  readonly helpers: Set<Helper>
  /** What is written once, by its tag. */
  readonly parts: ReadonlyMap<string, PartComponent>
  /** Types stand in comments. */
  readonly isPlain: boolean
  /** Templates stand in the class they belong to, where they can. */
  readonly hasTemplatesInside: boolean
}

export type ScreenFile = { readonly component: string; readonly route: string }

/** What the files around the screens depend on. */
export type ProjectStyling = {
  readonly styling: StylingId
  /** The path of the style sheet that the app begins with. */
  readonly sheet: string
  /** The code has no types. */
  readonly isPlain: boolean
  /** Pictures are shown by their addresses, and are no modules. */
  readonly hasPublicPictures: boolean
  /** Components have tests beside them. */
  readonly hasTests: boolean
  /** The class of an element that takes no part in the layout. */
  contents(): string
}

/** What a target with components writes in its own way. */
export type ComponentTarget = {
  readonly id: string
  readonly label: string
  readonly stylings: readonly StylingId[]
  /** How a project without types is run and built; undefined where there is none. */
  readonly plainScripts?: Readonly<Record<string, string>>
  /** Where things are: folders from the root of the project, addresses as the style sheet has them. */
  readonly places: {
    /** The file that has the markup of a component. */
    markupOf(folder: Folder, name: string): string
    /** The file that has it where it has none of its own. */
    classOf?(folder: Folder, name: string): string
    readonly assets: string
    /** Where they are when they are not modules, for targets that have a choice. */
    readonly publicAssets?: string
    readonly sheet: SheetBase
  }
  readonly spelling: UnitSpelling
  /** What a component is called that would have a name, where the framework has rules for that. */
  readonly spellName?: PlanOptions['spell']
  writeUnit(unit: BuiltUnit, options: ComponentOptions): readonly EmittedFile[]
  writePart(part: PartComponent, options: ComponentOptions): readonly EmittedFile[]
  /** The code of a component where it is used. */
  printUse(use: MarkupElement, options: ComponentOptions): Doc
  /** Before what a comment about a component stands in its file, and how one is written. */
  commentPlace(name: string): { readonly before: string; comment(words: string): string }
  writeIcon(icon: Icon): EmittedFile
  /** The file of a form: what is asked, where the answers go, and what is said meanwhile. */
  writeForm(form: UiForm, name: string, phrases: Phrases): EmittedFile
  /** The small functions that components share. */
  writeHelpers(
    used: ReadonlySet<Helper>,
    classes: (kind: 'problems' | 'status') => string,
    hasTemplatesInside: boolean,
  ): readonly EmittedFile[]
  /** The files around the screens. */
  writeProject(
    project: UiProject,
    screens: readonly ScreenFile[],
    around: ProjectStyling,
  ): readonly EmittedFile[]
  /** What the project runs with and is built with. */
  readonly packages: {
    readonly router: Dependency
    readonly runtime: readonly Dependency[]
    readonly tools: readonly Dependency[]
    /** Versions other than the usual ones. */
    readonly versions?: Partial<Record<Dependency, string>>
  }
  readonly scripts: Readonly<Record<string, string>>
  readonly linting: Linting
  /** Folders that its tools write to, beside `dist`. */
  readonly madeFolders?: readonly string[]
  /** How its components are tested. */
  readonly tests: Omit<TestOptions, 'plan'> & {
    readonly tools: readonly Dependency[]
    readonly script: string
    write(test: ComponentTest, options: ComponentOptions): EmittedFile
  }
  /** How Prettier is set beside its width. */
  readonly formatting?: object
}

/** What of the design a component is, in words. */
const aboutUnit = ({ unit }: BuiltUnit): string => {
  switch (unit.kind) {
    case 'screen':
      return `The screen ${unit.page.name}.`
    case 'panel':
      return `${unit.panel.label}: shown over a screen.`
    case 'section':
      return `A section of ${unit.page.name}.`
    case 'part':
      return 'What several screens have in common.'
  }
}

const aboutPart = ({ name, uses }: PartComponent): string =>
  `${name}: in the design ${uses.length === 1 ? 'once' : `${uses.length} times`}.`

/** Components with the classes they are delivered with. */
const dressed = (
  parts: readonly PartComponent[],
  options: UnitOptions,
): readonly PartComponent[] => {
  if (!options.styling.finish) return parts
  const names = layerNames(options.project.pages.flatMap(rootsOf))
  const nameOf = (layer: string): string | undefined => names.get(layer)
  return parts.map((part): PartComponent => {
    const { markup, looks = [], sheet } = dress({ ...part, name: part.tag, nameOf }, options)
    return { ...part, markup, looks, sheet }
  })
}

/** Packages that only code with types needs. */
const isOfTypes = (name: Dependency): boolean =>
  name.startsWith('typescript') || name.startsWith('@types/')

/** Whether a package is needed: some only a styling needs. */
const isNeededBy = (styling: StylingId, name: Dependency): boolean => {
  if (name === 'sass') return styling === 'scss'
  const isOfTailwind =
    name === 'tailwindcss' || name.startsWith('@tailwindcss/') || name === 'postcss'
  return styling === 'tailwind' || !isOfTailwind
}

/** A target that writes one component a file, with what repeats written once, from how it spells things. */
export const componentTarget = (kind: ComponentTarget): Target => ({
  id: kind.id,
  label: kind.label,
  stylings: kind.stylings,
  hasTests: true,
  hasTemplateFiles: kind.places.classOf !== undefined,
  hasPlainScript: kind.plainScripts !== undefined,
  emit(
    given,
    {
      marks,
      styling: wanted = 'tailwind',
      script,
      prefix,
      units: lengths,
      pictures,
      templates,
      rules = [],
      extras = [],
    },
  ) {
    const { spellName = (name) => name } = kind
    const pictureSizes = extras.includes('sizes') ? planPictureSizes(given) : undefined
    const project = pictureSizes?.project ?? given
    const hasTests = extras.includes('tests') && !marks
    const isPlain = script === 'javascript' && kind.plainScripts !== undefined
    const stylingId = stylingIn(kind.stylings, wanted)
    const publicFolder = pictures === 'public' ? kind.places.publicAssets : undefined
    const folder = publicFolder ?? kind.places.assets
    const plan = planComponents(project, folder, {
      spell: (name, what) => spellName(withPrefix(prefix)(name, what), what),
    })
    const { assets, icons, isRouted, screens } = plan
    const { places } = kind
    const fonts = buildFontFiles(project.fonts, FONTS)
    const sheet = sheetPath(stylingId, places.sheet)
    // Components that have sheets of their own see files from their own folder.
    const isOfEach = stylingId === 'css-modules' || stylingId === 'css-in-js'
    const sheets = folderOf(isOfEach ? places.markupOf('components', 'X') : sheet)
    const styling = createStyling(stylingId, project, {
      fonts: fontRules(fonts, asModule(relativePath(folderOf(sheet), FONTS))),
      address: (asset) => {
        const { file } = assets.get(asset)!
        // A bundler finds what is public from the root of the site.
        return publicFolder === undefined
          ? `${asModule(relativePath(sheets, places.assets))}/${file}`
          : `/${PUBLIC_ADDRESS}/${file}`
      },
      units: lengths,
      namesValues: namesValues(rules),
      hasModules: kind.spelling.classReference !== undefined,
      isIcon: (asset) => icons.has(asset),
    })
    const helpers = new Set<Helper>()
    const forms = new Map<string, UiForm>()
    const spelling: UnitSpelling =
      publicFolder === undefined
        ? kind.spelling
        : { ...kind.spelling, picture: (_, file) => text('src', `${PUBLIC_ADDRESS}/${file}`) }
    const unitOptions: UnitOptions = {
      project,
      plan,
      styling,
      marks,
      forms,
      spelling,
      rules,
      pictures: {
        facts: listPictureFacts(
          project.assets,
          (id) => {
            const file = assets.get(id)?.file
            return file === undefined ? undefined : spelling.picture(plan.variables.get(id)!, file)
          },
          pictureSizes?.scaled,
          spelling.attribute?.('srcset'),
        ),
        sizes: pictureSizes?.sizes,
      },
      hasOwnPictures: pictures === 'framework',
    }
    const { units, parts } = buildUnits(unitOptions)
    const byTag = new Map(parts.map((part) => [part.tag, part]))
    const options: ComponentOptions = {
      ...unitOptions,
      helpers,
      parts: byTag,
      isPlain,
      hasTemplatesInside: templates === 'class',
    }
    const about = (files: readonly EmittedFile[], name: string, words: string): EmittedFile[] => {
      const { before, comment } = kind.commentPlace(name)
      // Without types, what a component is given stands there.
      return extras.includes('comments') && !isPlain
        ? files.map((file) => withLineBefore(file, before, comment(words)))
        : [...files]
    }
    const components = [
      ...units.flatMap((unit) =>
        about(kind.writeUnit(unit, options), unit.unit.name, aboutUnit(unit)),
      ),
      ...dressed(
        parts.map((part) => ({ ...part, markup: completeMarkup(part.markup, options) })),
        options,
      ).flatMap((part) => about(kind.writePart(part, options), part.tag, aboutPart(part))),
    ]
    const written = new Set(components.map(({ path }) => path))
    const markupOf = (inside: Folder, name: string): string => {
      const path = places.markupOf(inside, name)
      return written.has(path) ? path : (places.classOf?.(inside, name) ?? path)
    }
    if ([...forms.values()].some(({ to }) => to.kind === 'endpoint')) helpers.add('postAnswers')
    const behaviour = [
      ...kind.writeHelpers(
        helpers,
        (what) => styling.message(what).join(' '),
        options.hasTemplatesInside,
      ),
      ...[...forms].map(([name, form]) => kind.writeForm(form, name, project.phrases)),
    ]
    const around = kind.writeProject(
      project,
      screens.map(({ name, route }) => ({ component: name, route })),
      {
        contents: () => styling.flat().join(' '),
        styling: styling.id,
        sheet,
        isPlain,
        hasPublicPictures: publicFolder !== undefined,
        hasTests,
      },
    )
    const tests = hasTests
      ? planTests(units, parts, { plan, ...kind.tests }).map((one) =>
          kind.tests.write(one, options),
        )
      : []
    const source = styling.stylesheet()
    const { runtime, router, tools, versions } = kind.packages
    return {
      files: withoutUnusedSizes([
        ...components,
        ...tests,
        ...behaviour,
        ...around,
        ...(extras.includes('examples')
          ? buildUsageFile(parts, {
              nameOf: (tag) => tag,
              pathOf: (tag) => markupOf('components', tag),
              print: (use) => kind.printUse(use, options),
            })
          : []),
        ...[...icons.values()].map((icon) => kind.writeIcon(icon)),
        ...styling.files(sheet),
        ...[...assets.values()].map((a) => a.emitted),
        ...fonts.map((f) => f.emitted),
        ...scaffold(
          jsonFile('package.json', {
            name: toKebab(project.name, 'screens'),
            private: true,
            type: 'module',
            scripts: {
              ...(isPlain ? kind.plainScripts : kind.scripts),
              ...(hasTests ? { test: kind.tests.script } : {}),
              lint: kind.linting.command,
              format: 'prettier --write .',
            },
            engines: NODE_ENGINES,
            dependencies: dependencies([
              ...runtime,
              ...(isRouted ? [router] : []),
              ...(styling.id === 'css-in-js' ? (['@emotion/css'] as const) : []),
            ]),
            devDependencies: {
              ...dependencies(
                (
                  [
                    'prettier',
                    'sass',
                    'tailwindcss',
                    'typescript',
                    ...tools,
                    ...kind.linting.tools,
                    ...(hasTests ? kind.tests.tools : []),
                  ] as const
                ).filter((name) => isNeededBy(styling.id, name) && !(isPlain && isOfTypes(name))),
              ),
              ...versions,
            },
            overrides: kind.linting.overrides,
          }),
          ...kind.linting.files({
            isPlain,
            pressed: parts
              .filter(({ markup }) => /^(a|button)$/.test(markup.tag))
              .map(({ tag }) => tag),
          }),
          ...projectTools(['dist', ...(kind.madeFolders ?? [])]),
          favicon(project, 'public/'),
          jsonFile('.prettierrc', { printWidth: PRINT_WIDTH, ...kind.formatting }),
          textFile('.prettierignore', `node_modules\ndist\n${folder}\n`),
        ),
      ]),
      styles: { source, classes: [...styling.classes] },
      components: parts.map(({ id, tag, props, uses }) => ({
        part: id,
        tag,
        path: markupOf('components', tag),
        props,
        uses,
      })),
      pages: Object.fromEntries(
        screens.flatMap(({ page, name, route }) =>
          screensOf(page).map((key) => [key, { path: markupOf('screens', name), route }]),
        ),
      ),
    }
  },
})
