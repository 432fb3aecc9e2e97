import type { CodeComponent, CodeProp } from '../../codebase/codebase.js'
import {
  isClass,
  isComponentTag,
  text,
  type Attribute,
  type MarkupElement,
  type MarkupNode,
} from '../shared/markup.js'
import type { ListPart, PartComponent, Prop } from '../shared/prop.js'
import { findOwner } from '../shared/prop-owner.js'
import {
  affected,
  arranged,
  boxed,
  held,
  isOnly,
  placed,
  sizedByUse,
  withoutRoom,
  type Said,
} from './boxes.js'
import {
  attributeOf,
  isMaybe,
  marked,
  readCode,
  readText,
  placingOf,
  saidOf,
  textOf,
  wordsOf,
  type WidgetContext,
} from './context.js'
import { drawnButton, notConnected, type DrawnButton } from './buttons.js'
import { control } from './controls.js'
import { call, list, quoteDart, raw, type Dart } from './dart.js'
import { PRESS } from './foreign.js'
import { className, dartName, listName } from './names.js'
import { textWidget } from './texts.js'
import type { SlotValue } from './tokens.js'
import { stretchesOf, type Stretch } from './stretches.js'
import {
  dartOf,
  fromName,
  isEver,
  saidWithin,
  type ValueContext,
  type Windows,
} from './values-of.js'
import { conditionOf, knownFrom, negate, windowsCondition } from './conditions.js'

const pictureWidget = (element: MarkupElement, said: Said, context: WidgetContext): Dart => {
  const source = wordsOf(element, 'src', context) ?? "''"
  const alt = wordsOf(element, 'alt', context)
  const isSilent = alt === undefined || alt === "''"
  const isDrawing = source.endsWith(".svg'")
  return call(
    isDrawing ? 'SvgPicture.asset' : 'Image.asset',
    {
      fit: dartOf(said.get('fit'), context, isDrawing ? 'BoxFit.contain' : 'null'),
      alignment: isDrawing ? undefined : dartOf(said.get('focus'), context, 'Alignment.center'),
      [isDrawing ? 'semanticsLabel' : 'semanticLabel']: isSilent ? undefined : alt,
      excludeFromSemantics: isSilent ? 'true' : undefined,
    },
    [source],
  )
}

/** A picture with round corners is cut off at them. */
const rounded = (picture: Dart, said: Said, context: ValueContext): Dart => {
  const borderRadius = dartOf(said.get('radius'), context, 'BorderRadius.zero')
  return borderRadius ? call('ClipRRect', { borderRadius, child: picture }) : picture
}

/** What pressing an element does. */
const pressOf = (element: MarkupElement, context: WidgetContext): Dart | undefined => {
  const to = attributeOf(element, 'to')
  if (to) {
    const where = to.kind === 'code' ? readText(to.code, context) : wordsOf(element, 'to', context)!
    return raw(`() => Navigator.pushNamed(context, ${where})`)
  }
  const href = attributeOf(element, 'href')
  if (href?.kind === 'text' && href.text.startsWith('#') && href.text !== '#') {
    context.helpers.add('scroll_to')
    return raw(`() => scrollTo(${quoteDart(href.text.slice(1))})`)
  }
  if (href?.kind === 'text' && (href.text === '#' || href.text === '/'))
    return notConnected(context)
  if (href) {
    context.helpers.add('open_address')
    return raw(`() => openAddress(${wordsOf(element, 'href', context)!})`)
  }
  const opens = textOf(element, 'popovertarget')
  if (opens !== undefined) {
    if (textOf(element, 'popovertargetaction') === 'hide')
      return raw('() => Navigator.pop(context)')
    const panel = context.panels.get(opens)
    if (panel !== undefined) return showing(call(panel))
    const menu = context.menus.get(opens)
    if (menu) return showing(menuDialog(menu, context))
    const unit = context.menuUnits.get(opens)
    if (unit !== undefined) return showing(unitDialog(unit, context))
  }
  const click = attributeOf(element, 'on:click')
  if (click?.kind !== 'code') {
    return textOf(element, 'type') === 'submit' ? submitting(context) : undefined
  }
  if (click.code === 'closeDialog' || click.code === 'closeTopDialog')
    return raw('() => Navigator.pop(context)')
  if (click.code === 'countField') {
    context.helpers.add('answers')
    const [field, by] = [textOf(element, 'aria-controls'), textOf(element, 'data-step')]
    const whose = context.form ?? 'Answers.maybeOf(context)?'
    return raw(`() => ${whose}.count(${quoteDart(field ?? '')}, ${by ?? '1'})`)
  }
  return context.handlers.get(click.code) ?? notConnected(context)
}

