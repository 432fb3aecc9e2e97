import { concat, hardline, join, type Doc } from '../shared/document.js'
import { textFile, type EmittedFile } from '../shared/emitted-file.js'
import type { MarkupElement } from '../shared/markup.js'
import { printDocument } from '../shared/print-document.js'
import { escapeText } from '../shared/html-escape.js'
import { printTags } from '../shared/print-tags.js'
import { toTemplate } from './to-template.js'

const PRINT_WIDTH = 80

/** Two braces would begin code: in words they are written so that they do not. */
export const escapeWords = (text: string): string => escapeText(text).replaceAll('{{', '&#123;{')

/** A file of one component: its script, block by block with empty lines between, its template, and its own styles. */
export const printFile = (
  path: string,
  blocks: readonly Doc[],
  markup: MarkupElement,
  sheet?: string,
): EmittedFile => {
  const template: MarkupElement = {
    kind: 'element',
    tag: 'template',
    content: 'blocks',
    attributes: [],
    children: [toTemplate(markup)],
  }
  const script =
    blocks.length === 0
      ? []
      : [
          '<script setup lang="ts">',
          hardline,
          join(concat([hardline, hardline]), blocks),
          hardline,
          '</script>',
          hardline,
          hardline,
        ]
  const document = concat([...script, printTags(template, { escape: escapeWords }), hardline])
  const printed = printDocument(document, PRINT_WIDTH)
  const style = sheet === undefined ? '' : `\n<style module>\n${sheet}</style>\n`
  return textFile(path, printed.text + style, printed.spans)
}
