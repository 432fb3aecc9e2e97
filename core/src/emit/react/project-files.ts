import type { UiProject } from '../../ui/index.js'
import { fontReadme } from '../shared/font-readme.js'
import type { ScreenFile } from '../shared/component-target.js'
import { entryPage } from '../shared/entry-page.js'
import { jsonFile, textFile, type EmittedFile } from '../shared/emitted-file.js'
import { quoteString } from '../script/quote-string.js'

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

const main = (isRouted: boolean): string => `import { StrictMode } from "react";
import { createRoot } from "react-dom/client";
${isRouted ? 'import { HashRouter } from "react-router";\n' : ''}import { App } from "./App";
import "./index.css";

createRoot(document.getElementById("root")!).render(
  <StrictMode>
${isRouted ? '    <HashRouter>\n      <App />\n    </HashRouter>' : '    <App />'}
  </StrictMode>,
);
`

const VITE_CONFIG = `import tailwindcss from "@tailwindcss/vite";
import react from "@vitejs/plugin-react";
import { defineConfig } from "vite";

// A relative base lets the built site stand in any folder.
export default defineConfig({ base: "./", plugins: [react(), tailwindcss()] });
`

const TSCONFIG = {
  compilerOptions: {
    target: 'es2022',
    module: 'esnext',
    moduleResolution: 'bundler',
    lib: ['es2023', 'dom', 'dom.iterable'],
    jsx: 'react-jsx',
    types: ['vite/client'],
    strict: true,
    noUnusedLocals: true,
    noUnusedParameters: true,
    isolatedModules: true,
    skipLibCheck: true,
    noEmit: true,
  },
  include: ['src', 'vite.config.ts'],
}

const README = `# Screens

\`\`\`sh
npm install
npm run dev
\`\`\`

\`npm run build\` checks the types and writes the site to \`dist\`.
Each screen is a component in \`src/screens\`; tokens and fonts are in \`src/index.css\`.
`

/** The files around the screens: entry, routes and configuration. */
export const buildProjectFiles = (
  project: UiProject,
  screens: readonly ScreenFile[],
): EmittedFile[] => {
  const isRouted = screens.length > 1
  return [
    textFile('src/App.tsx', isRouted ? routedApp(screens) : singleApp(screens[0]!)),
    textFile('src/main.tsx', main(isRouted)),
    textFile('index.html', entryPage(project, 'root', '/src/main.tsx')),
    textFile('vite.config.ts', VITE_CONFIG),
    jsonFile('tsconfig.json', TSCONFIG),
    textFile('README.md', README + fontReadme(project)),
  ]
}