const submitting = (context: WidgetContext): Dart => {
  context.helpers.add('answers')
  return raw(context.form ? `${context.form}.submit` : '() => Answers.maybeOf(context)?.submit()')
}

const showing = (panel: Dart): Dart => {
  const builder: Dart = { kind: 'function', parameters: 'context', value: panel }
  return {
    kind: 'function',
    parameters: '',
    value: call('showDialog<void>', { context: 'context', builder }),
  }
}

/** What a menu holds, over the page, at its top. */
const menuDialog = (menu: MarkupElement, context: WidgetContext): Dart =>
  call('Dialog', {
    alignment: 'Alignment.topCenter',
    child: call('Padding', {
      padding: 'EdgeInsets.all(16)',
      child: call('Column', {
        mainAxisSize: 'MainAxisSize.min',
        crossAxisAlignment: 'CrossAxisAlignment.start',
        spacing: '12',
        children: list(itemsOf(menu.children, context).flow),
      }),
    }),
  })

/** A menu that is a component of its own, over the page, at its top. */
const unitDialog = (unit: string, context: WidgetContext): Dart => {
  context.opened.add(unit)
  return call('Dialog', {
    alignment: 'Alignment.topCenter',
    child: call('SingleChildScrollView', { child: call(className(unit)) }),
  })
}

const level = (tag: string): number | undefined =>
  /^h[1-6]$/.test(tag) ? Number(tag[1]) : undefined

const PRESSED = new Set(['a', 'RouterLink', 'button'])

/** What readers are told of an element beside its words. */
const meant = (
  own: Dart,
  element: MarkupElement,
  context: WidgetContext,
  tells: DrawnButton['tells'] | undefined,
): Dart => {
  const { tag } = element
  const heading = level(tag)
  const label =
    !tells?.has('label') && (PRESSED.has(tag) || tag === 'nav' || attributeOf(element, 'role'))
      ? wordsOf(element, 'aria-label', context)
      : undefined
  const value = textOf(element, 'aria-valuenow')
  const bound = (name: string): string | undefined => {
    const found = attributeOf(element, name)
    return found?.kind === 'code' ? readCode(found.code, context) : undefined
  }
  const named = {
    header: heading === undefined ? undefined : 'true',
    headingLevel: heading === undefined ? undefined : String(heading),
    label,
    value: value === undefined ? undefined : quoteDart(`${value} %`),
    link: tag === 'a' || tag === 'RouterLink' ? 'true' : undefined,
    button: tag === 'button' && !tells?.has('button') ? 'true' : undefined,
    selected:
      bound('aria-selected') ?? (textOf(element, 'aria-current') === 'page' ? 'true' : undefined),
    expanded: bound('aria-expanded'),
  }
  const isSaid = Object.values(named).some((one) => one !== undefined)
  if (!isSaid) return own
  const isLinkOnly = Object.entries(named).every(([name, one]) => (name === 'link') === !!one)
  if (isLinkOnly && own.kind === 'call' && own.name === 'InkWell') {
    context.helpers.add('app_link')
    return { ...own, name: 'AppLink' }
  }
  return call('Semantics', { ...named, child: own })
}

const pressable = (own: Dart, said: Said, element: MarkupElement, context: WidgetContext): Dart => {
  if (!PRESSED.has(element.tag)) return own
  const onTap = pressOf(element, context)
  if (!onTap) return own
  return call('InkWell', {
    onTap,
    borderRadius: dartOf(said.get('radius'), context, 'BorderRadius.zero'),
    child: own,
  })
}

