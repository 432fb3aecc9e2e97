import { textFile, type EmittedFile } from '../../shared/emitted-file.js'

/** Code of Dart that projects share, as text. */

const IS_CURRENT = `import 'package:flutter/widgets.dart';

/// Whether a route is that of the screen that is shown.
bool isCurrent(BuildContext context, String route) =>
    ModalRoute.of(context)?.settings.name == route;
`

const APP_LINK = `import 'package:flutter/material.dart';

/// What leads elsewhere when it is pressed, and is read out as a link.
class AppLink extends StatelessWidget {
  const AppLink({
    super.key,
    required this.onTap,
    this.borderRadius,
    required this.child,
  });

  final VoidCallback onTap;
  final BorderRadius? borderRadius;
  final Widget child;

  @override
  Widget build(BuildContext context) {
    return Semantics(
      link: true,
      child: InkWell(onTap: onTap, borderRadius: borderRadius, child: child),
    );
  }
}
`

const appScreen = (hasButtons: boolean): string => `import 'package:flutter/material.dart';
${hasButtons ? "\nimport 'drawn_buttons.dart';\n" : ''}
/// A screen: as high as the window, and scrolled when it is higher.
class AppScreen extends StatelessWidget {
  const AppScreen({super.key, required this.child});

  final Widget child;

  @override
  Widget build(BuildContext context) {
    return ${hasButtons ? DRAWN_SCREEN : PLAIN_SCREEN}
  }
}
`

const PLAIN_SCREEN = `Scaffold(
      body: LayoutBuilder(
        builder: (context, constraints) => SingleChildScrollView(
          child: ConstrainedBox(
            constraints: BoxConstraints(minHeight: constraints.maxHeight),
            child: child,
          ),
        ),
      ),
    );`

const DRAWN_SCREEN = `DrawnButtons(
      child: ${PLAIN_SCREEN.replaceAll('\n', '\n  ').replace(/;$/, ',')}
    );`

const DRAWN_BUTTONS = `import 'package:flutter/material.dart';

const _asDrawn = ButtonStyle(
  elevation: WidgetStatePropertyAll(0),
  minimumSize: WidgetStatePropertyAll(Size.zero),
  padding: WidgetStatePropertyAll(EdgeInsets.zero),
  shape: WidgetStatePropertyAll(RoundedRectangleBorder()),
  tapTargetSize: MaterialTapTargetSize.shrinkWrap,
  visualDensity: VisualDensity.standard,
);

/// Buttons are as large as the design has them: their own styles say their room and shape.
class DrawnButtons extends StatelessWidget {
  const DrawnButtons({super.key, required this.child});

  final Widget child;

  @override
  Widget build(BuildContext context) {
    return Theme(
      data: Theme.of(context).copyWith(
        filledButtonTheme: const FilledButtonThemeData(style: _asDrawn),
        iconButtonTheme: const IconButtonThemeData(style: _asDrawn),
        outlinedButtonTheme: const OutlinedButtonThemeData(style: _asDrawn),
        textButtonTheme: const TextButtonThemeData(style: _asDrawn),
      ),
      child: child,
    );
  }
}
`

const SCROLL_TO = `import 'package:flutter/widgets.dart';

/// Brings a part of the page into sight.
void scrollTo(String id) {
  final target = GlobalObjectKey(id).currentContext;
  if (target == null) return;
  Scrollable.ensureVisible(
    target,
    duration: const Duration(milliseconds: 300),
  );
}
`

const OPEN_ADDRESS = `import 'package:url_launcher/url_launcher.dart';

/// Opens an address outside of the app.
Future<void> openAddress(String address) async {
  await launchUrl(Uri.parse(address));
}
`

