import type { ComponentOptions } from '../project/component-target.js'
import type { DataList } from '../shared/lists.js'
import type { MarkupElement, MarkupNode } from '../shared/markup.js'
import { moduleOf } from '../shared/foreign.js'
import { findImports } from '../project/uses.js'
import type { Folder } from '../project/units.js'
import type { Helper } from '../project/component-code.js'
import { helperPath } from './behaviour/files.js'
import { folderPath, toFileName } from './names.js'
import type { Import } from './print-class.js'

/** The router's own tags are known everywhere. */
export const ROUTER_TAGS: ReadonlySet<string> = new Set(['RouterLink'])

/** Directives that attributes bring, by the name of the attribute. */
const DIRECTIVES: Readonly<Record<string, { readonly name: string; readonly from: string }>> = {
  routerLink: { name: 'RouterLink', from: '@angular/router' },
  '[routerLink]': { name: 'RouterLink', from: '@angular/router' },
  routerLinkActive: { name: 'RouterLinkActive', from: '@angular/router' },
  '[formGroup]': { name: 'ReactiveFormsModule', from: '@angular/forms' },
  formControlName: { name: 'ReactiveFormsModule', from: '@angular/forms' },
  '[formControlName]': { name: 'ReactiveFormsModule', from: '@angular/forms' },
  ngSrc: { name: 'NgOptimizedImage', from: '@angular/common' },
  appEnterInView: { name: 'EnterInView', from: helperPath('enterInView') },
}

const namesIn = (nodes: readonly MarkupNode[], found = new Set<string>()): Set<string> => {
  for (const node of nodes) {
    if (node.kind === 'element') for (const { name } of node.attributes) found.add(name)
    if ('children' in node) namesIn(node.children, found)
  }
  return found
}

export type Used = {
  readonly imports: readonly Import[]
  /** Components and directives of the template. */
  readonly uses: readonly string[]
  /** Functions that the template calls, which the class must have. */
  readonly functions: readonly string[]
  /** A field stands in a form that another component holds. */
  readonly isFormElsewhere: boolean
}

/**
 * What a component refers to. Takes its markup before and after it became a template, and what it is given by the code
 * beside it.
 */
export const findUsed = (
  markup: MarkupElement,
  template: readonly MarkupNode[],
  lists: readonly DataList[],
  folder: Folder,
  own: ReadonlySet<Helper>,
  { plan, helpers }: ComponentOptions,
): Used => {
  const { behaviour, components, foreign } = findImports(markup, lists, {
    plan,
    folder,
    helpers,
    own,
    routerTags: ROUTER_TAGS,
  })
  const names = namesIn(template)
  const directives = [...names].flatMap((name) => (DIRECTIVES[name] ? [DIRECTIVES[name]] : []))
  const tags = components.map(({ tag, from }) => ({
    name: tag,
    from: `${from}/${toFileName(tag)}`,
  }))
  const functions = behaviour.filter(
    (helper) => !['useForm', 'FormMessages', 'enterInView', 'postAnswers'].includes(helper),
  )
  const theirs = foreign.map(({ tag, component }) => ({
    name: component.exported === tag ? tag : `${component.exported} as ${tag}`,
    local: tag,
    from: moduleOf(component, folderPath(folder)),
  }))
  const used = [...directives, ...tags]
  const holdsField = names.has('formControlName') || names.has('[formControlName]')
  return {
    imports: [
      ...[...used, ...theirs].map(({ name, from }) => ({ names: [name], from })),
      ...functions.map((name) => ({ names: [name], from: helperPath(name) })),
    ],
    uses: [...new Set([...used.map(({ name }) => name), ...theirs.map(({ local }) => local)])],
    functions,
    isFormElsewhere: holdsField && !names.has('[formGroup]'),
  }
}
