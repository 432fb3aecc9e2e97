import { printCall } from '../script/print-call.js'
import { printTest } from '../project/print-test.js'
import type { ComponentOptions } from '../project/component-target.js'
import type { ComponentTest } from '../project/component-tests.js'
import type { EmittedFile } from '../shared/emitted-file.js'
import type { MarkupElement } from '../shared/markup.js'
import { importsOf, printImport } from './imports.js'
import { printElement } from './print-jsx.js'

const inRouter = (use: MarkupElement): MarkupElement => ({
  kind: 'element',
  tag: 'MemoryRouter',
  content: 'blocks',
  attributes: [],
  children: [use],
})

/** A test that renders a component with Testing Library. */
export const writeTest = (
  test: ComponentTest,
  { plan, helpers }: ComponentOptions,
): EmittedFile => {
  const { name, folder, use, isRouted } = test
  return printTest(test, `src/${folder}/${name}.test.tsx`, {
    imports: [
      { names: '{ render }', from: '@testing-library/react' },
      ...(isRouted ? [{ names: '{ MemoryRouter }', from: 'react-router' }] : []),
      { names: '{ expect, test }', from: 'vitest' },
      { names: `{ ${name} }`, from: `./${name}` },
      ...importsOf({ ...use, tag: 'div' }, [], { plan, folder, helpers }),
    ].map(printImport),
    shows: [
      printCall('const { container } = render', [printElement(isRouted ? inRouter(use) : use)]),
    ],
    page: {
      words: 'container.textContent',
      wordsOf: (selector) => `container.querySelector("${selector}")?.textContent`,
      isThere: 'container.hasChildNodes()',
    },
  })
}