const COLUMNS = `import 'package:flutter/material.dart';

/// Things in columns, row by row; the columns are alike, or share out the room by their tracks.
class Columns extends StatelessWidget {
  const Columns({
    super.key,
    required this.count,
    this.tracks,
    this.spacing = 0,
    this.runSpacing = 0,
    this.crossAxisAlignment = CrossAxisAlignment.stretch,
    required this.children,
  });

  final int count;
  final List<int>? tracks;
  final double spacing;
  final double runSpacing;
  final CrossAxisAlignment crossAxisAlignment;
  final List<Widget> children;

  @override
  Widget build(BuildContext context) {
    return Column(
      crossAxisAlignment: CrossAxisAlignment.stretch,
      mainAxisSize: MainAxisSize.min,
      spacing: runSpacing,
      children: [
        for (var i = 0; i < children.length; i += count)
          IntrinsicHeight(
            child: Row(
              crossAxisAlignment: crossAxisAlignment,
              spacing: spacing,
              children: [
                for (var j = 0; j < count; j++)
                  Expanded(
                    flex: tracks?[j] ?? 1,
                    child: i + j < children.length
                        ? children[i + j]
                        : const SizedBox.shrink(),
                  ),
              ],
            ),
          ),
      ],
    );
  }
}
`

const BLEED = `import 'package:flutter/rendering.dart';
import 'package:flutter/widgets.dart';

/// Lets what is in it reach over its own edges, as a stroke does or a target
/// that is larger than what is seen of it.
class Bleed extends SingleChildRenderObjectWidget {
  const Bleed({super.key, required this.insets, super.child});

  final EdgeInsets insets;

  @override
  RenderObject createRenderObject(BuildContext context) => _RenderBleed(insets);

  @override
  void updateRenderObject(BuildContext context, RenderObject renderObject) {
    (renderObject as _RenderBleed).insets = insets;
  }
}

class _RenderBleed extends RenderShiftedBox {
  _RenderBleed(this._insets) : super(null);

  EdgeInsets _insets;

  set insets(EdgeInsets value) {
    if (value == _insets) return;
    _insets = value;
    markNeedsLayout();
  }

  @override
  void performLayout() {
    final child = this.child;
    if (child == null) {
      size = constraints.smallest;
      return;
    }
    child.layout(constraints.deflate(-_insets), parentUsesSize: true);
    size = constraints.constrain(_insets.deflateSize(child.size));
    final parentData = child.parentData! as BoxParentData;
    parentData.offset = Offset(-_insets.left, -_insets.top);
  }

  @override
  double computeMinIntrinsicWidth(double height) =>
      (super.computeMinIntrinsicWidth(height) - _insets.horizontal).clamp(
        0,
        double.infinity,
      );

  @override
  double computeMaxIntrinsicWidth(double height) =>
      (super.computeMaxIntrinsicWidth(height) - _insets.horizontal).clamp(
        0,
        double.infinity,
      );

  @override
  double computeMinIntrinsicHeight(double width) =>
      (super.computeMinIntrinsicHeight(width) - _insets.vertical).clamp(
        0,
        double.infinity,
      );

  @override
  double computeMaxIntrinsicHeight(double width) =>
      (super.computeMaxIntrinsicHeight(width) - _insets.vertical).clamp(
        0,
        double.infinity,
      );
}
`