/** The value of a component's prop, as Dart. */
const propValue = (
  one: Attribute,
  prop: Prop | undefined,
  part: PartComponent,
  context: WidgetContext,
): string => {
  if (one.kind !== 'text' && one.kind !== 'code') return ''
  if (one.kind === 'text') return textValue(one.text, prop, part, context)
  const code = readCode(one.code, context)
  if (!prop || !isMaybe(one.code, context)) return code
  // Nothing, when it is handed on, is not the same as handing on nothing.
  if (typeof prop.standard === 'string') {
    return `${code} ?? ${textValue(prop.standard, prop, part, context)}`
  }
  return prop.isOptional ? code : readText(one.code, context)
}

/** What is given as a text, or as one of several choices. */
const textValue = (
  value: string,
  prop: Prop | undefined,
  part: PartComponent,
  context: WidgetContext,
): string => {
  const owner = prop && findOwner(part.tag, prop.name, context.parts)
  if (owner?.prop.kind === 'number') return value
  return owner?.prop.kind === 'choice'
    ? `${context.choiceType(`${owner.tag}.${owner.prop.name}`)}.${dartName(value)}`
    : quoteDart(value)
}

/** What a thing in a list has, as Dart. */
const partValue = (value: string, of: ListPart | undefined, context: WidgetContext): string => {
  const part = of?.of && context.parts.get(of.of.tag)
  const prop = part?.props.find(({ name }) => name === of?.of?.prop)
  return part ? textValue(value, prop, part, context) : quoteDart(value)
}

/** A component where it is used: as large and in the place that its root says, unless the use says otherwise. */
const usedAs = (own: Dart, element: MarkupElement, context: WidgetContext): Dart => {
  const placing = placingOf(element, context)
  const said = saidOf(element, context)
  const sized = context.sizedByUse.has(element.tag) ? sizedByUse(said, placing) : said
  return placed(boxed(own, sized, context)!, placing, context)
}

const useOf = (element: MarkupElement, part: PartComponent, context: WidgetContext): Dart => {
  const named = Object.fromEntries(
    element.attributes.flatMap((one): [string, string | Dart][] => {
      if (isClass(one)) return []
      if (one.kind === 'markup')
        return [[dartName(one.name), itemOf(one.nodes[0]!, { ...context, holder: 'columns' })]]
      if (one.kind === 'spread') {
        const given = context.lists.find(({ item }) => item === one.code)
        return (given?.fields ?? []).map(({ name }) => [
          dartName(name),
          `${one.code}.${dartName(name)}`,
        ])
      }
      const prop = part.props.find(({ name }) => name === one.name)
      if (one.kind === 'list') {
        const values = one.texts.map((own) => raw(textValue(own, prop, part, context)))
        return [[dartName(one.name), list(values)]]
      }
      if (one.kind === 'records') {
        const things = one.rows.map((values) =>
          call(
            '',
            Object.fromEntries(
              values.map((value, i) => [
                dartName(one.fields[i]!),
                raw(partValue(value, prop?.fields?.[i], context)),
              ]),
            ),
          ),
        )
        return [[dartName(one.name), list(things)]]
      }
      return [[dartName(one.name), propValue(one, prop, part, context)]]
    }),
  )
  const own: Dart = { ...call(className(element.tag), named), layer: element.layer }
  return usedAs(own, element, context)
}

/** What a prop of a widget of the codebase is given, as Dart. */
const givenTo = (
  one: Attribute,
  prop: CodeProp,
  element: MarkupElement,
  context: WidgetContext,
): Dart | undefined => {
  switch (one.kind) {
    case 'markup':
      return shownIn(one.nodes, prop, context)
    case 'code':
      return raw(readCode(one.code, context))
    case 'text': {
      if (prop.type.kind !== 'handler') return raw(quoteDart(one.text))
      const link = text(one.text.startsWith('/') ? 'to' : 'href', one.text)
      return pressOf({ ...element, attributes: [link] }, context)
    }
    default:
      return undefined
  }
}

/** What is shown in a widget of the codebase: one widget, or a list where it takes one. */
const shownIn = (
  nodes: readonly MarkupNode[],
  { type }: CodeProp,
  context: WidgetContext,
): Dart => {
  const widgets = nodes.map((node) =>
    node.kind === 'text' ? call('Text', {}, [quoteDart(node.text)]) : itemOf(node, context),
  )
  if (type.text.startsWith('List<')) return list(widgets)
  const [only, ...others] = widgets
  return others.length === 0 ? only! : call('Column', { children: list(widgets) })
}

