import { printBlock } from '../script/print-block.js'
import { printProperty } from '../script/print-property.js'
import { printTest } from '../project/print-test.js'
import { printValue } from '../script/print-value.js'
import { quoteKey } from '../script/quote-string.js'
import type { ComponentOptions } from '../project/component-target.js'
import type { ComponentTest } from '../project/component-tests.js'
import { concat, type Doc } from '../shared/document.js'
import type { EmittedFile } from '../shared/emitted-file.js'
import type { Attribute } from '../shared/markup.js'
import { printImportLine } from '../script/print-import.js'
import { importsOf } from './imports.js'

const ROUTER: readonly Doc[] = [
  printImportLine('{ createMemoryHistory, createRouter }', 'vue-router'),
]

const entry = (one: Attribute): Doc => printProperty(quoteKey(one.name), printValue(one))

const block = (name: string, attributes: readonly Attribute[]): Doc[] =>
  attributes.length === 0 ? [] : [printBlock(`${name}: {`, attributes.map(entry), '},')]

/** A test that mounts a component with Vue's own utilities. */
export const writeTest = (
  test: ComponentTest,
  { plan, helpers }: ComponentOptions,
): EmittedFile => {
  const { name, folder, use, isRouted } = test
  const isSlot = ({ kind }: Attribute): boolean => kind === 'markup'
  const given = [
    ...block(
      'props',
      use.attributes.filter((one) => !isSlot(one)),
    ),
    ...block('slots', use.attributes.filter(isSlot)),
    ...(isRouted ? ['global: { plugins: [router] },'] : []),
  ]
  return printTest(test, `src/${folder}/${name}.test.ts`, {
    imports: [
      printImportLine('{ mount }', '@vue/test-utils'),
      printImportLine('{ expect, test }', 'vitest'),
      ...(isRouted ? ROUTER : []),
      printImportLine(name, `./${name}.vue`),
      ...importsOf({ ...use, tag: 'div' }, [], { plan, folder, helpers }),
    ],
    shows: [
      ...(isRouted
        ? [
            printBlock(
              'const router = createRouter({',
              [
                'history: createMemoryHistory(),',
                `routes: [{ path: "/:all(.*)*", component: ${name} }],`,
              ],
              '});',
            ),
          ]
        : []),
      given.length === 0
        ? `const wrapper = mount(${name});`
        : concat([printBlock(`const wrapper = mount(${name}, {`, given, '});')]),
    ],
    page: {
      words: 'wrapper.text()',
      wordsOf: (selector) => `wrapper.get("${selector}").text()`,
      isThere: 'wrapper.exists()',
    },
  })
}
