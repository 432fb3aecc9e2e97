import type { FlutterEnum, FlutterType } from './constructors.js'

const words = (text: string): readonly string[] => text.split(' ')

const ENUMS: Readonly<Record<FlutterEnum, string>> = {
  Axis: 'horizontal vertical',
  BoxFit: 'fill contain cover fitWidth fitHeight none scaleDown',
  BoxShape: 'rectangle circle',
  Clip: 'none hardEdge antiAlias antiAliasWithSaveLayer',
  CrossAxisAlignment: 'start end center stretch baseline',
  FlexFit: 'tight loose',
  FontStyle: 'normal italic',
  FontWeight: 'w100 w200 w300 w400 w500 w600 w700 w800 w900 normal bold',
  ImageRepeat: 'repeat repeatX repeatY noRepeat',
  MainAxisAlignment: 'start end center spaceBetween spaceAround spaceEvenly',
  MainAxisSize: 'min max',
  MaterialType: 'canvas card circle button transparency',
  StackFit: 'loose expand passthrough',
  TextAlign: 'left right center justify start end',
  TextBaseline: 'alphabetic ideographic',
  TextDecoration: 'none underline overline lineThrough',
  TextLeadingDistribution: 'proportional even',
  TextOverflow: 'clip fade ellipsis visible',
  VerticalDirection: 'up down',
  WrapAlignment: 'start end center spaceBetween spaceAround spaceEvenly',
  WrapCrossAlignment: 'start end center',
}

const named = (
  of: string,
  names: string,
  type: FlutterType = of as FlutterType,
): readonly (readonly [string, FlutterType])[] =>
  words(names).map((name) => [`${of}.${name}`, type])

/**
 * The values that a class has under a name, and their types: `Alignment.center`. From the published documentation of
 * Flutter 3.32.
 */
export const FLUTTER_MEMBERS: ReadonlyMap<string, FlutterType> = new Map([
  ...Object.entries(ENUMS).flatMap(([type, names]) => named(type, names)),
  ...named(
    'Alignment',
    'topLeft topCenter topRight centerLeft center centerRight bottomLeft bottomCenter bottomRight',
  ),
  ...named('BorderRadius', 'zero'),
  ...named('BorderSide', 'none'),
  ...named('BorderSide', 'strokeAlignInside strokeAlignCenter strokeAlignOutside', 'number'),
  ...named('Colors', 'transparent black white', 'Color'),
  ...named('EdgeInsets', 'zero'),
  ...named('InputBorder', 'none'),
  ...named('Offset', 'zero infinite'),
  ...named('Radius', 'zero'),
  ...named('double', 'infinity nan maxFinite', 'number'),
])
