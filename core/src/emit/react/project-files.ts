import type { UiProject } from '../../ui/index.js'
import type { ProjectStyling, ScreenFile } from '../project/component-target.js'
import { asModule, relativePath } from '../../text/file-paths.js'
import { entryPage } from '../shared/entry-page.js'
import { entry, scaffold, textFile, type EmittedFile } from '../shared/emitted-file.js'
import { quoteString } from '../script/quote-string.js'
import { viteFiles } from '../project/vite-project.js'

const importOf = ({ component }: ScreenFile): string =>
  `import { ${component} } from "./screens/${component}";\n`

const singleApp = (screen: ScreenFile): string => `${importOf(screen)}
export function App() {
  return <${screen.component} />;
}
`

/** A route on one line, or with its attributes below each other when it is too long for one. */
const routeOf = ({ component, route }: ScreenFile): string => {
  const oneLine = `      <Route path=${quoteString(route)} element={<${component} />} />`
  if (oneLine.length <= 80) return oneLine
  return `      <Route\n        path=${quoteString(route)}\n        element={<${component} />}\n      />`
}

const routedApp = (
  screens: readonly ScreenFile[],
): string => `import { Route, Routes } from "react-router";
${screens.map(importOf).join('')}
export function App() {
  return (
    <Routes>
${screens.map(routeOf).join('\n')}
    </Routes>
  );
}
`

const main = (isRouted: boolean, sheet: string): string => `import { StrictMode } from "react";
import { createRoot } from "react-dom/client";
${isRouted ? 'import { HashRouter } from "react-router";\n' : ''}import { App } from "./App";
import "${asModule(relativePath('src', sheet))}";

const root = document.getElementById("root");
if (!root) throw new Error("There is no element with the id root.");
createRoot(root).render(
  <StrictMode>
${isRouted ? '    <HashRouter>\n      <App />\n    </HashRouter>' : '    <App />'}
  </StrictMode>,
);
`

/** The files around the screens: entry, routes and configuration. */
export const buildProjectFiles = (
  project: UiProject,
  screens: readonly ScreenFile[],
  around: ProjectStyling,
): EmittedFile[] => {
  const isRouted = screens.length > 1
  return [
    ...entry(textFile('src/App.tsx', isRouted ? routedApp(screens) : singleApp(screens[0]!))),
    ...scaffold(
      textFile('src/main.tsx', main(isRouted, around.sheet)),
      textFile('index.html', entryPage(project, 'root', '/src/main.tsx')),
    ),
    ...viteFiles(project, 'react', around, { jsx: 'react-jsx' }),
  ]
}
