import { roundPx } from '../../design/geometry.js'
import type { TextLayer } from '../../design/layer.js'
import type { LayoutNode } from '../../layout/index.js'
import { withOwnDecorations } from '../../text/own-decoration.js'
import type { UiNode, UiPlace, UiStyle, UiText } from '../nodes.js'
import type { BuildContext, Surroundings } from './context.js'
import { buildAct, buildLink } from './link.js'
import { buildRuns } from './runs.js'
import { buildStyle } from './style.js'

/** Text that is as wide as its content is held where its alignment holds it, whatever the font's widths. */
const anchorText = (layer: TextLayer, place: UiPlace, width: number): UiPlace => {
  if (place.kind !== 'absolute' || place.x.edge !== 'start') return place
  const shift = layer.align === 'centre' ? width / 2 : layer.align === 'end' ? width : 0
  const hold = layer.align === 'centre' || layer.align === 'end' ? layer.align : 'start'
  return { ...place, x: { edge: 'start', px: roundPx(place.x.px + shift), hold } }
}

const meaningOf = (
  context: BuildContext,
  key: string,
  { isInLink }: Surroundings,
): Partial<UiText> => {
  const { roles, ids } = context
  const reading = roles.get(key)
  switch (reading?.role) {
    case 'heading':
      return isInLink ? {} : { level: reading.level ?? 2 }
    case 'label':
      return reading.names === undefined ? {} : { labelFor: ids.of(reading.names) }
    case 'button':
      return isInLink ? {} : { isButton: true, ...(reading.submits ? { submits: true } : {}) }
    default:
      return ids.isHelp(key) || ids.namesGroup(key) ? { id: ids.of(key) } : {}
  }
}

/** A text layer as a paragraph, the title of the page, or a link. */
export const buildText = (
  context: BuildContext,
  node: LayoutNode,
  around: Surroundings,
): UiNode => {
  const layer = withOwnDecorations(node.layer as TextLayer)
  const style = buildStyle(context, node, around)
  const wraps = !node.keepsLines
  const link = buildLink(context, layer, around)
  const act = buildAct(context, layer, around)
  const fitted: UiStyle = {
    ...style,
    height: { ...style.height, sizing: style.height.sizing === 'stretch' ? 'stretch' : 'fit' },
    ...(wraps
      ? {}
      : {
          place: anchorText(layer, style.place, node.box.width),
          width:
            style.width.sizing === 'fixed'
              ? { ...style.width, sizing: 'fit' as const }
              : style.width,
        }),
  }
  return {
    type: 'text',
    layer: layer.key,
    name: context.nameOf(layer),
    ...meaningOf(context, layer.key, around),
    ...(link ? { link } : {}),
    ...(act ? { isButton: true, act } : {}),
    textStyle: layer.style,
    align: node.textAlign ?? layer.align,
    wraps,
    ...(node.breaksWords ? { breaksWords: true } : {}),
    runs: buildRuns(layer, !wraps),
    style: fitted,
  }
}
