import { asDocComment } from '../shared/with-comment.js'
import { componentTarget } from '../project/component-target.js'
import { writeHelpers } from './behaviour/files.js'
import { writeForm } from './form-file.js'
import { ROUTER_TAGS } from './imports.js'
import { pathOf } from './names.js'
import { linting } from './linting.js'
import { writeProject } from './project-files.js'
import { writeTest } from './write-test.js'
import { printUse, unitSpelling, writeIcon, writePart, writeUnit } from './write-unit.js'

/** Standalone components with signals, and templates beside them or inside, one a screen; a router when there are several. */
export const angular = componentTarget({
  id: 'angular',
  label: 'Angular',
  stylings: ['tailwind', 'css', 'scss', 'css-modules'],
  places: {
    markupOf: (folder, name) => `${pathOf(folder, name)}.html`,
    classOf: (folder, name) => `${pathOf(folder, name)}.ts`,
    assets: 'public/assets',
    sheet: { folder: 'src', stem: 'styles' },
  },
  spelling: unitSpelling,
  writeUnit,
  writePart,
  printUse,
  commentPlace: () => ({ before: '@Component({', comment: asDocComment }),
  writeIcon,
  writeForm,
  writeHelpers,
  writeProject,
  packages: {
    router: '@angular/router',
    runtime: [
      '@angular/common',
      '@angular/compiler',
      '@angular/core',
      '@angular/forms',
      '@angular/platform-browser',
      'rxjs',
      'tslib',
    ],
    tools: [
      '@angular/build',
      '@angular/cli',
      '@angular/compiler-cli',
      '@tailwindcss/postcss',
      'postcss',
    ],
    // Angular's builder asks for one before 6.
    versions: { typescript: '5.9.3' },
  },
  linting,
  madeFolders: ['.angular'],
  tests: {
    routerTags: ROUTER_TAGS,
    fieldAttributes: new Set(['formControlName']),
    tools: ['happy-dom', 'vitest'],
    script: 'ng test --no-watch',
    write: writeTest,
  },
  scripts: { start: 'ng serve', build: 'ng build' },
  formatting: { overrides: [{ files: '*.html', options: { parser: 'angular' } }] },
})