/** A widget of the codebase with what it is given: arguments without names in their places, then the others. */
const foreignOf = (
  element: MarkupElement,
  component: CodeComponent,
  context: WidgetContext,
): Dart => {
  const said = saidOf(element, context)
  const pressed = textOf(element, PRESS)
  const given = component.props.flatMap((prop): { prop: CodeProp; value: Dart }[] => {
    const one = attributeOf(element, prop.name)
    const value =
      prop.name === pressed
        ? pressOf(element, context)
        : prop.as === 'slot' && element.children.length > 0
          ? shownIn(element.children, prop, context)
          : one && givenTo(one, prop, element, context)
    return value ? [{ prop, value }] : []
  })
  const positional = given
    .filter(({ prop }) => prop.position !== undefined)
    .sort((a, b) => a.prop.position! - b.prop.position!)
    .map(({ value }) => value)
  const named = Object.fromEntries(
    given
      .filter(({ prop }) => prop.position === undefined)
      .map(({ prop, value }) => [prop.name, value]),
  )
  const own: Dart = {
    ...call(component.exported, named, positional),
    layer: element.layer,
    ...(component.isConst ? {} : { isVariable: true }),
  }
  return placed(boxed(own, said, context)!, said, context)
}

const wholeOf = (element: MarkupElement, context: WidgetContext): Dart => {
  const { tag } = element
  const part = context.parts.get(tag)
  if (part) return useOf(element, part, context)
  if (element.foreign) return foreignOf(element, element.foreign, context)
  const said = saidOf(element, context)
  const isLayered = holdsLayers(element.children, context)
  const shell = isLayered ? withoutRoom(said) : said
  const hidden = attributeOf(element, 'hidden')
  const isShown = hidden?.kind === 'code' ? readCode(hidden.code, context) : undefined
  /** What is shown and hidden in turns takes no room while it is hidden. */
  const inTurns = (own: Dart): Dart =>
    isShown === undefined ? own : call('Visibility', { visible: negate(isShown), child: own })
  // What says where it stands is said to what holds it, so that it comes outermost.
  const finish = (inner: Dart | undefined, around = inTurns): Dart => {
    const drawn = isLayered
      ? undefined
      : drawnButton(inner, () => pressOf(element, context), element, context)
    const box = (): Dart => boxed(inner, shell, context) ?? call('SizedBox.shrink')
    const pressed = drawn?.button ?? pressable(box(), said, element, context)
    const whole = meant(affected(pressed, said, context), element, context, drawn?.tells)
    return placed(around(marked(whole, element, context)), said, context)
  }
  const icon = context.icons.get(tag)
  if (icon !== undefined) {
    const drawing = call('SvgPicture.asset', { excludeFromSemantics: 'true' }, [quoteDart(icon)])
    return finish(drawing)
  }
  if (tag === 'img') {
    const picture = rounded(pictureWidget(element, said, context), said, context)
    return finish(picture)
  }
  if (tag === 'input' || tag === 'select' || tag === 'textarea') {
    return placed(control(element, said, context), said, context)
  }
  if (tag === 'FormMessages') {
    context.helpers.add('answers')
    return call('FormMessages', { answers: context.form })
  }
  if (isComponentTag(tag) && tag !== 'RouterLink') {
    return usedAs({ ...call(className(tag)), layer: element.layer }, element, context)
  }
  if (element.content === 'text') return finish(textWidget(element, said, context))
  const form = attributeOf(element, 'on:submit')
  const answers = form?.kind === 'code' ? dartName(form.code.replace(/\.submit$/, '')) : undefined
  const within = answers === undefined ? context : { ...context, form: answers }
  const inside = held(arrangedItems(element.children, said, within, isLayered), shell, context)
  if (answers !== undefined) {
    context.helpers.add('answers')
    return finish(inside, (own) => call('AnswerForm', { answers, child: own }))
  }
  return finish(inside)
}

