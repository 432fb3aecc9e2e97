import { EXPORTS } from './behaviour/files.js'

/**
 * What is used of Flutter's library: every constructor that is written, with the names of its arguments and the kinds of
 * their values. The tests hold all that is emitted against it, and what stands in for Flutter knows nothing else.
 */
export type FlutterType =
  'widget' | 'widgets' | 'number' | 'int' | 'bool' | 'string' | 'function' | 'value' | FlutterEnum

/** Types of which a value is one of several names, `Axis.vertical`; all begin with a capital. */
export type FlutterEnum =
  | 'Axis'
  | 'BoxFit'
  | 'Clip'
  | 'CrossAxisAlignment'
  | 'FlexFit'
  | 'FontStyle'
  | 'FontWeight'
  | 'MainAxisAlignment'
  | 'MainAxisSize'
  | 'StackFit'
  | 'TextAlign'
  | 'TextBaseline'
  | 'TextLeadingDistribution'
  | 'VerticalDirection'
  | 'WrapAlignment'
  | 'WrapCrossAlignment'

export type FlutterConstructor = {
  readonly isConst: boolean
  readonly positional?: readonly FlutterType[]
  readonly named?: Readonly<Record<string, FlutterType>>
}

const widget = (
  named: Readonly<Record<string, FlutterType>>,
  positional: readonly FlutterType[] = [],
  isConst = true,
): FlutterConstructor => ({ isConst, positional, named: { key: 'value', ...named } })

const value = (
  named: Readonly<Record<string, FlutterType>> = {},
  positional: readonly FlutterType[] = [],
  isConst = true,
): FlutterConstructor => ({ isConst, positional, named })

const FLEX = {
  mainAxisAlignment: 'MainAxisAlignment',
  mainAxisSize: 'MainAxisSize',
  crossAxisAlignment: 'CrossAxisAlignment',
  verticalDirection: 'VerticalDirection',
  textBaseline: 'TextBaseline',
  spacing: 'number',
  children: 'widgets',
} as const

/** The buttons of Material that are labelled alike. */
const BUTTON = widget({ onPressed: 'function', style: 'value', child: 'widget' })

/** What a style of a button may say, for all kinds of buttons. */
const BUTTON_STYLE = {
  backgroundColor: 'value',
  foregroundColor: 'value',
  disabledBackgroundColor: 'value',
  disabledForegroundColor: 'value',
  padding: 'value',
  side: 'value',
  shape: 'value',
  alignment: 'value',
} as const

const BUTTON_STYLE_FROM = value({ ...BUTTON_STYLE, textStyle: 'value' }, [], false)