const ANSWERS = `import 'package:flutter/material.dart';

/// What a form says; % stands for the label of a field.
class FormWords {
  const FormWords({
    required this.missing,
    required this.invalid,
    required this.sending,
    required this.sent,
    required this.failed,
  });

  final String missing;
  final String invalid;
  final String sending;
  final String sent;
  final String failed;
}

/// What becomes of the answers of a form, and what is said meanwhile.
class FormDefinition {
  const FormDefinition({required this.send, required this.words});

  final Future<void> Function(Map<String, Object?> answers) send;
  final FormWords words;
}

/// The answers of a form, and what became of them.
class Answers extends ChangeNotifier {
  Answers(this.definition, {this.onSent});

  final FormDefinition definition;
  final VoidCallback? onSent;
  final key = GlobalKey<FormState>();
  final _values = <String, Object?>{};
  final _fields = <String, TextEditingController>{};
  String _status = '';

  String get status => _status;

  static Answers? maybeOf(BuildContext context) =>
      context.getInheritedWidgetOfExactType<_AnswerScope>()?.answers;

  Object? operator [](String name) => _values[name];

  void operator []=(String name, Object? value) {
    _values[name] = value;
    notifyListeners();
  }

  /// The text of a field, which keeps it while the form is there.
  TextEditingController field(String name, String? start) =>
      _fields.putIfAbsent(name, () => TextEditingController(text: start));

  /// Counts the number in a field.
  void count(String name, int by) {
    final field = this.field(name, '0');
    field.text = '\${(num.tryParse(field.text) ?? 0) + by}';
  }

  /// Sends the answers, unless one of them is wrong.
  Future<void> submit() async {
    if (!(key.currentState?.validate() ?? true)) return;
    _say(definition.words.sending);
    try {
      await definition.send({
        for (final MapEntry(:key, :value) in _fields.entries) key: value.text,
        ..._values,
      });
    } on Exception {
      _say(definition.words.failed);
      return;
    }
    key.currentState?.reset();
    for (final field in _fields.values) {
      field.clear();
    }
    _say(definition.words.sent);
    onSent?.call();
  }

  void _say(String words) {
    _status = words;
    notifyListeners();
  }

  @override
  void dispose() {
    for (final field in _fields.values) {
      field.dispose();
    }
    super.dispose();
  }
}

class _AnswerScope extends InheritedWidget {
  const _AnswerScope({required this.answers, required super.child});

  final Answers answers;

  @override
  bool updateShouldNotify(_AnswerScope oldWidget) =>
      answers != oldWidget.answers;
}

/// A form whose fields keep their answers in one place.
class AnswerForm extends StatelessWidget {
  const AnswerForm({super.key, required this.answers, required this.child});

  final Answers answers;
  final Widget child;

  @override
  Widget build(BuildContext context) {
    return _AnswerScope(
      answers: answers,
      child: Form(key: answers.key, child: child),
    );
  }
}

/// What became of the answers of a form.
class FormMessages extends StatelessWidget {
  const FormMessages({super.key, this.answers});

  final Answers? answers;

  @override
  Widget build(BuildContext context) {
    final answers = this.answers ?? Answers.maybeOf(context);
    if (answers == null) return const SizedBox.shrink();
    return ListenableBuilder(
      listenable: answers,
      builder: (context, child) => answers.status.isEmpty
          ? const SizedBox.shrink()
          : Semantics(liveRegion: true, child: Text(answers.status)),
    );
  }
}

/// A field for text.
class AnswerField extends StatefulWidget {
  const AnswerField({
    super.key,
    required this.name,
    this.label,
    this.initialValue,
    this.enabled = true,
    this.isObscured = false,
    this.isLong = false,
    this.isRequired = false,
    this.keyboardType,
    this.style,
    this.decoration = const InputDecoration(),
  });

  final String name;
  final String? label;
  final String? initialValue;
  final bool enabled;
  final bool isObscured;
  final bool isLong;
  final bool isRequired;
  final TextInputType? keyboardType;
  final TextStyle? style;
  final InputDecoration decoration;

  @override
  State<AnswerField> createState() => _AnswerFieldState();
}

class _AnswerFieldState extends State<AnswerField> {
  late final _own = TextEditingController(text: widget.initialValue);

  @override
  void dispose() {
    _own.dispose();
    super.dispose();
  }

  @override
  Widget build(BuildContext context) {
    final answers = Answers.maybeOf(context);
    return Semantics(
      label: widget.label,
      child: TextFormField(
        controller: answers?.field(widget.name, widget.initialValue) ?? _own,
        enabled: widget.enabled,
        obscureText: widget.isObscured,
        maxLines: widget.isLong ? null : 1,
        expands: widget.isLong,
        textAlignVertical: widget.isLong
            ? TextAlignVertical.top
            : TextAlignVertical.center,
        keyboardType: widget.keyboardType,
        style: widget.style,
        decoration: widget.decoration,
        validator: (value) {
          final isMissing = widget.isRequired && (value ?? '').isEmpty;
          if (!isMissing || answers == null) return null;
          return answers.definition.words.missing.replaceFirst(
            '%',
            widget.label ?? widget.name,
          );
        },
      ),
    );
  }
}

/// One of several options.
class AnswerChoice extends StatelessWidget {
  const AnswerChoice({
    super.key,
    required this.name,
    this.label,
    required this.options,
    this.style,
    this.padding = EdgeInsets.zero,
    this.isRequired = false,
  });

  final String name;
  final String? label;
  final List<String> options;
  final TextStyle? style;
  final EdgeInsets padding;
  final bool isRequired;

  @override
  Widget build(BuildContext context) {
    return Semantics(
      label: label,
      child: DropdownButtonFormField<String>(
        initialValue: options.firstOrNull,
        isExpanded: true,
        style: style,
        decoration: InputDecoration(
          isDense: true,
          contentPadding: padding,
          border: InputBorder.none,
        ),
        items: [
          for (final option in options)
            DropdownMenuItem(value: option, child: Text(option)),
        ],
        onChanged: (value) => Answers.maybeOf(context)?[name] = value,
      ),
    );
  }
}

enum TickKind { checkbox, radio, toggle }

/// What is set or not: a box to tick, one of several, or a switch.
class AnswerTick extends StatefulWidget {
  const AnswerTick({
    super.key,
    required this.kind,
    required this.name,
    this.value,
    this.label,
    this.isOn = false,
    this.width,
    this.height,
    this.color,
    this.decoration,
  });

  final TickKind kind;
  final String name;

  /// Of one of several: what it stands for.
  final String? value;
  final String? label;
  final bool isOn;
  final double? width;
  final double? height;
  final Color? color;
  final BoxDecoration? decoration;

  @override
  State<AnswerTick> createState() => _AnswerTickState();
}

class _AnswerTickState extends State<AnswerTick> {
  late bool _isOn = widget.isOn;

  void _set(bool isOn) {
    setState(() => _isOn = isOn);
    final answers = Answers.maybeOf(context);
    if (widget.kind != TickKind.radio) answers?[widget.name] = isOn;
    if (widget.kind == TickKind.radio && isOn) {
      answers?[widget.name] = widget.value;
    }
  }

  @override
  Widget build(BuildContext context) {
    final answers = Answers.maybeOf(context);
    return ListenableBuilder(
      listenable: answers ?? ChangeNotifier(),
      builder: (context, child) {
        final chosen = answers?[widget.name];
        final isOn = widget.kind == TickKind.radio && chosen != null
            ? chosen == widget.value
            : _isOn;
        return Semantics(
          checked: isOn,
          label: widget.label,
          child: InkWell(
            onTap: () => _set(widget.kind == TickKind.radio || !isOn),
            child: Container(
              width: widget.width ?? 20,
              height: widget.height ?? 20,
              decoration: (widget.decoration ?? const BoxDecoration()).copyWith(
                color: isOn ? widget.color : null,
              ),
            ),
          ),
        );
      },
    );
  }
}

/// A number that is drawn along a line.
class AnswerSlider extends StatefulWidget {
  const AnswerSlider({super.key, required this.name});

  final String name;

  @override
  State<AnswerSlider> createState() => _AnswerSliderState();
}

class _AnswerSliderState extends State<AnswerSlider> {
  double _value = 0.5;

  @override
  Widget build(BuildContext context) {
    return Slider(
      value: _value,
      onChanged: (value) {
        setState(() => _value = value);
        Answers.maybeOf(context)?[widget.name] = value;
      },
    );
  }
}
`

