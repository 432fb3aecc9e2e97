/**
 * What is used of Flutter's library: every constructor that is written, with the names of its arguments and the types of
 * their values. The tests hold all that is emitted against it, and what stands in for Flutter knows nothing else. From
 * the published documentation of Flutter 3.32.
 */
export type FlutterType =
  | 'widget'
  | 'widgets'
  | 'number'
  | 'numbers'
  | 'int'
  | 'bool'
  | 'string'
  | 'function'
  | 'spans'
  | 'colors'
  | 'shadows'
  | FlutterEnum
  | FlutterClass

/** Types of which a value is one of several names, `Axis.vertical`. */
export type FlutterEnum =
  | 'Axis'
  | 'BoxFit'
  | 'BoxShape'
  | 'Clip'
  | 'CrossAxisAlignment'
  | 'FlexFit'
  | 'FontStyle'
  | 'FontWeight'
  | 'ImageRepeat'
  | 'MainAxisAlignment'
  | 'MainAxisSize'
  | 'MaterialType'
  | 'StackFit'
  | 'TextAlign'
  | 'TextBaseline'
  | 'TextDecoration'
  | 'TextLeadingDistribution'
  | 'TextOverflow'
  | 'VerticalDirection'
  | 'WrapAlignment'
  | 'WrapCrossAlignment'

/** Types of which a value is made. */
export type FlutterClass =
  | 'Alignment'
  | 'Border'
  | 'BorderRadius'
  | 'BorderSide'
  | 'BoxConstraints'
  | 'BoxShadow'
  | 'ButtonStyle'
  | 'Color'
  | 'Decoration'
  | 'DecorationImage'
  | 'EdgeInsets'
  | 'Gradient'
  | 'GradientRotation'
  | 'ImageFilter'
  | 'ImageProvider'
  | 'InputBorder'
  | 'InputDecoration'
  | 'Key'
  | 'Offset'
  | 'Radius'
  | 'ShapeBorder'
  | 'TextSpan'
  | 'TextStyle'

export type FlutterConstructor = {
  /** What it makes. */
  readonly type: FlutterType
  readonly isConst: boolean
  readonly positional: readonly FlutterType[]
  readonly named: Readonly<Record<string, FlutterType>>
  /** Arguments without which Dart refuses the call. */
  readonly required: readonly string[]
  /** Arguments that have a value of their own, and may not be null. */
  readonly notNull: readonly string[]
}

type Named = Readonly<Record<string, FlutterType>>
type More = Partial<Pick<FlutterConstructor, 'isConst' | 'positional' | 'required' | 'notNull'>>

const made = (type: FlutterType, named: Named, more: More = {}): FlutterConstructor => ({
  type,
  named,
  isConst: true,
  positional: [],
  required: [],
  notNull: [],
  ...more,
})

const widget = (named: Named, more: More = {}): FlutterConstructor =>
  made('widget', { key: 'Key', ...named }, more)

const CHILD = { child: 'widget' } as const
/** `child` may not be left out. */
const WITH_CHILD: More = { required: ['child'] }
const NOT_CONST: More = { isConst: false }

const FLEX = {
  mainAxisAlignment: 'MainAxisAlignment',
  mainAxisSize: 'MainAxisSize',
  crossAxisAlignment: 'CrossAxisAlignment',
  verticalDirection: 'VerticalDirection',
  textBaseline: 'TextBaseline',
  spacing: 'number',
  children: 'widgets',
} as const
const FLEX_NOT_NULL = [
  'mainAxisAlignment',
  'mainAxisSize',
  'crossAxisAlignment',
  'verticalDirection',
  'spacing',
  'children',
]

/** The buttons of Material that are labelled alike. `onPressed` may be null, and has to be said. */
const BUTTON = widget(
  { onPressed: 'function', style: 'ButtonStyle', ...CHILD },
  { required: ['onPressed', 'child'] },
)

/** What a style of a button may say, for all kinds of buttons. */
const BUTTON_STYLE = {
  backgroundColor: 'Color',
  foregroundColor: 'Color',
  disabledBackgroundColor: 'Color',
  disabledForegroundColor: 'Color',
  padding: 'EdgeInsets',
  side: 'BorderSide',
  shape: 'ShapeBorder',
  alignment: 'Alignment',
} as const

const BUTTON_STYLE_FROM = made(
  'ButtonStyle',
  { ...BUTTON_STYLE, textStyle: 'TextStyle' },
  NOT_CONST,
)