/** Whether something takes the room that is left, or all the height there is: neither can stand in lines. */
const takesRoom = (node: MarkupNode, windows: Windows, context: WidgetContext): boolean => {
  const placing = placingOfNode(node, context)
  if (!placing) return false
  const said = saidWithin(placing, windows)
  const isGrowing = ['grow', 'flexible', 'pushed'].some((slot) => said.has(slot))
  return isGrowing || isEver(said.get('height'), 'double.infinity')
}

/** What says that things go on in the next line, or stand in columns. */
const BLOCKS = ['wrap', 'columns', 'tracks', 'runSpacing']

/**
 * Whether a box has lines or columns, or is one row or column. A row in which nothing takes the room that is left is a
 * line that does not break.
 */
const blocksOf = (
  nodes: readonly MarkupNode[],
  said: Said,
  context: WidgetContext,
): readonly Stretch<boolean>[] =>
  stretchesOf(said, ['wrap', 'columns', 'direction'], context, (own, windows) => {
    const isLine =
      said.has('wrap') &&
      isOnly(own.get('direction'), 'Axis.horizontal') &&
      !nodes.some((node) => takesRoom(node, windows, context))
    return own.has('wrap') || own.has('columns') || isLine
  })

/** What a box holds: at widths at which it is a row or a column, and at those at which it has lines or columns. */
const arrangedItems = (
  nodes: readonly MarkupNode[],
  said: Said,
  context: WidgetContext,
  isLayered = holdsLayers(nodes, context),
): Dart | undefined => {
  const arrange = (own: Said, inside: WidgetContext): Dart | undefined => {
    const { flow, under, above } = itemsOf(nodes, inside)
    return arranged(flow, { under, above, isLayered }, own, inside)
  }
  if (!said.has('wrap') && !said.has('columns'))
    return arrange(said, { ...context, holder: 'flex' })
  const stretches = blocksOf(nodes, said, context)
  return stretches.reduce<Dart | undefined>((narrower, { is: isBlock, windows }, i) => {
    const own = stretches.length === 1 ? said : saidWithin(said, windows)
    const holder = !isBlock ? 'flex' : own.has('columns') ? 'columns' : 'lines'
    const flexSaid = new Map([...own].filter(([slot]) => !BLOCKS.includes(slot)))
    const inside = stretches.length === 1 ? context : { ...context, ...windows }
    const here = arrange(isBlock ? own : flexSaid, { ...inside, holder })
    if (i === 0 || !here || !narrower) return here ?? narrower
    context.widths.add(windows.atLeast)
    const condition = fromName(windows.atLeast)
    return { kind: 'choice', condition, then: here, otherwise: narrower }
  }, undefined)
}

export type Items = {
  readonly flow: readonly Dart[]
  readonly under: readonly Dart[]
  readonly above: readonly Dart[]
}

/** The name a given thing gets where it is looked at: `sighting.note` → `note`. */
const shortName = (code: string): string => code.slice(code.lastIndexOf('.') + 1)

const onlyIf = (condition: string | undefined, item: Dart): Dart =>
  condition ? { kind: 'when', head: `if (${condition})`, item } : item

/** Something at the widths at which it is shown. */
const whereShown = (
  shown: SlotValue | undefined,
  context: WidgetContext,
  make: (inside: WidgetContext) => Dart,
): Dart => {
  const condition = shown && conditionOf(shown, context, (code) => code !== 'false')
  return onlyIf(condition, make(condition ? { ...context, ...knownFrom(condition) } : context))
}

const isNeverShown = (said: Said | undefined): boolean => isOnly(said?.get('shown'), 'false')

