import { mostCommon } from '../../math/statistics.js'
import { rootsOf, screensOf, type UiForm, type UiNode } from '../../ui/nodes.js'
import { HTML_SPELLING } from '../project/html-spelling.js'
import type { UiProject } from '../../ui/index.js'
import { planComponents, withPrefix } from '../shared/component-plan.js'
import type { CodeSpelling } from '../project/component-code.js'
import { buildFontFiles } from '../shared/font-files.js'
import { code, text, type MarkupElement } from '../shared/markup.js'
import { buildUsageFile } from '../shared/usage-file.js'
import { buildUnits, type UnitOptions, type UnitSpelling } from '../project/units.js'
import type { Target } from '../target.js'
import { writeHelpers } from './behaviour/files.js'
import { quoteDart } from './dart.js'
import { className, dartName, toFileName } from './names.js'
import { writeForm, writeProject } from './project-files.js'
import { findMenuUnits } from './find-targets.js'
import { flutterUse } from './foreign.js'
import { findSizedByUse } from './sized-by-use.js'
import { createFlutterStyling } from './styling.js'
import { printFile } from './print-file.js'
import { shareConstants } from './share-values.js'
import { FlutterTheme } from './theme.js'
import { printUse, writePart, writeUnit, type FlutterOptions } from './write-unit.js'

const codeSpelling: CodeSpelling = {
  on: (event, handler) => code(`on:${event}`, handler),
  bind: code,
  read: dartName,
  reference: (name) => text('reference', name),
  popoverTarget: 'popovertarget',
  popoverTargetAction: 'popovertargetaction',
  tabIndex: 'tabindex',
  noValidate: text('novalidate', ''),
  enterInView: text('enters', 'view'),
}

const spelling: UnitSpelling = {
  ...HTML_SPELLING,
  code: codeSpelling,
  quote: quoteDart,
  nowhere: '#',
  toPage: ({ route, isHere }) => ({
    tag: 'RouterLink',
    attributes: [text('to', route), ...(isHere === true ? [text('aria-current', 'page')] : [])],
  }),
  picture: (_variable, file) => text('src', `assets/${file}`),
  ownDialog: 'dialog',
  use: flutterUse,
}

/** The family most texts use. */
const findMainFamily = (project: UiProject): string | undefined => {
  const families: string[] = []
  const look = (node: UiNode): void => {
    if (node.type === 'text') families.push(node.textStyle.family)
    if ('children' in node) node.children.forEach(look)
  }
  for (const page of project.pages) rootsOf(page).forEach(look)
  return families.length > 0 ? mostCommon(families) : undefined
}

/** Null-safe Dart: one widget a screen, a theme extension for the colours, named routes. */
export const flutter: Target = {
  id: 'flutter',
  label: 'Flutter',
  stylings: [],
  emit(project, { marks, prefix, extras = [] }) {
    const plan = planComponents(project, 'assets', {
      hasIconFiles: true,
      spell: withPrefix(prefix),
    })
    const fonts = buildFontFiles(project.fonts, 'fonts')
    const theme = new FlutterTheme(project.theme)
    const fileOf = (asset: string): string => `assets/${plan.assets.get(asset)!.file}`
    const styling = createFlutterStyling(project, theme, fileOf)
    const forms = new Map<string, UiForm>()
    const unitOptions: UnitOptions = { project, plan, styling, marks, forms, spelling }
    const { units, parts } = buildUnits(unitOptions)
    const shared = new Set<string>()
    const known = new Map(
      units.flatMap(({ unit: { kind, name }, markup }): [string, MarkupElement][] =>
        kind === 'section' || kind === 'part' ? [[name, markup]] : [],
      ),
    )
    const options: FlutterOptions = {
      ...unitOptions,
      shared,
      units: known,
      menuUnits: findMenuUnits(known),
      sizedByUse: findSizedByUse([
        ...units.map(({ unit: { name }, markup }) => ({ name, markup })),
        ...parts.map(({ tag, markup }) => ({ name: tag, markup })),
      ]),
      parts: new Map(parts.map((part) => [part.tag, part])),
      icons: new Map([...plan.icons].map(([asset, { name }]) => [name, fileOf(asset)])),
    }
    const drafts = [
      ...units.map((unit) => writeUnit(unit, options)),
      ...parts.map((part) => writePart(part, options)),
    ]
    const repeated = shareConstants(
      drafts.map(({ widget }) => widget),
      theme.taken,
    )
    theme.hold(repeated.held)
    const components = drafts.map((draft, i) =>
      printFile({ ...draft, widget: repeated.widgets[i]! }),
    )
    const written = components
      .map(({ content }) => (content.kind === 'text' ? content.text : ''))
      .join('\n')
    if (/\bColumns\(/.test(written)) shared.add('columns')
    if (/\bBleed\(/.test(written)) shared.add('bleed')
    if (/\bisCurrent\(/.test(written)) shared.add('is_current')
    if (forms.size > 0) shared.add('answers')
    const behaviour = [
      ...writeHelpers(shared),
      ...[...forms].map(([name, form]) => writeForm(form, name, project.phrases)),
    ]
    const all = [...components, ...behaviour]
      .map(({ content }) => (content.kind === 'text' ? content.text : ''))
      .join('\n')
    const family = findMainFamily(project)
    const pathOf = (folder: string, name: string): string =>
      `lib/${folder}/${toFileName(className(name))}.dart`
    return {
      files: [
        ...components,
        ...behaviour,
        ...(extras.includes('examples')
          ? buildUsageFile(parts, {
              nameOf: className,
              pathOf: (tag) => pathOf('components', tag),
              print: (use) => printUse(use, options),
            })
          : []),
        ...writeProject(project, { plan, theme, fonts, family, code: all }),
        ...[...plan.assets.values()].map(({ emitted }) => emitted),
        ...fonts.map(({ emitted }) => emitted),
      ],
      styles: { source: '', classes: [] },
      components: parts.map(({ id, tag, props, uses }) => ({
        part: id,
        tag: className(tag),
        path: pathOf('components', tag),
        props,
        uses,
      })),
      pages: Object.fromEntries(
        plan.screens.flatMap(({ page, name, route }) =>
          screensOf(page).map((key) => [key, { path: pathOf('screens', name), route }]),
        ),
      ),
    }
  },
}