const SIDE = { color: 'Color', width: 'number', strokeAlign: 'number' } as const
const SIDE_NOT_NULL = ['color', 'width', 'strokeAlign']
const GRADIENT = { colors: 'colors', stops: 'numbers' } as const

export const FLUTTER: Readonly<Record<string, FlutterConstructor>> = {
  Align: widget(
    { alignment: 'Alignment', heightFactor: 'number', widthFactor: 'number', ...CHILD },
    { notNull: ['alignment'] },
  ),
  AspectRatio: widget(
    { aspectRatio: 'number', ...CHILD },
    { required: ['aspectRatio'], notNull: ['aspectRatio'] },
  ),
  BackdropFilter: widget(
    { filter: 'ImageFilter', ...CHILD },
    { ...NOT_CONST, required: ['filter'], notNull: ['filter'] },
  ),
  Center: widget(CHILD),
  ClipRRect: widget(
    { borderRadius: 'BorderRadius', clipBehavior: 'Clip', ...CHILD },
    { notNull: ['borderRadius', 'clipBehavior'] },
  ),
  Column: widget(FLEX, { notNull: FLEX_NOT_NULL }),
  ConstrainedBox: widget(
    { constraints: 'BoxConstraints', ...CHILD },
    { ...NOT_CONST, required: ['constraints'], notNull: ['constraints'] },
  ),
  Container: widget(
    {
      alignment: 'Alignment',
      color: 'Color',
      width: 'number',
      height: 'number',
      constraints: 'BoxConstraints',
      margin: 'EdgeInsets',
      padding: 'EdgeInsets',
      decoration: 'Decoration',
      clipBehavior: 'Clip',
      ...CHILD,
    },
    { ...NOT_CONST, notNull: ['clipBehavior'] },
  ),
  DecoratedBox: widget(
    { decoration: 'Decoration', ...CHILD },
    { required: ['decoration'], notNull: ['decoration'] },
  ),
  Dialog: widget({
    alignment: 'Alignment',
    backgroundColor: 'Color',
    insetPadding: 'EdgeInsets',
    shape: 'ShapeBorder',
    ...CHILD,
  }),
  ExcludeSemantics: widget({ excluding: 'bool', ...CHILD }, { notNull: ['excluding'] }),
  Expanded: widget({ flex: 'int', ...CHILD }, { ...WITH_CHILD, notNull: ['flex', 'child'] }),
  FilledButton: BUTTON,
  Flex: widget(
    { ...FLEX, direction: 'Axis' },
    { required: ['direction'], notNull: [...FLEX_NOT_NULL, 'direction'] },
  ),
  Flexible: widget(
    { flex: 'int', fit: 'FlexFit', ...CHILD },
    { ...WITH_CHILD, notNull: ['flex', 'fit', 'child'] },
  ),
  FractionallySizedBox: widget(
    { alignment: 'Alignment', widthFactor: 'number', heightFactor: 'number', ...CHILD },
    { notNull: ['alignment'] },
  ),
  IconButton: widget(
    { onPressed: 'function', tooltip: 'string', style: 'ButtonStyle', icon: 'widget' },
    { required: ['onPressed', 'icon'], notNull: ['icon'] },
  ),
  'Image.asset': widget(
    {
      width: 'number',
      height: 'number',
      fit: 'BoxFit',
      alignment: 'Alignment',
      semanticLabel: 'string',
      excludeFromSemantics: 'bool',
    },
    { ...NOT_CONST, positional: ['string'], notNull: ['alignment', 'excludeFromSemantics'] },
  ),
  ImageFiltered: widget(
    { imageFilter: 'ImageFilter', ...CHILD },
    { ...NOT_CONST, required: ['imageFilter'], notNull: ['imageFilter'] },
  ),
  InkWell: widget({ onTap: 'function', borderRadius: 'BorderRadius', ...CHILD }),
  IntrinsicHeight: widget(CHILD),
  IntrinsicWidth: widget(CHILD),
  LayoutBuilder: widget({ builder: 'function' }, { required: ['builder'], notNull: ['builder'] }),
  Material: widget({ type: 'MaterialType', color: 'Color', ...CHILD }, { notNull: ['type'] }),
  Opacity: widget({ opacity: 'number', ...CHILD }, { required: ['opacity'], notNull: ['opacity'] }),
  OutlinedButton: BUTTON,
  Padding: widget(
    { padding: 'EdgeInsets', ...CHILD },
    { required: ['padding'], notNull: ['padding'] },
  ),
  Positioned: widget(
    {
      left: 'number',
      top: 'number',
      right: 'number',
      bottom: 'number',
      width: 'number',
      height: 'number',
      ...CHILD,
    },
    { ...WITH_CHILD, notNull: ['child'] },
  ),
  'Positioned.fill': widget(CHILD, { ...WITH_CHILD, notNull: ['child'] }),
  Row: widget(FLEX, { notNull: FLEX_NOT_NULL }),
  Scaffold: widget({ backgroundColor: 'Color', body: 'widget' }),
  Semantics: widget(
    {
      container: 'bool',
      header: 'bool',
      headingLevel: 'int',
      label: 'string',
      value: 'string',
      link: 'bool',
      button: 'bool',
      selected: 'bool',
      expanded: 'bool',
      explicitChildNodes: 'bool',
      ...CHILD,
    },
    { ...NOT_CONST, notNull: ['container', 'explicitChildNodes'] },
  ),
  SingleChildScrollView: widget(
    { scrollDirection: 'Axis', ...CHILD },
    { notNull: ['scrollDirection'] },
  ),
  SizedBox: widget({ width: 'number', height: 'number', ...CHILD }),
  'SizedBox.shrink': widget(CHILD),
  Spacer: widget({ flex: 'int' }, { notNull: ['flex'] }),
  Stack: widget(
    { fit: 'StackFit', clipBehavior: 'Clip', alignment: 'Alignment', children: 'widgets' },
    { notNull: ['fit', 'clipBehavior', 'alignment', 'children'] },
  ),
  'SvgPicture.asset': widget(
    {
      width: 'number',
      height: 'number',
      fit: 'BoxFit',
      semanticsLabel: 'string',
      excludeFromSemantics: 'bool',
    },
    { ...NOT_CONST, positional: ['string'], notNull: ['fit', 'excludeFromSemantics'] },
  ),
  Text: widget(
    {
      style: 'TextStyle',
      textAlign: 'TextAlign',
      softWrap: 'bool',
      overflow: 'TextOverflow',
      semanticsLabel: 'string',
    },
    { positional: ['string'] },
  ),
  'Text.rich': widget(
    { style: 'TextStyle', textAlign: 'TextAlign', softWrap: 'bool', overflow: 'TextOverflow' },
    { positional: ['TextSpan'] },
  ),
  TextButton: BUTTON,
  'Transform.rotate': widget(
    { angle: 'number', ...CHILD },
    { ...NOT_CONST, required: ['angle'], notNull: ['angle'] },
  ),
  'Transform.translate': widget(
    { offset: 'Offset', ...CHILD },
    { required: ['offset'], notNull: ['offset'] },
  ),
  Visibility: widget(
    { visible: 'bool', ...CHILD },
    { ...WITH_CHILD, notNull: ['visible', 'child'] },
  ),
  Wrap: widget(
    {
      direction: 'Axis',
      alignment: 'WrapAlignment',
      crossAxisAlignment: 'WrapCrossAlignment',
      spacing: 'number',
      runSpacing: 'number',
      children: 'widgets',
    },
    {
      notNull: [
        'direction',
        'alignment',
        'crossAxisAlignment',
        'spacing',
        'runSpacing',
        'children',
      ],
    },
  ),
  // Values.
  Alignment: made('Alignment', {}, { positional: ['number', 'number'] }),
  AssetImage: made('ImageProvider', {}, { positional: ['string'] }),
  Border: made(
    'Border',
    { top: 'BorderSide', right: 'BorderSide', bottom: 'BorderSide', left: 'BorderSide' },
    { notNull: ['top', 'right', 'bottom', 'left'] },
  ),
  'Border.all': made('Border', SIDE, { ...NOT_CONST, notNull: SIDE_NOT_NULL }),
  BorderSide: made('BorderSide', SIDE, { notNull: SIDE_NOT_NULL }),
  'BorderRadius.circular': made('BorderRadius', {}, { ...NOT_CONST, positional: ['number'] }),
  'BorderRadius.all': made('BorderRadius', {}, { positional: ['Radius'] }),
  'BorderRadius.only': made(
    'BorderRadius',
    { topLeft: 'Radius', topRight: 'Radius', bottomRight: 'Radius', bottomLeft: 'Radius' },
    { notNull: ['topLeft', 'topRight', 'bottomRight', 'bottomLeft'] },
  ),
  BoxConstraints: made(
    'BoxConstraints',
    { minWidth: 'number', maxWidth: 'number', minHeight: 'number', maxHeight: 'number' },
    { notNull: ['minWidth', 'maxWidth', 'minHeight', 'maxHeight'] },
  ),
  BoxDecoration: made(
    'Decoration',
    {
      color: 'Color',
      gradient: 'Gradient',
      image: 'DecorationImage',
      border: 'Border',
      borderRadius: 'BorderRadius',
      boxShadow: 'shadows',
      shape: 'BoxShape',
    },
    { notNull: ['shape'] },
  ),
  BoxShadow: made(
    'BoxShadow',
    { color: 'Color', offset: 'Offset', blurRadius: 'number', spreadRadius: 'number' },
    { notNull: ['color', 'offset', 'blurRadius', 'spreadRadius'] },
  ),
  Color: made('Color', {}, { positional: ['int'] }),
  DecorationImage: made(
    'DecorationImage',
    { image: 'ImageProvider', fit: 'BoxFit', repeat: 'ImageRepeat', alignment: 'Alignment' },
    { required: ['image'], notNull: ['image', 'repeat', 'alignment'] },
  ),
  'EdgeInsets.all': made('EdgeInsets', {}, { positional: ['number'] }),
  'EdgeInsets.only': made(
    'EdgeInsets',
    { left: 'number', top: 'number', right: 'number', bottom: 'number' },
    { notNull: ['left', 'top', 'right', 'bottom'] },
  ),
  'EdgeInsets.symmetric': made(
    'EdgeInsets',
    { horizontal: 'number', vertical: 'number' },
    { notNull: ['horizontal', 'vertical'] },
  ),
  'FilledButton.styleFrom': BUTTON_STYLE_FROM,
  GradientRotation: made('GradientRotation', {}, { positional: ['number'] }),
  'IconButton.styleFrom': made('ButtonStyle', BUTTON_STYLE, NOT_CONST),
  'ImageFilter.blur': made(
    'ImageFilter',
    { sigmaX: 'number', sigmaY: 'number' },
    { ...NOT_CONST, notNull: ['sigmaX', 'sigmaY'] },
  ),
  InputDecoration: made('InputDecoration', {
    hintText: 'string',
    hintStyle: 'TextStyle',
    isDense: 'bool',
    filled: 'bool',
    fillColor: 'Color',
    contentPadding: 'EdgeInsets',
    constraints: 'BoxConstraints',
    border: 'InputBorder',
    enabledBorder: 'InputBorder',
    focusedBorder: 'InputBorder',
  }),
  LinearGradient: made(
    'Gradient',
    { begin: 'Alignment', end: 'Alignment', ...GRADIENT },
    { required: ['colors'], notNull: ['begin', 'end', 'colors'] },
  ),
  Offset: made('Offset', {}, { positional: ['number', 'number'] }),
  'OutlinedButton.styleFrom': BUTTON_STYLE_FROM,
  RadialGradient: made(
    'Gradient',
    { center: 'Alignment', radius: 'number', ...GRADIENT },
    { required: ['colors'], notNull: ['center', 'radius', 'colors'] },
  ),
  'Radius.circular': made('Radius', {}, { positional: ['number'] }),
  RoundedRectangleBorder: made(
    'ShapeBorder',
    { borderRadius: 'BorderRadius', side: 'BorderSide' },
    { notNull: ['borderRadius', 'side'] },
  ),
  SweepGradient: made(
    'Gradient',
    { center: 'Alignment', startAngle: 'number', ...GRADIENT, transform: 'GradientRotation' },
    { required: ['colors'], notNull: ['center', 'startAngle', 'colors'] },
  ),
  'TextButton.styleFrom': BUTTON_STYLE_FROM,
  TextSpan: made('TextSpan', { text: 'string', style: 'TextStyle', children: 'spans' }),
  TextStyle: made('TextStyle', {
    fontFamily: 'string',
    fontSize: 'number',
    fontWeight: 'FontWeight',
    fontStyle: 'FontStyle',
    height: 'number',
    letterSpacing: 'number',
    color: 'Color',
    decoration: 'TextDecoration',
    leadingDistribution: 'TextLeadingDistribution',
  }),
}