export const FLUTTER: Readonly<Record<string, FlutterConstructor>> = {
  Align: widget({
    alignment: 'value',
    heightFactor: 'number',
    widthFactor: 'number',
    child: 'widget',
  }),
  AspectRatio: widget({ aspectRatio: 'number', child: 'widget' }),
  BackdropFilter: widget({ filter: 'value', child: 'widget' }, [], false),
  Center: widget({ child: 'widget' }),
  ClipRRect: widget({ borderRadius: 'value', child: 'widget' }),
  Column: widget(FLEX),
  ConstrainedBox: widget({ constraints: 'value', child: 'widget' }, [], false),
  Container: widget(
    {
      alignment: 'value',
      width: 'number',
      height: 'number',
      constraints: 'value',
      margin: 'value',
      padding: 'value',
      decoration: 'value',
      clipBehavior: 'Clip',
      child: 'widget',
    },
    [],
    false,
  ),
  DecoratedBox: widget({ decoration: 'value', child: 'widget' }),
  Dialog: widget({
    alignment: 'value',
    backgroundColor: 'value',
    insetPadding: 'value',
    shape: 'value',
    child: 'widget',
  }),
  ExcludeSemantics: widget({ child: 'widget' }),
  Expanded: widget({ flex: 'int', child: 'widget' }),
  FilledButton: BUTTON,
  Flex: widget({ ...FLEX, direction: 'Axis' }),
  Flexible: widget({ flex: 'int', fit: 'FlexFit', child: 'widget' }),
  FractionallySizedBox: widget({
    alignment: 'value',
    widthFactor: 'number',
    heightFactor: 'number',
    child: 'widget',
  }),
  IconButton: widget({
    onPressed: 'function',
    tooltip: 'string',
    style: 'value',
    icon: 'widget',
  }),
  'Image.asset': widget(
    {
      width: 'number',
      height: 'number',
      fit: 'BoxFit',
      alignment: 'value',
      semanticLabel: 'string',
      excludeFromSemantics: 'bool',
    },
    ['string'],
    false,
  ),
  ImageFiltered: widget({ imageFilter: 'value', child: 'widget' }, [], false),
  InkWell: widget({ onTap: 'function', borderRadius: 'value', child: 'widget' }),
  IntrinsicHeight: widget({ child: 'widget' }),
  IntrinsicWidth: widget({ child: 'widget' }),
  LayoutBuilder: widget({ builder: 'function' }),
  Material: widget({ type: 'value', color: 'value', child: 'widget' }),
  Opacity: widget({ opacity: 'number', child: 'widget' }),
  OutlinedButton: BUTTON,
  Padding: widget({ padding: 'value', child: 'widget' }),
  Positioned: widget({
    left: 'number',
    top: 'number',
    right: 'number',
    bottom: 'number',
    width: 'number',
    height: 'number',
    child: 'widget',
  }),
  'Positioned.fill': widget({ child: 'widget' }),
  Row: widget(FLEX),
  Scaffold: widget({ backgroundColor: 'value', body: 'widget' }),
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
      child: 'widget',
    },
    [],
    false,
  ),
  SingleChildScrollView: widget({ scrollDirection: 'Axis', child: 'widget' }),
  SizedBox: widget({ width: 'number', height: 'number', child: 'widget' }),
  'SizedBox.shrink': widget({}),
  Spacer: widget({}),
  Stack: widget({ fit: 'StackFit', clipBehavior: 'Clip', alignment: 'value', children: 'widgets' }),
  'SvgPicture.asset': widget(
    {
      width: 'number',
      height: 'number',
      fit: 'BoxFit',
      semanticsLabel: 'string',
      excludeFromSemantics: 'bool',
    },
    ['string'],
    false,
  ),
  Text: widget(
    {
      style: 'value',
      textAlign: 'TextAlign',
      softWrap: 'bool',
      overflow: 'value',
      semanticsLabel: 'string',
    },
    ['string'],
  ),
  'Text.rich': widget(
    { style: 'value', textAlign: 'TextAlign', softWrap: 'bool', overflow: 'value' },
    ['value'],
  ),
  TextButton: BUTTON,
  'Transform.rotate': widget({ angle: 'number', child: 'widget' }, [], false),
  'Transform.translate': widget({ offset: 'value', child: 'widget' }),
  Visibility: widget({ visible: 'bool', child: 'widget' }),
  Wrap: widget({
    direction: 'Axis',
    alignment: 'WrapAlignment',
    crossAxisAlignment: 'WrapCrossAlignment',
    spacing: 'number',
    runSpacing: 'number',
    children: 'widgets',
  }),
  // Values.
  Alignment: value({}, ['number', 'number']),
  AssetImage: value({}, ['string']),
  Border: value({ top: 'value', right: 'value', bottom: 'value', left: 'value' }),
  'Border.all': value({ color: 'value', width: 'number', strokeAlign: 'number' }, [], false),
  BorderSide: value({ color: 'value', width: 'number', strokeAlign: 'number' }),
  'BorderRadius.circular': value({}, ['number'], false),
  'BorderRadius.all': value({}, ['value']),
  'BorderRadius.only': value({
    topLeft: 'value',
    topRight: 'value',
    bottomRight: 'value',
    bottomLeft: 'value',
  }),
  BoxConstraints: value({
    minWidth: 'number',
    maxWidth: 'number',
    minHeight: 'number',
    maxHeight: 'number',
  }),
  BoxDecoration: value({
    color: 'value',
    gradient: 'value',
    image: 'value',
    border: 'value',
    borderRadius: 'value',
    boxShadow: 'value',
    shape: 'value',
  }),
  BoxShadow: value({
    color: 'value',
    offset: 'value',
    blurRadius: 'number',
    spreadRadius: 'number',
  }),
  Color: value({}, ['number']),
  DecorationImage: value({ image: 'value', fit: 'BoxFit', repeat: 'value', alignment: 'value' }),
  'EdgeInsets.all': value({}, ['number']),
  'EdgeInsets.only': value({ left: 'number', top: 'number', right: 'number', bottom: 'number' }),
  'EdgeInsets.symmetric': value({ horizontal: 'number', vertical: 'number' }),
  'FilledButton.styleFrom': BUTTON_STYLE_FROM,
  'IconButton.styleFrom': value(BUTTON_STYLE, [], false),
  'ImageFilter.blur': value({ sigmaX: 'number', sigmaY: 'number' }, [], false),
  InputDecoration: value({
    hintText: 'string',
    hintStyle: 'value',
    isDense: 'bool',
    filled: 'bool',
    fillColor: 'value',
    contentPadding: 'value',
    constraints: 'value',
    border: 'value',
    enabledBorder: 'value',
    focusedBorder: 'value',
  }),
  LinearGradient: value({ begin: 'value', end: 'value', colors: 'value', stops: 'value' }),
  Offset: value({}, ['number', 'number']),
  'OutlinedButton.styleFrom': BUTTON_STYLE_FROM,
  RadialGradient: value({ center: 'value', radius: 'number', colors: 'value', stops: 'value' }),
  'Radius.circular': value({}, ['number']),
  RoundedRectangleBorder: value({ borderRadius: 'value', side: 'value' }),
  SweepGradient: value({
    center: 'value',
    startAngle: 'number',
    colors: 'value',
    stops: 'value',
    transform: 'value',
  }),
  GradientRotation: value({}, ['number']),
  'TextButton.styleFrom': BUTTON_STYLE_FROM,
  TextSpan: value({ text: 'string', style: 'value', children: 'value' }),
  TextStyle: value({
    fontFamily: 'string',
    fontSize: 'number',
    fontWeight: 'FontWeight',
    fontStyle: 'FontStyle',
    height: 'number',
    letterSpacing: 'number',
    color: 'value',
    decoration: 'value',
    leadingDistribution: 'TextLeadingDistribution',
  }),
}

