import { createContext, runInContext } from 'node:vm'
import { bundleApp } from './bundler'
import type { SourceFileDto } from './dto/bundle.dto'
import { RUNTIMES, runtimeScript } from './runtimes'

const file = (path: string, content: string): SourceFileDto => ({ path, encoding: 'text', content })

const main = file(
  'src/main.tsx',
  'import { App } from "./App"; import "./index.css"; document.title = String(App)',
)

test('bundles the given files with their pictures', async () => {
  const bundle = await bundleApp([
    main,
    file('src/index.css', 'body {}'),
    file(
      'src/App.tsx',
      'import { createRoot } from "react-dom/client"; import dot from "./assets/dot.svg"; export const App = () => <img src={dot} alt={String(createRoot)} />',
    ),
    file('src/assets/dot.svg', '<svg xmlns="http://www.w3.org/2000/svg"/>'),
  ])
  expect('script' in bundle && bundle.script).toContain('data:image/svg+xml')
})

test('leaves the framework to the page, where it runs before', async () => {
  const bundle = await bundleApp([
    file(
      'src/main.tsx',
      'import { StrictMode } from "react"; import { createRoot } from "react-dom/client"; createRoot(document.getElementById("root")!).render(<StrictMode>Low water</StrictMode>)',
    ),
  ])
  if (!('script' in bundle)) throw new Error(bundle.errors.join())
  expect(bundle.runtimes).toEqual(['react'])
  expect(bundle.script.length).toBeLessThan(10_000)
  const said: unknown[] = []
  const jsx = (tag: unknown, props: unknown) => ({ tag, props })
  const page = createContext({
    document: { getElementById: (id: string) => id },
    previewRuntime: {
      react: { StrictMode: 'strict' },
      'react/jsx-runtime': { jsx },
      'react-dom/client': {
        createRoot: (place: unknown) => ({ render: (what: unknown) => said.push(place, what) }),
      },
    },
  })
  runInContext(bundle.script, page)
  expect(said).toEqual(['root', { tag: 'strict', props: { children: 'Low water' } }])
})

test.each([
  ['a file of this machine', 'import x from "/etc/passwd"; export const App = x'],
  ['a file outside the project', 'import x from "../../../package.json"; export const App = x'],
  ['a package that is not allowed', 'import fs from "typeorm"; export const App = fs'],
  ['a module of Node', 'import fs from "node:fs"; export const App = fs'],
])('refuses %s', async (_what, source) => {
  const bundle = await bundleApp([main, file('src/index.css', ''), file('src/App.tsx', source)])
  expect(bundle).toEqual({ errors: [expect.stringContaining('is not part of the project')] })
})

test('says what does not parse, and where', async () => {
  const bundle = await bundleApp([file('src/main.tsx', 'const a = 1\nexport const = 1')])
  expect(bundle).toEqual({ errors: [expect.stringMatching(/^src\/main\.tsx:2: Expected/)] })
})

const vueMain = file(
  'src/main.ts',
  'import { createApp } from "vue"; import App from "./App.vue"; createApp(App).mount("#app")',
)

test('bundles single-file components, with types of props from other files', async () => {
  const bundle = await bundleApp([
    vueMain,
    file(
      'src/App.vue',
      '<script setup lang="ts">\nimport Tide, { type TideProps } from "./Tide.vue";\nexport type AppProps = { label?: TideProps["label"] };\nconst { label = "Low water" } = defineProps<AppProps>();\n</script>\n<template><Tide :label="label" /></template>',
    ),
    file(
      'src/Tide.vue',
      '<script setup lang="ts">\nexport type TideProps = { label: string };\nconst { label } = defineProps<TideProps>();\n</script>\n<template><p>{{ label }}</p></template>',
    ),
  ])
  expect('errors' in bundle ? bundle.errors : []).toEqual([])
  expect('script' in bundle && bundle.script).toContain('Low water')
})

test('says in which single-file component something is wrong', async () => {
  const bundle = await bundleApp([vueMain, file('src/App.vue', '<template><p></template>')])
  expect(bundle).toEqual({ errors: ['src/App.vue:1: Element is missing end tag.'] })
})

test('a single-file component sees no other files than the given ones', async () => {
  const bundle = await bundleApp([
    vueMain,
    file(
      'src/App.vue',
      '<script setup lang="ts">\nimport x from "/etc/passwd";\n</script>\n<template><p>{{ x }}</p></template>',
    ),
  ])
  expect(bundle).toEqual({ errors: [expect.stringContaining('is not part of the project')] })
})

const angularMain = file(
  'src/main.ts',
  'import { bootstrapApplication } from "@angular/platform-browser";\nimport { App } from "./app/app";\nvoid bootstrapApplication(App);',
)

const angularApp = (template: string, more = ''): SourceFileDto[] => [
  angularMain,
  file('src/app/app.html', template),
  file(
    'src/app/app.ts',
    `import { Component, input } from "@angular/core";\n${more}@Component({ selector: "app-root", templateUrl: "./app.html" })\nexport class App {\n  readonly label = input("Low water");\n}\n`,
  ),
]

test('compiles components of Angular ahead of time, with the templates beside them', async () => {
  const bundle = await bundleApp(angularApp('<p>{{ label() }}</p>'))
  expect('errors' in bundle ? bundle.errors : []).toEqual([])
  expect('script' in bundle && bundle.script).toContain('Low water')
}, 30_000)

test('says in which template something is wrong', async () => {
  const bundle = await bundleApp(angularApp('@if (label()) { <p>'))
  expect(bundle).toEqual({
    errors: expect.arrayContaining([expect.stringContaining('src/app/app.html:1')]) as string[],
  })
}, 30_000)

test('a component of Angular sees no other files than the given ones', async () => {
  const bundle = await bundleApp(angularApp('<p></p>', 'import "../../../../etc/passwd";\n'))
  expect(bundle).toEqual({ errors: [expect.stringContaining('is not part of the project')] })
}, 30_000)

const flutterApp = (widget: string): SourceFileDto[] => [
  file(
    'lib/main.dart',
    "class App extends StatelessWidget {\n  const App({super.key});\n  @override\n  Widget build(BuildContext context) {\n    return MaterialApp(routes: {\n        '/': (context) => const Tide(),\n    });\n  }\n}\n",
  ),
  file(
    'lib/screens/tide.dart',
    `class Tide extends StatelessWidget {\n  const Tide({super.key});\n  @override\n  Widget build(BuildContext context) {\n    return ${widget};\n  }\n}\n`,
  ),
]

test('sends the code of Flutter, parsed, with what stands in for Flutter', async () => {
  const bundle = await bundleApp(flutterApp("const Text('Low water')"))
  expect('errors' in bundle ? bundle.errors : []).toEqual([])
  expect('script' in bundle && bundle.script).toContain("'Low water'")
  expect('script' in bundle && bundle.script).toContain('"/":"Tide"')
}, 30_000)

test('says in which line Dart cannot be read', async () => {
  const bundle = await bundleApp(flutterApp('Text(('))
  expect(bundle).toEqual({ errors: [expect.stringMatching(/^lib\/screens\/tide\.dart:\d+: /)] })
}, 30_000)

test.each(RUNTIMES)('the runtime of %s is one script, bundled once', async (name) => {
  const script = await runtimeScript(name)
  expect(script).toContain('globalThis.previewRuntime')
  expect(await runtimeScript(name)).toBe(script)
})
