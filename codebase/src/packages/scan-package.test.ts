import { resolve } from 'node:path'
import ts from 'typescript'
import { linesOf } from '../testing.js'
import { scanPackage } from './scan-package.js'

const ROOT = resolve(__dirname, '../../..')

const componentOf = (name: string, id: string) => {
  const { components } = scanPackage(ROOT, name)
  const found = components.find((one) => one.id === id)
  if (!found) throw new Error(`${id} is none of ${components.map((one) => one.id).join(', ')}`)
  return found
}

test('a library of React is read by its published types', () => {
  const link = componentOf('react-router', 'react-router#Link')
  expect(link).toMatchObject({ framework: 'react', specifier: 'react-router', exported: 'Link' })
  expect(linesOf(link)).toEqual(
    expect.arrayContaining(['replace?: boolean', 'reloadDocument?: boolean']),
  )
})

test('a library of Vue is', () => {
  const link = componentOf('vue-router', 'vue-router#RouterLink')
  expect(link.framework).toBe('vue')
  expect(linesOf(link)).toEqual(
    expect.arrayContaining(['replace?: boolean', 'slot default?: node']),
  )
})

test('a library of Angular is, by the declarations of its compiler', () => {
  const link = componentOf('@angular/router', '@angular/router#RouterLinkActive')
  expect(link).toMatchObject({ framework: 'angular', selector: '[routerLinkActive]' })
  expect(linesOf(link)).toEqual(expect.arrayContaining(['event isActiveChange?: handler']))
})

test('what is not installed, and what is no library of components, is told', () => {
  expect(scanPackage(ROOT, 'no-such-package').notes[0]!.message).toContain('not installed')
  expect(scanPackage(ROOT, 'commander').notes[0]!.message).toContain(
    'none of React, Vue or Angular',
  )
})

test('the checker of TypeScript accepts what was found of a library', () => {
  const { components } = scanPackage(ROOT, '@headlessui/react')
  expect(components.length).toBeGreaterThan(20)
  const lines = components.flatMap(({ exported, props }) =>
    props
      .filter(({ isInherited, as }) => !isInherited && as === 'prop')
      .flatMap(({ name, type }) => {
        const at = `ComponentProps<typeof lib.${exported}>[${JSON.stringify(name)}]`
        if (type.kind === 'boolean') return [`((_: ${at}) => {})(true);`]
        if (type.kind === 'choice')
          return type.options.map((one) => `((_: ${at}) => {})(${JSON.stringify(one)});`)
        return []
      }),
  )
  const file = resolve(ROOT, 'web/unimorph-check.tsx')
  const text = `import type { ComponentProps } from 'react'\nimport * as lib from '@headlessui/react'\n${lines.join('\n')}`
  const options = {
    strict: true,
    noEmit: true,
    skipLibCheck: true,
    jsx: ts.JsxEmit.ReactJSX,
    module: ts.ModuleKind.ESNext,
    moduleResolution: ts.ModuleResolutionKind.Bundler,
    types: [],
  }
  const host = ts.createCompilerHost(options)
  const read = host.getSourceFile.bind(host)
  host.getSourceFile = (path, version) =>
    path === file ? ts.createSourceFile(path, text, version) : read(path, version)
  host.fileExists = (path) => path === file || ts.sys.fileExists(path)
  const program = ts.createProgram([file], options, host)
  const wrong = program.getSemanticDiagnostics(program.getSourceFile(file))
  expect(lines.length).toBeGreaterThan(10)
  expect(wrong.length / lines.length).toBeLessThanOrEqual(0.05)
})
