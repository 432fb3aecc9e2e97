import { concat, hardline, indent, join, type Doc } from '../shared/document.js'
import type { ComponentTest } from './component-tests.js'
import { textFile, type EmittedFile } from '../shared/emitted-file.js'
import { printDocument } from '../shared/print-document.js'
import { printCall } from '../script/print-call.js'
import { quoteString } from '../script/quote-string.js'

const PRINT_WIDTH = 80

/** What a README says of them. */
export const ABOUT_TESTS = '\n`npm test` renders each component and looks for what it has to show.'

/** How the elements of a page are asked in a test. */
export type PageSpelling = {
  /** The words of all of it. */
  readonly words: string
  /** The words of the first element that a selector finds. */
  wordsOf(selector: string): string
  /** Whether there is anything at all, as code that is true then. */
  readonly isThere: string
}

const titleOf = ({ name, heading, words, use }: ComponentTest): string => {
  if (heading !== undefined) return `${name} shows its heading`
  if (words.length === 0) return `${name} is shown`
  return use.attributes.length > 0 ? `${name} shows what it is given` : `${name} shows its words`
}

const expectations = ({ heading, words }: ComponentTest, page: PageSpelling): readonly Doc[] => {
  const contains = (place: string, word: string): Doc =>
    printCall(`expect(${place}).toContain`, [quoteString(word)])
  if (heading !== undefined) return [contains(page.wordsOf('h1'), heading)]
  if (words.length === 0) return [`expect(${page.isThere}).toBe(true);`]
  return words.map((word) => contains(page.words, word))
}

/** The file of a test: what it imports, how it shows the component, and what it expects of it. */
export const printTest = (
  test: ComponentTest,
  path: string,
  parts: {
    readonly imports: readonly Doc[]
    readonly shows: readonly Doc[]
    readonly page: PageSpelling
    readonly isAsync?: boolean
  },
): EmittedFile => {
  const { imports, shows, page, isAsync = false } = parts
  const body = [join(hardline, shows), hardline, hardline, join(hardline, expectations(test, page))]
  const document = concat([
    join(hardline, imports),
    hardline,
    hardline,
    `test(${quoteString(titleOf(test))}, ${isAsync ? 'async ' : ''}() => {`,
    indent(concat([hardline, ...body])),
    hardline,
    '});',
    hardline,
  ])
  return textFile(path, printDocument(document, PRINT_WIDTH).text)
}
