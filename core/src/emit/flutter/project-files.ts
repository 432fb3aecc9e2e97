import type { UiProject } from '../../ui/index.js'
import type { UiForm } from '../../ui/nodes.js'
import type { Phrases } from '../../ui/phrases.js'
import { toKebab } from '../../text/names.js'
import type { ComponentPlan } from '../shared/component-plan.js'
import { entry, scaffold, textFile, type EmittedFile } from '../shared/emitted-file.js'
import type { FontFile } from '../shared/font-files.js'
import { fontReadme } from '../shared/font-readme.js'
import { quoteDart } from './dart.js'
import { className, toFileName } from './names.js'
import type { FlutterTheme } from './theme.js'

const main = (
  project: UiProject,
  plan: ComponentPlan,
  theme: FlutterTheme,
  family: string | undefined,
): string => {
  const screens = plan.screens.map(({ name, route }) => ({ name: className(name), route }))
  const pages = screens.filter(({ route }) => route !== '*')
  const lost = screens.find(({ route }) => route === '*')
  const data = (mode: string): string => {
    const parts = [
      ...(mode === 'dark' ? ['brightness: Brightness.dark'] : []),
      ...(family === undefined ? [] : [`fontFamily: ${quoteDart(family)}`]),
      ...(theme.hasColors ? [`extensions: const [AppColors.${mode}]`] : []),
    ]
    return parts.length === 0
      ? 'ThemeData()'
      : `ThemeData(\n${parts.map((part) => `        ${part},\n`).join('')}      )`
  }
  const imports = screens.map(({ name }) => `import 'screens/${toFileName(name)}.dart';`)
  return `import 'package:flutter/material.dart';

${[...imports, ...(theme.hasColors ? ["import 'theme.dart';"] : [])].sort().join('\n')}

void main() => runApp(const App());

class App extends StatelessWidget {
  const App({super.key});

  @override
  Widget build(BuildContext context) {
    return MaterialApp(
      title: ${quoteDart(project.name)},
      theme: ${data('light')},
${theme.hasDark ? `      darkTheme: ${data('dark')},\n` : ''}      initialRoute: '/',
      routes: {
${pages.map(({ name, route }) => `        ${quoteDart(route)}: (context) => const ${name}(),\n`).join('')}      },
${lost ? `      onUnknownRoute: (settings) => MaterialPageRoute<void>(\n        settings: settings,\n        builder: (context) => const ${lost.name}(),\n      ),\n` : ''}    );
  }
}
`
}

const pubspec = (
  project: UiProject,
  files: {
    readonly assets: boolean
    readonly fonts: readonly FontFile[]
    readonly packages: readonly string[]
  },
): string => {
  const families = new Map<string, FontFile[]>()
  for (const file of files.fonts) {
    const { family } = file.font.face
    families.set(family, [...(families.get(family) ?? []), file])
  }
  const name = toKebab(project.name, 'screens')
    .replace(/-/g, '_')
    .replace(/^(?=\d)/, 'app_')
  const fonts = [...families].map(
    ([family, own]) =>
      `    - family: ${JSON.stringify(family)}\n      fonts:\n${own
        .map(({ file, font: { face } }) => {
          const weight = typeof face.weight === 'number' ? face.weight : 400
          return `        - asset: fonts/${file}\n          weight: ${String(Math.min(900, Math.max(100, Math.round(weight / 100) * 100)))}\n${face.italic ? '          style: italic\n' : ''}`
        })
        .join('')}`,
  )
  return `name: ${name}
description: Screens made from a design.
publish_to: none

environment:
  sdk: ^3.8.0
  flutter: ">=3.32.0"

dependencies:
  flutter:
    sdk: flutter
${files.packages.map((line) => `  ${line}\n`).join('')}
dev_dependencies:
  flutter_lints: ^6.0.0
  flutter_test:
    sdk: flutter

flutter:
  uses-material-design: true
${files.assets ? '  assets:\n    - assets/\n' : ''}${fonts.length > 0 ? `  fonts:\n${fonts.join('')}` : ''}`
}

const README = `# Screens

\`\`\`sh
flutter create --platforms=android,ios,web .
flutter pub get
flutter run
\`\`\`

The first command adds what each platform needs; it leaves these files as they are.
Each screen is a widget in \`lib/screens\`; tokens are in \`lib/theme.dart\`.
`

/** The file of a form: where its answers go, and what is said meanwhile. */
export const writeForm = (form: UiForm, name: string, phrases: Phrases): EmittedFile => {
  const { to, id } = form
  const isSent = to.kind === 'endpoint'
  const send = isSent
    ? `  final response = await http.post(
    Uri.parse(${quoteDart(to.url)}),
    headers: {'content-type': 'application/json'},
    body: jsonEncode(answers),
  );
  if (response.statusCode >= 400) throw Exception(response.reasonPhrase);
`
    : `  debugPrint('${id} $answers');\n`
  const imports = isSent
    ? "import 'dart:convert';\n\nimport 'package:http/http.dart' as http;\n\nimport '../shared/answers.dart';\n"
    : "import 'package:flutter/foundation.dart';\n\nimport '../shared/answers.dart';\n"
  return textFile(
    `lib/forms/${toFileName(name)}.dart`,
    `${imports}
/// ${isSent ? 'Sends the answers of the form.' : 'Gets the answers of the form. Fill in what becomes of them.'}
Future<void> _send(Map<String, Object?> answers) async {
${send}}

const ${name} = FormDefinition(
  send: _send,
  words: FormWords(
    missing: ${quoteDart(phrases.missing)},
    invalid: ${quoteDart(phrases.invalid)},
    sending: ${quoteDart(phrases.sending)},
    sent: ${quoteDart(form.sent ?? phrases.sent)},
    failed: ${quoteDart(form.failed ?? phrases.failed)},
  ),
);
`,
  )
}

type ProjectInput = {
  readonly plan: ComponentPlan
  readonly theme: FlutterTheme
  readonly fonts: readonly FontFile[]
  readonly family: string | undefined
  /** All code that was written, for the packages it uses. */
  readonly code: string
}

/** The files around the screens: entry, routes, theme and configuration. */
export const writeProject = (project: UiProject, input: ProjectInput): EmittedFile[] => {
  const { plan, theme, fonts, family, code } = input
  const packages = [
    ...(code.includes('package:flutter_svg/') ? ['flutter_svg: ^2.2.0'] : []),
    ...(code.includes('package:http/') ? ['http: ^1.5.0'] : []),
    ...(code.includes('package:url_launcher/') ? ['url_launcher: ^6.3.0'] : []),
  ]
  return [
    ...entry(textFile('lib/main.dart', main(project, plan, theme, family))),
    textFile('lib/theme.dart', theme.source()),
    ...scaffold(
      textFile('pubspec.yaml', pubspec(project, { assets: plan.assets.size > 0, fonts, packages })),
      textFile('analysis_options.yaml', 'include: package:flutter_lints/flutter.yaml\n'),
      textFile('README.md', README + fontReadme(project)),
    ),
  ]
}
