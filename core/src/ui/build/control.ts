import { resolveSides, type Box } from '../../design/geometry.js'
import type { Layer, TextLayer } from '../../design/layer.js'
import { walkNodes, type LayoutNode } from '../../layout/index.js'
import type { RoleReading } from '../../meaning/roles/index.js'
import { textOf } from '../../text/wrap.js'
import {
  isTick,
  type UiControl,
  type UiControlKind,
  type UiLength,
  type UiNode,
  type UiStyle,
} from '../nodes.js'
import type { BuildChild, BuildContext, Surroundings } from './context.js'
import { buildStyle } from './style.js'
import { wrapNode } from './wrap.js'

type Inside = { readonly node: LayoutNode; readonly box: Box }

const KINDS: Partial<Record<RoleReading['role'], UiControlKind>> = {
  textbox: 'text',
  textarea: 'textarea',
  combobox: 'select',
  checkbox: 'checkbox',
  radio: 'radio',
  switch: 'switch',
  slider: 'range',
}

export const isControl = (reading: RoleReading | undefined): reading is RoleReading =>
  reading !== undefined && KINDS[reading.role] !== undefined

/** The texts and signs in a control, with their boxes from its corner, in px. */
const leavesOf = (control: LayoutNode): { texts: Inside[]; signs: Inside[] } => {
  const texts: Inside[] = []
  const signs: Inside[] = []
  const at = new Map<LayoutNode, { x: number; y: number }>([[control, { x: 0, y: 0 }]])
  if (control.layer.type === 'text')
    texts.push({ node: control, box: { ...control.box, x: 0, y: 0 } })
  walkNodes(control, (node, parent) => {
    if (node === control) return
    const from = at.get(parent!)!
    const box = { ...node.box, x: from.x + node.box.x, y: from.y + node.box.y }
    at.set(node, box)
    if (node.layer.type === 'text') texts.push({ node, box })
    else if (node.children.length === 0) signs.push({ node, box })
  })
  return { texts, signs }
}

/** A sign lies over the control, at the side it is nearer to; a click on it reaches the control. */
const placeSign = (sign: UiNode, box: Box, control: Box): UiNode => {
  const isText = sign.type === 'text'
  const right = control.width - box.x - box.width
  const down = (control.height - box.height) / 2
  const style: UiStyle = {
    ...sign.style,
    width: { sizing: isText ? 'fit' : 'fixed', px: box.width },
    height: { sizing: isText ? 'fit' : 'fixed', px: box.height },
    place: {
      kind: 'absolute',
      x:
        right < box.x && !isText
          ? { edge: 'end', px: right, hold: 'start' }
          : { edge: 'start', px: box.x, hold: 'start' },
      y:
        Math.abs(box.y - down) <= 2
          ? { edge: 'centre', px: 0, hold: 'start' }
          : { edge: 'start', px: box.y, hold: 'start' },
      isUnder: false,
    },
  }
  return isText ? { ...sign, style } : { ...sign, style, isInert: true }
}

/** A control is not as large as its words: where its box was, it is as large as it was drawn. */
const asDrawn = (length: UiLength): UiLength =>
  length.sizing === 'fit' ? { ...length, sizing: 'fixed' } : length

/** Whether the instance it is or stands in is drawn in a state in which it cannot be used. */
const isDisabled = (context: BuildContext, key: string): boolean => {
  const owner = context.ownerOf(key)
  return owner !== undefined && context.stateOf(owner) === 'disabled'
}

/** What a control is called that nothing beside it names. */
const labelOf = (
  { nameOf }: BuildContext,
  layer: Layer,
  { stepper, says = '' }: RoleReading,
  said: string,
): string => (stepper === undefined ? said || says || nameOf(layer) || 'Field' : 'Number')

