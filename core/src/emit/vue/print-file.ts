import { concat, hardline, join, type Doc } from '../shared/document.js'
import { textFile, type EmittedFile } from '../shared/emitted-file.js'
import type { MarkupElement } from '../shared/markup.js'
import { printDocument } from '../shared/print-document.js'
import { printTags } from '../shared/print-tags.js'
import { toTemplate } from './to-template.js'

const PRINT_WIDTH = 80

/** A file of one component: its script, block by block with empty lines between, and its template. */
export const printFile = (
  path: string,
  blocks: readonly Doc[],
  markup: MarkupElement,
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
  const document = concat([...script, printTags(template, { escapesBraces: true }), hardline])
  const printed = printDocument(document, PRINT_WIDTH)
  return textFile(path, printed.text, printed.spans)
}