const NOT_CONNECTED = `/// What is pressed and does nothing yet: the design does not say what it does.
void notConnected() {}
`

const FILES: Readonly<Record<string, string>> = {
  answers: ANSWERS,
  app_link: APP_LINK,
  bleed: BLEED,
  columns: COLUMNS,
  drawn_buttons: DRAWN_BUTTONS,
  is_current: IS_CURRENT,
  not_connected: NOT_CONNECTED,
  open_address: OPEN_ADDRESS,
  scroll_to: SCROLL_TO,
}

/** What the shared files export that components name, by the file. */
export const EXPORTS: Readonly<Record<string, readonly string[]>> = {
  answers: [
    'AnswerChoice',
    'AnswerField',
    'AnswerForm',
    'AnswerSlider',
    'AnswerTick',
    'Answers',
    'FormMessages',
    'TickKind',
  ],
  app_link: ['AppLink'],
  app_screen: ['AppScreen'],
  bleed: ['Bleed'],
  columns: ['Columns'],
  drawn_buttons: ['DrawnButtons'],
  is_current: ['isCurrent'],
  not_connected: ['notConnected'],
  open_address: ['openAddress'],
  scroll_to: ['scrollTo'],
}

/** The shared files that are used. */
export const writeHelpers = (used: ReadonlySet<string>): EmittedFile[] =>
  Object.entries({ ...FILES, app_screen: appScreen(used.has('drawn_buttons')) })
    .filter(([name]) => used.has(name))
    .map(([name, code]) => textFile(`lib/shared/${name}.dart`, code))
