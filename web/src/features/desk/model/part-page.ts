import { saysNumber } from '@unimorph/core'
import type { EmittedComponent, Prop } from '@unimorph/core'
import type { Bundle, PreviewFile } from '../../../shared/lib/api'
import type { Converted } from '../../../engine/protocol'
import { buildAppPage, toSources } from './preview-html'

/** What a component is given: a picture by the name it is imported under, a list by its texts. */
type Thing = Readonly<Record<string, string>>

export type Given = Readonly<
  Record<
    string,
    string | number | boolean | readonly string[] | readonly Thing[] | { readonly picture: string }
  >
>

/** Between the texts of one thing, where a list of things is typed, a thing a line. */
const BETWEEN = ' | '

/** A list as lines to be typed. */
export const linesOf = (value: Given[string] | undefined): string =>
  Array.isArray(value)
    ? (value as readonly (string | Thing)[])
        .map((one) => (typeof one === 'string' ? one : Object.values(one).join(BETWEEN)))
        .join('\n')
    : ''

/** What was typed as a list: its texts, or things that have `fields`. */
export const readLines = (
  text: string,
  fields: Prop['fields'],
  between = BETWEEN,
): readonly string[] | readonly Thing[] => {
  const lines = text.split('\n')
  if (!fields) return lines
  return lines.map((line) => {
    const texts = line.split(between)
    return Object.fromEntries(fields.map(({ name }, i) => [name, texts[i]?.trim() ?? '']))
  })
}

/** Where the pictures are that components are given, by the names they are imported under. */
export const findPictures = ({
  alone: { files },
}: Pick<Converted, 'alone'>): ReadonlyMap<string, string> => {
  const found = new Map<string, string>()
  for (const { content } of files) {
    if (content.kind !== 'text') continue
    for (const [, name, path] of content.text.matchAll(
      /^import (\w+) from "\.\.\/(assets\/[^"]+)";$/gm,
    ))
      found.set(name!, path!)
  }
  return found
}

const importPictures = (pictures: ReadonlyMap<string, string>): string =>
  [...pictures].map(([name, path]) => `import ${name} from "./${path}";\n`).join('') +
  `const pictures = { ${[...pictures.keys()].join(', ')} };\n`

/** What apps have in common: props come in by message, pictures by name. */
const LISTEN = `const unpack = (props) =>
  Object.fromEntries(
    Object.entries(props).map(([name, value]) => [name, value?.picture ? pictures[value.picture] : value]),
  );
addEventListener("message", ({ source, data }) => {
  if (source === parent && data?.kind === "props") show(unpack(data.props));
});
parent.postMessage({ kind: "waits" }, "*");
`

const reactEntry = (tag: string, pictures: ReadonlyMap<string, string>): string =>
  `import { createRoot } from "react-dom/client";
import { HashRouter } from "react-router";
import { ${tag} as Part } from "./components/${tag}";
${importPictures(pictures)}const root = createRoot(document.getElementById("root"));
const show = (props) => root.render(<HashRouter><Part {...props} /></HashRouter>);
${LISTEN}`

const vueEntry = (tag: string, pictures: ReadonlyMap<string, string>): string =>
  `import { createApp, h, shallowRef } from "vue";
import { createRouter, createWebHashHistory } from "vue-router";
import Part from "./components/${tag}.vue";
${importPictures(pictures)}const given = shallowRef({});
const show = (props) => (given.value = props);
const nothing = { render: () => null };
const routes = [{ path: "/:all(.*)*", component: nothing }];
const router = createRouter({ history: createWebHashHistory(), routes });
createApp({ render: () => h(Part, given.value) }).use(router).mount("#app");
${LISTEN}`

/** A form stands around the component, which takes any field. */
const angularEntry = (tag: string, _pictures: unknown, path: string): string =>
  `import { Component, viewChild, ViewContainerRef } from "@angular/core";
import { FormControl, FormGroup, ReactiveFormsModule } from "@angular/forms";
import { bootstrapApplication } from "@angular/platform-browser";
import { provideRouter, withHashLocation } from "@angular/router";
import { ${tag} as Part } from "${path.replace(/^src\//, './').replace(/\.(?:html|ts)$/, '')}";
const pictures = {};
class AnyForm extends FormGroup {
  get() {
    return new FormControl();
  }
}
@Component({
  selector: "app-root",
  imports: [ReactiveFormsModule],
  template: '<form [formGroup]="form" style="display: contents"><ng-container #place /></form>',
})
class App {
  form = new AnyForm({});
  place = viewChild("place", { read: ViewContainerRef });
  show(props) {
    this.place().clear();
    const part = this.place().createComponent(Part);
    for (const [name, value] of Object.entries(props)) part.setInput(name, value);
  }
}
@Component({ selector: "app-nothing", template: "" })
class Nothing {}
const routes = [{ path: "**", component: Nothing }];
bootstrapApplication(App, { providers: [provideRouter(routes, withHashLocation())] }).then((app) => {
const show = (props) => app.components[0].instance.show(props);
${LISTEN}});
`

const ENTRIES = {
  angular: { path: 'src/main.ts', write: angularEntry },
  react: { path: 'src/main.tsx', write: reactEntry },
  vue: { path: 'src/main.ts', write: vueEntry },
} as const

/** Whether a component of a target can be run by itself. */
export const canTry = (target: string): boolean => Object.hasOwn(ENTRIES, target)

/** The sources of an app that shows one component; undefined for targets without components. */
export const buildPartFiles = (
  converted: Converted,
  { tag }: EmittedComponent,
): readonly PreviewFile[] | undefined => {
  const entry = ENTRIES[converted.target as keyof typeof ENTRIES]
  if (!entry) return undefined
  const path = converted.alone.components.find((one) => one.tag === tag)?.path ?? ''
  const content = entry.write(tag, findPictures(converted), path)
  return [
    ...toSources(converted.alone.files).filter(({ path }) => path !== entry.path),
    { path: entry.path, encoding: 'text', content },
  ]
}

/** The page a component runs in, with room around it. */
export const buildPartPage = (converted: Converted, bundle: Bundle): string => {
  return buildAppPage(converted.alone, bundle, { room: 24 })
}

/** What an instance gives its component. */
export const givenBy = ({ props, uses }: EmittedComponent, layer: string | undefined): Given => {
  const use = uses.find((one) => one.layer === layer) ?? uses[0]
  return Object.fromEntries(
    props.flatMap(
      ({ name, kind, fields }: Prop, i): readonly (readonly [string, Given[string]])[] => {
        const value = use?.values[i]
        if (value === undefined || kind === 'classes' || kind === 'slot') return []
        if (kind === 'list') return [[name, readLines(String(value), fields, '\t')]]
        const isNumber = kind === 'number' || (kind === 'code' && saysNumber(value))
        if (isNumber) return [[name, Number(value)]]
        return [[name, kind === 'code' ? { picture: String(value) } : value]]
      },
    ),
  )
}