const itemOf = (node: MarkupNode, context: WidgetContext): Dart => {
  switch (node.kind) {
    case 'element': {
      const shown = placingOf(node, context).get('shown')
      return whereShown(shown, context, (inside) => wholeOf(node, inside))
    }
    case 'loop': {
      const { list: name, item, template } = node
      return {
        kind: 'when',
        head: `for (final ${item} in ${context.props.has(name) ? dartName(name) : listName(name)})`,
        item: itemOf(template, context),
      }
    }
    case 'when': {
      const { condition, content } = node
      const prop = context.props.get(condition)
      const isFlag = prop ? prop.kind === 'flag' : context.flags.has(condition)
      if (isFlag) return onlyIf(readCode(condition, context), itemOf(content, context))
      const name = shortName(condition)
      const inside = { ...context, renamed: new Map([...context.renamed, [condition, name]]) }
      return {
        kind: 'when',
        head: `if (${readCode(condition, context)} case final ${name}?)`,
        item: itemOf(content, inside),
      }
    }
    case 'slot':
      return raw(dartName(node.name))
    case 'text':
      return call('Text', {}, [quoteDart(node.text)])
    default:
      throw new Error(`No widget is made of ${node.kind}`)
  }
}

/** Takes the free room before something, at the widths at which it is shown and pushed to the end. */
const spacer = (said: Said, context: WidgetContext): Dart =>
  whereShown(said.get('shown'), context, (inside) => {
    const pushed = saidWithin(said, inside).get('pushed')
    const condition = pushed && conditionOf(pushed, inside, (code) => code === 'true')
    return onlyIf(condition, call('Spacer'))
  })

/** Where something stands that is there at times, or once for each thing in a list. */
const placingOfNode = (node: MarkupNode, context: WidgetContext): Said | undefined => {
  if (node.kind === 'element') return placingOf(node, context)
  if (node.kind === 'when') return placingOf(node.content, context)
  if (node.kind === 'loop') return placingOf(node.template, context)
  return node.kind === 'slot' ? placingOf(node.shows, context) : undefined
}

/** Whether something in a box lies over or under its neighbours, at some widths at least. */
const holdsLayers = (nodes: readonly MarkupNode[], context: WidgetContext): boolean =>
  nodes.some((node) => {
    const said = placingOfNode(node, context)
    if (said?.has('absolute')) return true
    return node.kind === 'element' && said?.has('contents') && holdsLayers(node.children, context)
  })

/** What stands in a box, in the flow and over or under it; what only groups is taken apart. */
export const itemsOf = (nodes: readonly MarkupNode[], context: WidgetContext): Items => {
  const items: { flow: Dart[]; under: Dart[]; above: Dart[] } = { flow: [], under: [], above: [] }
  for (const node of nodes) {
    if (node.kind === 'element' && context.skipped.has(node.tag)) continue
    const said = placingOfNode(node, context)
    if (isNeverShown(said)) continue
    if (node.kind === 'element' && said?.has('contents') && !context.parts.has(node.tag)) {
      const own = itemsOf(node.children, context)
      items.flow.push(...own.flow)
      items.under.push(...own.under)
      items.above.push(...own.above)
      continue
    }
    const isInFlex = context.holder === undefined || context.holder === 'flex'
    if (said?.has('pushed') && isInFlex) items.flow.push(spacer(said, context))
    for (const { place, item } of layersOf(node, said, context)) items[place].push(item)
  }
  return items
}

/** Where something lies that is over or under its neighbours at some widths, and among them at others. */
const layersOf = (
  node: MarkupNode,
  said: Said | undefined,
  context: WidgetContext,
): readonly { readonly place: keyof Items; readonly item: Dart }[] => {
  if (!said?.has('absolute')) return [{ place: 'flow', item: itemOf(node, context) }]
  const stretches = stretchesOf(said, ['absolute', 'under', 'shown'], context, (own) => {
    if (isNeverShown(own)) return undefined
    return !own.has('absolute') ? 'flow' : own.has('under') ? 'under' : 'above'
  })
  const places = new Set(stretches.map(({ is }) => is))
  places.delete(undefined)
  const [only] = places
  if (places.size === 1) return [{ place: only!, item: itemOf(node, context) }]
  return stretches.flatMap(({ is: place, windows }) => {
    if (!place) return []
    const item = itemOf(node, { ...context, ...windows })
    return [{ place, item: onlyIf(windowsCondition(windows, context), item) }]
  })
}

/** The widget that some markup is. */
export const toWidget = (markup: MarkupElement, context: WidgetContext): Dart => {
  const said = saidOf(markup, context)
  if (said.has('contents')) {
    return arrangedItems(markup.children, said, context) ?? call('SizedBox.shrink')
  }
  return wholeOf(markup, context)
}