/**
 * Names of Flutter's material library and of Dart that a component might have too: a file that imports both could use
 * neither. From the index of the library's published documentation (Flutter 3.32).
 */
const MATERIAL = `AboutDialog AboutListTile Action ActionChip ActionDispatcher ActionListener Actions AlertDialog Align Alignment
  AnimatedAlign AnimatedBuilder AnimatedContainer AnimatedCrossFade AnimatedDefaultTextStyle AnimatedIcon
  AnimatedList AnimatedOpacity AnimatedPadding AnimatedPositioned AnimatedSize AnimatedSwitcher AnimatedWidget
  Animation AnimationController AppBar AppBarTheme AspectRatio AssetBundle AssetImage Autocomplete AutofillGroup
  BackButton BackdropFilter Badge BadgeTheme Banner Baseline BlockSemantics Border BorderRadius BorderSide
  BottomAppBar BottomNavigationBar BottomNavigationBarItem BottomSheet BoxBorder BoxConstraints BoxDecoration
  BoxFit BoxShadow Brightness BuildContext Builder Button ButtonBar ButtonStyle ButtonTheme CalendarDatePicker
  CallbackAction Canvas Card CardTheme CarouselController CarouselView Center Checkbox CheckboxListTile
  CheckboxTheme CheckedPopupMenuItem Chip ChipTheme ChoiceChip CircleAvatar CircleBorder CircularProgressIndicator
  ClipOval ClipPath ClipRRect ClipRect CloseButton Color ColorFilter ColorScheme ColorSwatch ColoredBox Colors
  Column ConstrainedBox Container ContextMenuController Curve Curves CustomPaint CustomPainter CustomScrollView
  DataCell DataColumn DataRow DataTable DataTableSource DateTime DateTimeRange DatePickerDialog DecoratedBox
  Decoration DecorationImage DefaultTabController DefaultTextStyle Dialog DialogRoute Directionality
  DismissDirection Dismissible Divider DividerTheme DragTarget Draggable Drawer DrawerButton DrawerHeader
  DropdownButton DropdownMenu DropdownMenuEntry DropdownMenuItem Duration EdgeInsets EditableText Element
  ElevatedButton Enum ErrorWidget ExcludeFocus ExcludeSemantics ExpandIcon Expanded ExpansionPanel
  ExpansionPanelList ExpansionTile Feedback FilledButton FilterChip FittedBox Flex FlexFit FlexibleSpaceBar
  Flexible FloatingActionButton FloatingLabelAlignment Flow Focus FocusNode FocusScope FocusTraversalGroup
  FontFeature FontStyle FontVariation FontWeight Form FormField FormState FractionalOffset FractionalTranslation
  FractionallySizedBox Function Future FutureBuilder GestureDetector Gradient GridPaper GridTile GridTileBar
  GridView Hero HeroController HtmlElementView Icon IconAlignment IconButton IconData IconTheme Icons
  IgnorePointer Image ImageFilter ImageIcon ImageProvider IndexedStack InheritedWidget Ink InkResponse InkWell
  InputBorder InputChip InputDecoration InputDecorator Intent InteractiveViewer IntrinsicHeight IntrinsicWidth
  Iterable Key KeyedSubtree LayoutBuilder LayerLink LicensePage LimitedBox LinearBorder LinearGradient
  LinearProgressIndicator List ListBody ListTile ListTileTheme ListView Listener Listenable Locale Localizations
  LookupBoundary Magnifier Map Material MaterialApp MaterialBanner MaterialButton MaterialColor MaterialPage
  MaterialState Matrix4 MediaQuery Menu MenuAnchor MenuBar MenuButton MenuController MenuItemButton MenuStyle
  MenuTheme MergeSemantics MetaData ModalBarrier ModalRoute MouseCursor MouseRegion NavigationBar
  NavigationDestination NavigationDrawer NavigationRail NavigationToolbar Navigator NestedScrollView NetworkImage
  Object Offset Offstage Opacity OrdinalSortKey Orientation OutlineInputBorder OutlinedButton Overlay OverlayEntry
  OverflowBar OverflowBox Padding Page PageController PageRoute PageView PaginatedDataTable Paint Path Pattern
  PhysicalModel Placeholder PlatformMenuBar PopScope PopupMenuButton PopupMenuDivider PopupMenuEntry PopupMenuItem
  Positioned PreferredSize PreferredSizeWidget ProgressIndicator RadialGradient Radio RadioGroup RadioListTile
  Radius RangeSlider RangeValues RawChip RawImage Record Rect RefreshIndicator RegExp ReorderableListView
  RepaintBoundary RestorationScope RichText RotatedBox RotationTransition Route RouteSettings Router
  RoundedRectangleBorder Row SafeArea ScaffoldMessenger Scaffold ScaleTransition Scrollable ScrollController
  ScrollView Scrollbar SearchAnchor SearchBar SearchController SearchDelegate SegmentedButton SelectableText
  SelectionArea Semantics Set Shader Shadow ShapeBorder Shortcuts SimpleDialog SimpleDialogOption
  SingleChildScrollView Size SizedBox SizedOverflowBox SlideTransition Slider SliverAppBar SliverGrid SliverList
  SliverToBoxAdapter SnackBar SnackBarAction Spacer SpellCheckService Stack StadiumBorder State StatefulBuilder
  StatefulWidget StatelessWidget Step StepState Stepper Stream StreamBuilder String StringBuffer Stopwatch
  StretchingOverscrollIndicator SweepGradient Switch SwitchListTile Symbol Tab TabBar TabBarView TabController
  Table TableBorder TableCell TableColumnWidth TableRow TapRegion Text TextAlign TextButton TextCapitalization
  TextDecoration TextDirection TextEditingController TextField TextFormField TextInput TextOverflow TextPainter
  TextSelection TextSpan TextStyle TextTheme Texture Theme ThemeData ThemeMode TickerMode TimeOfDay TimePickerDialog Title
  ToggleButtons Tooltip TooltipTheme Transform Tween Type Typography UniqueKey UnderlineInputBorder Uri
  UserAccountsDrawerHeader ValueKey ValueListenableBuilder ValueNotifier View VerticalDivider Viewport Visibility
  VisualDensity Widget WidgetSpan WidgetState WillPopScope Wrap YearPicker`

/** What Flutter and the shared files give names to, so that no component of a project may have them. */
export const FLUTTER_NAMES: ReadonlySet<string> = new Set([
  ...Object.keys(FLUTTER).map((name) => name.replace(/\..*/, '')),
  ...Object.values(EXPORTS).flat(),
  ...MATERIAL.split(/\s+/),
])

/** Whether a name or a literal is the same each time; `isCall`: of what is called, a constructor that may be constant. */
export const isConstant = (code: string, isCall = false): boolean => {
  if (isCall) {
    const known = FLUTTER[code.replace(/<.*>/, '')]
    // Components of the project may all be constant.
    return known ? known.isConst : /^[A-Z]\w*$/.test(code) || code === ''
  }
  return (
    /^(true|false|null|-?\d+(\.\d+)?|0x[0-9A-F]+|double\.infinity)$/.test(code) ||
    /^[A-Z]\w*\.[a-z]\w*$/.test(code) ||
    /^'(?:[^'\\$]|\\.)*'$|^"(?:[^"\\$]|\\.)*"$/.test(code)
  )
}
