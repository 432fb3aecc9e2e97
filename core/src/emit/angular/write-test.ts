import { printBlock } from '../script/print-block.js'
import { printCall, printCallWithList } from '../script/print-call.js'
import { printTest } from '../project/print-test.js'
import { printImportLine } from '../script/print-import.js'
import { quoteKey, quoteString } from '../script/quote-string.js'
import { printValue } from '../script/print-value.js'
import type { ComponentTest } from '../project/component-tests.js'
import { concat, type Doc } from '../shared/document.js'
import type { EmittedFile } from '../shared/emitted-file.js'
import { printTexts } from '../shared/print-texts.js'
import { pathOf, toFileName } from './names.js'

/** The form that stands around a component in its screen, with the controls that it looks for there. */
const printForm = (fields: readonly string[]): readonly Doc[] => [
  'const form = new FormGroupDirective([], []);',
  printBlock(
    'form.form = new FormGroup({',
    fields.map((name) => `${quoteKey(name)}: new FormControl(""),`),
    '});',
  ),
]

/** A test that creates a component with Angular's test bed. What is shown in it only a template could give. */
export const writeTest = (test: ComponentTest): EmittedFile => {
  const { name, folder, use, isRouted, fields } = test
  const isInForm = fields.length > 0
  const provided = [
    ...(isRouted ? ['provideRouter([])'] : []),
    ...(isInForm ? ['{ provide: FormGroupDirective, useValue: form }'] : []),
  ]
  const inputs = use.attributes.filter(({ kind }) => kind !== 'markup')
  return printTest(test, `${pathOf(folder, name)}.spec.ts`, {
    imports: [
      printImportLine('{ TestBed }', '@angular/core/testing'),
      ...(isInForm
        ? [printImportLine('{ FormControl, FormGroup, FormGroupDirective }', '@angular/forms')]
        : []),
      ...(isRouted ? [printImportLine('{ provideRouter }', '@angular/router')] : []),
      printImportLine('{ expect, test }', 'vitest'),
      printImportLine(`{ ${name} }`, `./${toFileName(name)}`),
    ],
    isAsync: true,
    shows: [
      ...(isInForm ? printForm(fields) : []),
      ...(provided.length > 0
        ? [
            printBlock(
              'TestBed.configureTestingModule({',
              [concat(['providers: ', printTexts(provided), ','])],
              '});',
            ),
          ]
        : []),
      printCall('const fixture = TestBed.createComponent', [name]),
      ...inputs.map((one) => {
        const [head, name] = ['fixture.componentRef.setInput', quoteString(one.name)]
        return one.kind === 'list' || one.kind === 'records'
          ? printCallWithList(head, [name], printValue(one))
          : printCall(head, [name, printValue(one)])
      }),
      'await fixture.whenStable();',
      'const element: HTMLElement = fixture.nativeElement;',
    ],
    page: {
      words: 'element.textContent',
      wordsOf: (selector) => `element.querySelector("${selector}")?.textContent`,
      isThere: 'element.isConnected',
    },
  })
}