/** A control of a form, as the platform's own element in the look that was drawn. */
export const buildControl = (
  context: BuildContext,
  node: LayoutNode,
  around: Surroundings,
  reading: RoleReading,
  buildChild: BuildChild,
): UiNode => {
  const { layer } = node
  const kind = reading.input ?? KINDS[reading.role]!
  const leaves = leavesOf(node)
  const isLabel = ({ node: { layer: own } }: Inside): boolean =>
    context.roles.get(own.key)?.role === 'label'
  const texts = leaves.texts.filter((one) => !isLabel(one))
  const signs = [...leaves.signs, ...leaves.texts.filter(isLabel)]
  const ticks = isTick(kind)
  const own = buildStyle(context, node, around)
  // A number that is counted is as wide as its digits.
  const asked = reading.stepper === undefined ? asDrawn(own.width) : own.width
  const width: UiLength = ticks ? { ...asked, sizing: 'fixed' } : asked
  const style: UiStyle = {
    ...own,
    width,
    // A field centres its words by itself and has no padding above and below: its height has to be said.
    height: { ...own.height, sizing: 'fixed' },
    arrange: { kind: 'none' },
    ...(ticks || own.fitsParent || width.sizing !== 'fixed' ? {} : { fitsParent: true }),
  }
  const [text] = texts
  const said = texts
    .map((one) => textOf(one.node.layer as TextLayer))
    .join(' ')
    .trim()
  const textLayer = text?.node.layer as TextLayer | undefined
  const border = resolveSides(style.border?.kind === 'border' ? style.border.widths : 0)
  const left = text ? text.box.x : 12
  const after = leaves.signs
    .filter((sign) => sign.box.x > node.box.width / 2)
    .map((sign) => sign.box.x)
  const right = after.length > 0 ? node.box.width - Math.min(...after) + 8 : Math.min(left, 16)
  const top = kind === 'textarea' ? (text?.box.y ?? 8) : 0
  const hint =
    leaves.texts.length > texts.length ||
    reading.showsHint ||
    kind === 'password' ||
    kind === 'email'
  const control: UiControl = {
    type: 'control',
    layer: layer.key,
    name: context.nameOf(layer),
    control: kind,
    id: context.ids.of(layer.key),
    ...(reading.labelledBy === undefined ? { label: labelOf(context, layer, reading, said) } : {}),
    ...(said && !ticks
      ? hint && kind !== 'select'
        ? { hint: said, ...(textLayer ? { hintColor: textLayer.style.color } : {}) }
        : { value: said }
      : {}),
    ...(reading.describedBy === undefined
      ? {}
      : { describedBy: context.ids.of(reading.describedBy) }),
    ...(reading.isInvalid ? { isInvalid: true } : {}),
    ...(reading.group === undefined || kind !== 'radio'
      ? {}
      : { group: context.ids.of(reading.group) }),
    ...(reading.stepper === undefined ? {} : { isStepped: true }),
    ...(kind === 'range' ? { value: String(reading.percent ?? 50) } : {}),
    ...(isDisabled(context, layer.key) ? { isDisabled: true } : {}),
    ...(reading.isRequired ? { isRequired: true } : {}),
    ...(reading.isOn ? { isOn: true } : {}),
    ...(textLayer ? { textStyle: textLayer.style } : {}),
    textTokens: textLayer?.tokens ?? {},
    padding: ticks
      ? resolveSides(0)
      : {
          top: Math.max(0, top - border.top),
          right: Math.max(0, right - border.right),
          bottom: Math.max(0, top - border.bottom),
          left: Math.max(0, left - border.left),
        },
    style,
  }
  if (kind === 'range') {
    context.account.approximated(
      layer.key,
      'slider',
      "the line and the circle are the browser's own",
    )
    return control
  }
  if (signs.length === 0 || ticks) return control
  const inside: Surroundings = { parent: node, border: undefined, isInLink: true }
  const drawn = signs.map(({ node: sign, box }) =>
    placeSign(buildChild(context, sign, inside), box, node.box),
  )
  const wrapped = wrapNode(control, {})
  return { ...wrapped, children: [...wrapped.children, ...drawn] }
}
