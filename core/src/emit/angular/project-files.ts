import type { UiProject } from '../../ui/index.js'
import { quoteString } from '../script/quote-string.js'
import type { ProjectStyling, ScreenFile } from '../project/component-target.js'
import { entry, jsonFile, scaffold, textFile, type EmittedFile } from '../shared/emitted-file.js'
import { fontReadme } from '../shared/font-readme.js'
import { folderOf } from '../../text/file-paths.js'
import { ABOUT_TOOLS } from '../tooling/project-tools.js'
import { ABOUT_TESTS } from '../project/print-test.js'
import { pageHead } from '../shared/entry-page.js'
import { elementOf, toFileName } from './names.js'

const app = (screens: readonly ScreenFile[], contents: string): string => {
  const [first] = screens
  const isRouted = screens.length > 1
  const tag = isRouted ? 'RouterOutlet' : first!.component
  const from = isRouted ? '@angular/router' : `./screens/${toFileName(first!.component)}`
  const template = isRouted ? '<router-outlet />' : `<${elementOf(first!.component)} />`
  return `import { ChangeDetectionStrategy, Component } from "@angular/core";
import { ${tag} } from "${from}";

@Component({
  selector: "app-root",
  imports: [${tag}],
  template: \`${template}\`,
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: {
    class: "${contents}",
  },
})
export class App {}
`
}

/** The router writes the first page as nothing, and what leads nowhere as two stars. */
const pathOf = (route: string): string => (route === '*' ? '**' : route.replace(/^\//, ''))

const routes = (
  screens: readonly ScreenFile[],
): string => `import type { Routes } from "@angular/router";
${screens
  .map(({ component }) => `import { ${component} } from "./screens/${toFileName(component)}";\n`)
  .join('')}
export const routes: Routes = [
${screens
  .map(
    ({ component, route }) =>
      `  { path: ${quoteString(pathOf(route))}, component: ${component} },\n`,
  )
  .join('')}];
`

const config = (isRouted: boolean): string =>
  isRouted
    ? `import type { ApplicationConfig } from "@angular/core";
import { provideRouter, withHashLocation } from "@angular/router";
import { routes } from "./app.routes";

export const appConfig: ApplicationConfig = {
  providers: [provideRouter(routes, withHashLocation())],
};
`
    : `import type { ApplicationConfig } from "@angular/core";

export const appConfig: ApplicationConfig = {
  providers: [],
};
`

const MAIN = `import { bootstrapApplication } from "@angular/platform-browser";
import { App } from "./app/app";
import { appConfig } from "./app/app.config";

bootstrapApplication(App, appConfig).catch((error: unknown) => {
  console.error(error);
});
`

/** `"polyfills"`: none, as changes are told by signals. */
const workspace = (name: string, sheet: string, hasTests: boolean) => ({
  $schema: './node_modules/@angular/cli/lib/config/schema.json',
  version: 1,
  cli: { analytics: false },
  projects: {
    [name]: {
      projectType: 'application',
      root: '',
      sourceRoot: 'src',
      prefix: 'app',
      architect: {
        build: {
          builder: '@angular/build:application',
          options: {
            browser: 'src/main.ts',
            tsConfig: 'tsconfig.json',
            assets: [{ glob: '**/*', input: 'public' }],
            styles: [sheet],
            outputPath: { base: 'dist', browser: '' },
            optimization: {
              scripts: true,
              styles: { minify: true, inlineCritical: false },
              fonts: false,
            },
          },
        },
        serve: {
          builder: '@angular/build:dev-server',
          options: { buildTarget: `${name}:build` },
        },
        ...(hasTests
          ? {
              test: {
                builder: '@angular/build:unit-test',
                options: { buildTarget: `${name}:build`, tsConfig: 'tsconfig.spec.json' },
              },
            }
          : {}),
      },
    },
  },
})

const TESTS = 'src/**/*.spec.ts'

const tsconfig = (hasTests: boolean) => ({
  compilerOptions: {
    target: 'es2022',
    module: 'preserve',
    moduleResolution: 'bundler',
    lib: ['es2023', 'dom', 'dom.iterable'],
    types: [],
    strict: true,
    noUnusedLocals: true,
    noUnusedParameters: true,
    noImplicitOverride: true,
    noPropertyAccessFromIndexSignature: true,
    isolatedModules: true,
    importHelpers: true,
    experimentalDecorators: true,
    skipLibCheck: true,
  },
  angularCompilerOptions: {
    strictTemplates: true,
    strictInjectionParameters: true,
    strictInputAccessModifiers: true,
  },
  include: ['src/**/*.ts'],
  ...(hasTests ? { exclude: [TESTS] } : {}),
})

/** The same with tests, for what runs them. */
const TEST_TSCONFIG = { extends: './tsconfig.json', include: ['src/**/*.ts'], exclude: [] }

const readme = (sheet: string, hasTests: boolean): string => `# Screens

\`\`\`sh
npm install
npm start
\`\`\`

\`npm run build\` checks types and templates and writes the site to \`dist\`.${hasTests ? ABOUT_TESTS : ''}
${ABOUT_TOOLS}
Each screen is a component in \`src/app/screens\`; tokens and fonts are in \`${sheet.endsWith('.scss') ? folderOf(sheet) : sheet}\`.
`

/** The files around the screens: entry, routes and configuration. */
export const writeProject = (
  project: UiProject,
  screens: readonly ScreenFile[],
  { contents, styling, sheet, hasTests }: ProjectStyling,
): EmittedFile[] => {
  const isRouted = screens.length > 1
  return [
    ...entry(
      textFile('src/app/app.ts', app(screens, contents())),
      ...(isRouted ? [textFile('src/app/app.routes.ts', routes(screens))] : []),
    ),
    ...scaffold(
      textFile('src/app/app.config.ts', config(isRouted)),
      textFile('src/main.ts', MAIN),
      textFile('src/index.html', indexPage(project)),
      jsonFile('angular.json', workspace('app', sheet, hasTests)),
      jsonFile('tsconfig.json', tsconfig(hasTests)),
      ...(hasTests ? [jsonFile('tsconfig.spec.json', TEST_TSCONFIG)] : []),
      ...(styling === 'tailwind'
        ? [jsonFile('.postcssrc.json', { plugins: { '@tailwindcss/postcss': {} } })]
        : []),
      textFile('README.md', readme(sheet, hasTests) + fontReadme(project)),
    ),
  ]
}

const indexPage = (project: UiProject): string => `<!doctype html>
<html lang="${project.language}">
${pageHead(project)}
  <body>
    <app-root></app-root>
  </body>
</html>
`
