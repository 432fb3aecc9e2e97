import type { FormRuling } from '../design/form.js'
import { toId } from '../text/names.js'
import { textsIn, wordsOf } from './describe-page.js'
import {
  isTick,
  mapChildren,
  type UiBox,
  type UiControl,
  type UiField,
  type UiForm,
  type UiNode,
} from './nodes.js'

export type FormOptions = {
  /** What is said about forms, by the key of the layer. */
  readonly rulings: Readonly<Record<string, FormRuling>>
  /** The page a screen became. */
  pageOf(screen: string): string | undefined
  /** Hears of an address that answers may not be sent to. */
  refuse(layer: string, url: string): void
  /** Makes a name that is free in the project. */
  takeName(wanted: string): string
}

const LONGEST_NAME = 40

export const controlsIn = (node: UiNode): UiControl[] =>
  node.type === 'control' ? [node] : 'children' in node ? node.children.flatMap(controlsIn) : []

/** `What did you find? *` → `What did you find?` */
const withoutMark = (label: string): string => label.replace(/\s*[*＊]\s*$/u, '').trim()

export const sendersIn = (node: UiNode): UiNode[] => {
  const own = 'submits' in node && node.submits ? [node] : []
  return 'children' in node ? [...own, ...node.children.flatMap(sendersIn)] : own
}

/** What a form is called: by its heading, else by the button that sends it. */
const nameOf = (form: UiBox): string => {
  const texts = textsIn(form)
  const heading = texts.find((text) => text.level !== undefined)
  if (heading) return wordsOf(heading)
  const words = sendersIn(form).flatMap(textsIn).map(wordsOf)
  return words[0] ?? 'Form'
}

const fieldsOf = (form: UiBox): UiField[] => {
  const labels = new Map(
    textsIn(form).flatMap((text) =>
      text.labelFor === undefined ? [] : [[text.labelFor, wordsOf(text)] as const],
    ),
  )
  return controlsIn(form).map((field) => {
    const { id, group, control, label, isRequired = false, isDisabled = false } = field
    // What a text area is drawn with is shown as its hint.
    const value = control === 'textarea' ? undefined : field.value
    const start = isTick(control) ? field.isOn : value
    return {
      id,
      name: group ?? id,
      control,
      label: withoutMark(labels.get(id) ?? label ?? id),
      isRequired,
      isDisabled,
      ...(start === undefined ? {} : { start }),
    }
  })
}

/** Answers go to web addresses and to paths on the same server only. */
const isSafe = (url: string): boolean => /^(https?:\/\/|\/(?!\/))/i.test(url)

const describe = (form: UiBox, options: FormOptions): UiForm => {
  const { rulings, pageOf, takeName, refuse } = options
  const said = rulings[form.layer]
  const to = said?.to ?? { kind: 'handler' }
  const isRefused = to.kind === 'endpoint' && !isSafe(to.url)
  if (isRefused) refuse(form.layer, to.url)
  const name = nameOf(form).slice(0, LONGEST_NAME)
  const success = said?.success === undefined ? undefined : pageOf(said.success)
  return {
    id: takeName(toId(name, 'form')),
    name,
    fields: fieldsOf(form),
    to: isRefused ? { kind: 'handler' } : to,
    ...(success === undefined ? {} : { success }),
    ...(said?.sent === undefined ? {} : { sent: said.sent }),
    ...(said?.failed === undefined ? {} : { failed: said.failed }),
  }
}

/** Tells of every form in a tree what is asked in it and what becomes of the answers. */
export const describeForms = (node: UiNode, options: FormOptions): UiNode => {
  const own = mapChildren(node, (child) => describeForms(child, options))
  return own.type === 'box' && (own.role === 'form' || own.role === 'search')
    ? { ...own, form: describe(own, options) }
    : own
}
