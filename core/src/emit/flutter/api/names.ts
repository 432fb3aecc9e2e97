import { EXPORTS } from '../behaviour/files.js'
import { FLUTTER } from './constructors.js'

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
